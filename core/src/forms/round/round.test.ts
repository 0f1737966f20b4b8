import * as fc from 'fast-check';
import { bodyContext, notClosed } from '../../../test/bodies.ts';
import { arcGeometry, type Curve } from '../../geometry/index.ts';
import { outlineOf, type Part } from '../../part/index.ts';
import { curveOf } from '../../paths/index.ts';
import { makeForm, scaleForm } from '../kinds.ts';
import type { RollSkins } from '../rolled/index.ts';
import type { MadeRound } from './make-round.ts';
import type { RoundForm, RoundParameters } from './parameters.ts';
import { roundFromNumbers, usualRound } from './round-starts.ts';

/** The board of these tests, measured. */
const T = 5;
const CONTEXT = { ...bodyContext(), boardOf: () => ({ thicknessMm: T, gramsPerSquareMetre: 480 }) };
const tube: RoundParameters = {
  ...roundFromNumbers({ lengthMm: 200, acrossMm: 60, noseMm: 60, tailMm: 60, frusta: 1, material: 'foam' }, T),
  rings: [],
};
const formOf = (parameters: RoundParameters): RoundForm => ({
  id: 'o1',
  kind: 'round',
  name: 'Pod',
  parameters,
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
const roundOf = (parameters: RoundParameters): MadeRound => makeForm(formOf(parameters), CONTEXT);
const stack = (across: readonly (readonly [aftMm: number, acrossMm: number])[]): RoundParameters => ({
  ...tube,
  profile: 'straight',
  stations: across.map(([aftMm, acrossMm], index) => ({ id: `q${index}`, aftMm, acrossMm })),
});
const edge = (part: Part, name: string): Curve => {
  const outline = outlineOf(part)!;
  return curveOf(
    outline,
    outline.segments.findIndex(({ id }) => id === `m-${name}`),
  );
};
const arcLength = (part: Part, name: string): number => {
  const curve = edge(part, name);
  if (curve.kind !== 'arc') return Math.hypot(curve.to.x - curve.from.x, curve.to.y - curve.from.y);
  const { radius, sweep } = arcGeometry(curve);
  return radius * Math.abs(sweep);
};

describe('the flat of a rolled sheet', () => {
  it.each<readonly [RollSkins, number]>([
    // 2π times the radius of what keeps its length: 30, 30, 25, 27.5.
    ['both', 188.4956],
    ['outer', 188.4956],
    ['inner', 157.0796],
    ['none', 172.7876],
  ])('is as wide as the neutral line of a tube is long: %s skins', (skins, wideMm) => {
    const { parts, figures } = roundOf({ ...tube, skins });
    expect(arcLength(parts[0]!, 'aft')).toBeCloseTo(wideMm, 3);
    expect(figures!.rows[0]!.wideMm).toBeCloseTo(wideMm, 3);
    expect(notClosed(parts)).toEqual([]);
  });

  it('follows a neutral line that was measured instead', () => {
    const { parts } = roundOf({ ...tube, neutralPercent: 20 });
    expect(arcLength(parts[0]!, 'aft')).toBeCloseTo(2 * Math.PI * 29, 3);
  });

  it('is a sector for a frustum: 60 to 100 across over 40', () => {
    const [row] = roundOf(
      stack([
        [0, 60],
        [40, 100],
      ]),
    ).figures!.rows;
    // Slant √(40² + 20²) = 44.7214, sin α = 0.447214: radii 30 and 50 by it, angle 360° by it.
    expect(row!.frustum.slantMm).toBeCloseTo(44.7214, 3);
    expect(row!.frustum.foreRadiusMm).toBeCloseTo(67.082, 2);
    expect(row!.frustum.aftRadiusMm).toBeCloseTo(111.8034, 2);
    expect(row!.frustum.sectorDegrees).toBeCloseTo(160.997, 2);
  });

  it('is the same sector turned round for a frustum that grows forward', () => {
    const [grows, shrinks] = [
      roundOf(
        stack([
          [0, 60],
          [40, 100],
        ]),
      ),
      roundOf(
        stack([
          [0, 100],
          [40, 60],
        ]),
      ),
    ].map(({ parts }) => parts[0]!);
    expect(arcLength(shrinks!, 'fore')).toBeCloseTo(arcLength(grows!, 'aft'), 6);
    expect(arcLength(shrinks!, 'aft')).toBeCloseTo(arcLength(grows!, 'fore'), 6);
    expect(notClosed([grows!])).toEqual([]);
    expect(notClosed([shrinks!])).toEqual([]);
  });
});

describe('a stack of frusta', () => {
  it('has joints of equal length where it bulges, for the outside that is kept', () => {
    const { parts } = roundOf(
      stack([
        [0, 50],
        [60, 90],
        [140, 110],
        [220, 90],
      ]),
    );
    for (const at of [0, 1])
      expect(Math.abs(arcLength(parts[at]!, 'aft') - arcLength(parts[at + 1]!, 'fore'))).toBeLessThan(0.01);
    // 2π · 45 and 2π · 55 on the outside.
    expect(arcLength(parts[0]!, 'aft')).toBeCloseTo(282.743, 2);
    expect(arcLength(parts[1]!, 'aft')).toBeCloseTo(345.575, 2);
  });

  it('closes at random, bulging or waisted, whichever skins are kept', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            run: fc.double({ min: 40, max: 120, noNaN: true }),
            across: fc.double({ min: 55, max: 110, noNaN: true }),
          }),
          {
            minLength: 2,
            maxLength: 4,
          },
        ),
        fc.constantFrom<RollSkins>('both', 'outer', 'inner', 'none'),
        fc.constantFrom<'below' | 'above'>('below', 'above'),
        (bays, skins, seam) => {
          let aft = 0;
          const made = roundOf({ ...stack(bays.map(({ run, across }) => [(aft += run), across])), skins, seam });
          for (const [index, row] of made.figures!.rows.slice(1).entries())
            expect(Math.abs(row.foreArcMm - made.figures!.rows[index]!.aftArcMm)).toBeLessThan(0.01);
          expect(notClosed(made.parts)).toEqual([]);
        },
      ),
      { numRuns: 6, seed: 30, endOnFailure: true },
    );
  });

  it('lies nearer to a curve with every frustum more, with its joints on it', () => {
    const curved = (frusta: number): MadeRound =>
      roundOf({ ...roundFromNumbers({ ...usualRound('mm'), frusta, material: 'foam' }, T) });
    const off = [1, 2, 4, 8].map((frusta) => curved(frusta).figures!.deviationMm);
    expect(off).toEqual([...off].sort((a, b) => b - a));
    // A chord's deviation falls with the square of its length.
    expect(off[3]! / off[2]!).toBeGreaterThan(0.15);
    expect(off[3]! / off[2]!).toBeLessThan(0.4);
    const { wanted, corners } = curved(4).site!.profile;
    for (const corner of corners)
      expect(Math.min(...wanted.map((p) => Math.hypot(p.x - corner.x, p.y - corner.y)))).toBeLessThan(1e-6);
  });

  it('scales by its parameters: the flat of twice the pod, not twice its flat', () => {
    const form = formOf(
        stack([
          [0, 60],
          [80, 90],
        ]),
      ),
      twice = makeForm(scaleForm(form, 2), CONTEXT);
    expect(twice.figures!.rows[0]!.frustum.aft.y).toBeCloseTo(90, 3);
    expect(twice.figures!.leastBoreMm).toBeGreaterThan(2 * roundOf(form.parameters).figures!.leastBoreMm);
  });
});

