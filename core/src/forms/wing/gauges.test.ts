import fc from 'fast-check';
import { CONTEXT, formOf, panel, T, USUAL } from '../../../test/wings.ts';
import { brokenInvariant, outlineOf, outOfBounds, piecesOf, type Part } from '../../part/index.ts';
import { NO_GAUGES, type WingGauges } from './gauge-parameters.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';

const ALL: WingGauges = {
  hasCradles: true,
  hasJoints: true,
  hasCamber: true,
  hasThrows: true,
  hasBalance: true,
  balancePercent: 25,
};
const elevon = {
  panelId: 'p1',
  kind: 'elevon' as const,
  fromMm: 60,
  toMm: 380,
  chordMm: 40,
  throwDegrees: 20,
  gapMm: 1.5,
};
const SWEPT: WingParameters = {
  ...USUAL,
  build: 'stepped',
  layers: [],
  rootChordMm: 200,
  panels: [panel('p1', { spanMm: 400, tipChordMm: 200, sweepDegrees: 20, dihedralDegrees: 6 })],
  controls: [elevon],
  gauges: ALL,
};
const made = makeWing(formOf(SWEPT), CONTEXT);
const named = (name: string, parts = made.parts): Part => parts.find((part) => part.name.endsWith(name))!;
const nodes = (part: Part) => outlineOf(part)!.nodes;
const sin = (degrees: number): number => Math.sin((degrees * Math.PI) / 180);
const tan = (degrees: number): number => Math.tan((degrees * Math.PI) / 180);

test('cradles hold each station at its height over one table, with incidence', () => {
  const tops = (part: Part): readonly number[] =>
    nodes(part)
      .filter(({ y }) => y > 1)
      .map(({ y }) => y);
  const [middle, tip] = [tops(named('middle cradle')), tops(named('tip cradle'))];
  expect(Math.min(...middle)).toBeCloseTo(25, 4);
  expect(Math.min(...tip) - Math.min(...middle)).toBeCloseTo(400 * sin(6), 4);
  expect([piecesOf(named('middle cradle')), piecesOf(named('tip cradle'))]).toEqual([1, 2]);
  // Its front stands where the swept nose does: 4 % of 200 behind 400 · tan 20.
  expect(Math.min(...nodes(named('tip cradle')).map(({ x }) => x))).toBeCloseTo(8 + 400 * tan(20), 4);
  const inclined = makeWing({ ...formOf(SWEPT), place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 3 } }, CONTEXT);
  const heights = nodes(named('middle cradle', inclined.parts)).filter(({ y }) => y > 1);
  const [fore, aft] = [heights.reduce((a, b) => (b.x < a.x ? b : a)), heights.reduce((a, b) => (b.x > a.x ? b : a))];
  expect((fore.y - aft.y) / (aft.x - fore.x)).toBeCloseTo(tan(3), 4);
});

test('the angle of a joint turns by twice the dihedral of both halves, its arms as deep all along', () => {
  const ring = nodes(named('middle angle'));
  const way = (a: number, b: number): number =>
    Math.atan2(ring[b]!.y - ring[a]!.y, ring[b]!.x - ring[a]!.x) * (180 / Math.PI);
  expect(way(0, 1)).toBeCloseTo(0, 4);
  expect(way(1, 2)).toBeCloseTo(12, 4);
  expect(way(4, 3)).toBeCloseTo(12, 4);
  expect(ring[5]!.y).toBeCloseTo(-22, 4);
});

test('a throw gauge is marked in degrees and at the edge', () => {
  const part = named('elevon throw');
  // By hand: 40 · sin 20 = 13.7, 40 · sin 10 = 6.9.
  expect(part.operations.map(({ label }) => label)).toEqual([
    '20° 13.7 mm',
    '10° 6.9 mm',
    '0',
    '10° 6.9 mm',
    '20° 13.7 mm',
  ]);
  const line = part.lines[0]!.nodes;
  expect(Math.atan2(line[1]!.y, line[1]!.x) * (180 / Math.PI)).toBeCloseTo(-20, 4);
});