describe('rings', () => {
  it('fit the bore with room for glue, their rim leaning as the side does', () => {
    const lean = {
      ...stack([
        [0, 60],
        [100, 100],
      ]),
      rings: [{ id: 'g1', aftMm: 50, rimMm: 10 }],
    };
    const { parts } = roundOf(lean),
      ring = parts.at(-1)!;
    // Half way the outside has a radius of 40, at the ring's aft face 41; the board takes 5/cos(11.31°) = 5.099, glue 0.15.
    expect(outlineOf(ring)!.nodes[0]!.x).toBeCloseTo(41 - 5.099 - 0.15, 2);
    expect(ring.operations[0]).toMatchObject({ kind: 'bevel', face: 'back', bevelDegrees: 11.31 });
    expect(notClosed(parts)).toEqual([]);
  });

  it('are full discs where the rim leaves no hole, and are told of', () => {
    const { faults } = roundOf({ ...tube, rings: [{ id: 'g1', aftMm: 50, rimMm: 30 }] });
    expect(faults.map(({ code }) => code)).toEqual(['RING_SOLID']);
  });
});

describe('rounds that cannot be', () => {
  const blockingOf = (parameters: RoundParameters) => {
    const { faults, parts } = roundOf(parameters);
    return parts.length === 0 ? faults[0] : undefined;
  };
  it.each<readonly [string, RoundParameters]>([
    [
      'BORE_NONE',
      stack([
        [0, 12],
        [80, 60],
      ]),
    ],
    [
      'FRUSTUM_STEEP',
      stack([
        [0, 30],
        [10, 120],
      ]),
    ],
    [
      'STATION_ORDER',
      stack([
        [0, 60],
        [2, 60],
      ]),
    ],
    ['TOO_FEW_STATIONS', stack([[0, 60]])],
    [
      'OUT_OF_BOUNDS',
      stack([
        [0, 60],
        [1000, 5000],
      ]),
    ],
  ])('are refused with what works: %s', (code, parameters) => {
    const fault = blockingOf(parameters);
    expect(fault).toMatchObject({ code, isBlocking: true });
    const changes = fault!.mend!.changes;
    if (changes.length === 0) return;
    const station = Number(changes[0]!.path.split('.')[1]),
      key = changes[0]!.path.split('.')[2]!;
    const mended = {
      ...parameters,
      stations: parameters.stations.map((one, index) =>
        index === station ? { ...one, [key]: changes[0]!.value } : one,
      ),
    };
    expect(blockingOf(mended)).toBeUndefined();
  });

  it('say when a board is rolled too tightly, and with which skin off it goes', () => {
    // 60 across with both skins: the inside gives way by 5/30 = 17 %, of which a twelfth goes well.
    const [fault] = roundOf({ ...tube, skins: 'both' }).faults;
    expect(fault).toMatchObject({ code: 'ROLLED_TIGHT', mend: { changes: [{ path: 'skins', value: 'outer' }] } });
    expect(roundOf(tube).faults).toEqual([]);
  });
});