test('a wing balances at its share of the mean chord, told along a swept nose too, and marked on its underside', () => {
  // By hand: a constant chord of 200 swept by 20 has its mean chord half way out.
  const aft = 200 * tan(20) + 50;
  expect(made.figures!.balance).toMatchObject({ percent: 25, apartMm: 120 });
  expect(made.figures!.balance!.aftMm).toBeCloseTo(aft, 4);
  expect(made.figures!.balance!.alongNoseMm).toBeCloseTo(aft / sin(20), 4);
  const plate = named('Wing plate'),
    mark = plate.operations.find(({ label }) => label === 'balance')!;
  expect(mark.face).toBe('back');
  const base = named('balance base'),
    slots = base.contours.slice(1).map((hole) => Math.min(...hole.nodes.map(({ y }) => y)));
  expect(slots[1]! - slots[0]!).toBeCloseTo(120, 4);
  const tab = nodes(named('balance upright')).filter(({ y }) => y < 0);
  expect(tab.map(({ y }) => y)).toEqual([-T, -T]);
});

test('a camber gauge is the upper face of the plate, at every station', () => {
  const camber = { heightPercent: 6, atPercent: 40 };
  const { parts } = makeWing(formOf({ ...SWEPT, build: 'cambered', camber, controls: [] }), CONTEXT);
  const ring = nodes(named('middle camber', parts));
  const under = ring.filter(({ y }) => y < 0.06 * 200 + T + 1);
  expect(Math.max(...under.map(({ y }) => y))).toBeCloseTo(0.06 * 200 + T, 0);
  expect(under[0]!.y).toBeCloseTo(T, 4);
  expect(parts.filter(({ name }) => name.endsWith('camber'))).toHaveLength(2);
});

test('gauges of any wing are sound, and none are made when none are asked for', () => {
  const any = fc.record({
    build: fc.constantFrom('folded' as const, 'stepped' as const, 'cambered' as const, 'cored' as const),
    sweep: fc.double({ min: -30, max: 40, noNaN: true }),
    first: fc.double({ min: -30, max: 38, noNaN: true }),
    second: fc.double({ min: -30, max: 38, noNaN: true }),
    washout: fc.double({ min: -8, max: 8, noNaN: true }),
    balancePercent: fc.double({ min: 5, max: 60, noNaN: true }),
    incidence: fc.double({ min: -20, max: 20, noNaN: true }),
    middle: fc.constantFrom('joint' as const, 'panel' as const),
  });
  fc.assert(
    fc.property(any, ({ build, sweep, first, second, washout, balancePercent, incidence, middle }) => {
      const isAcross = middle === 'panel';
      const parameters: WingParameters = {
        ...SWEPT,
        build,
        middle,
        section: { kind: build === 'cored' ? 'naca' : 'strip-spar', digits: '4415', creases: 7 },
        camber: { heightPercent: 5, atPercent: 40 },
        controls: [{ ...elevon, panelId: 'p2' }],
        panels: [
          panel('p1', {
            spanMm: 300,
            tipChordMm: 200,
            ...(isAcross ? {} : { sweepDegrees: sweep, dihedralDegrees: first }),
          }),
          panel('p2', {
            spanMm: 420,
            tipChordMm: 160,
            dihedralDegrees: second,
            washoutDegrees: build === 'stepped' ? 0 : washout,
          }),
        ],
        gauges: { ...ALL, balancePercent },
      };
      const { parts } = makeWing(
        { ...formOf(parameters), place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: incidence } },
        CONTEXT,
      );
      for (const part of parts) {
        expect([part.name, brokenInvariant(part)]).toEqual([part.name, undefined]);
        expect(outOfBounds(part)).toBeUndefined();
      }
      const none = makeWing(formOf({ ...parameters, gauges: NO_GAUGES }), CONTEXT);
      expect(none.parts.filter(({ group }) => group.endsWith('gauges'))).toEqual([]);
    }),
    { numRuns: 40, endOnFailure: true },
  );
});
