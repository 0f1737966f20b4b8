import fc from 'fast-check';
import { CONTEXT, formOf, panel, USUAL } from '../../../test/wings.ts';
import { brokenInvariant, outlineOf, outOfBounds, type Part } from '../../part/index.ts';
import { withParameters } from '../form/index.ts';
import { CORE_FIELDS, USUAL_CORE } from './core-parameters.ts';
import { makeWing } from './make-wing.ts';
import type { WingParameters } from './parameters.ts';

const CORED: WingParameters = {
  ...USUAL,
  build: 'cored',
  core: USUAL_CORE,
  section: { kind: 'naca', digits: '0012', creases: 7 },
  rootChordMm: 200,
  panels: [panel('p1', { spanMm: 400, tipChordMm: 150, sweepDegrees: 10, washoutDegrees: 2, dihedralDegrees: 3 })],
};
const templates = (parts: readonly Part[]): readonly Part[] =>
  parts.filter(({ source }) => source!.role.startsWith('template'));
const nodesOf = (part: Part) => outlineOf(part)!.nodes;

describe('templates for a hot wire', () => {
  const made = makeWing(formOf(CORED), CONTEXT),
    all = templates(made.parts);
  const named = (end: string, side: string): Part => all.find(({ name }) => name.endsWith(`${end} ${side}`))!;

  it('should give both ends an upper and a lower one, each its run as far off the section as melt and covering leave', () => {
    expect(made.faults).toEqual([]);
    expect(all).toHaveLength(4);
    // By hand: the greatest half thickness of 0012 on 200 mm is 12 mm at 30 %; the wire runs 0.6 - 0.4 off it, level there.
    const [upper, lower] = ['upper', 'lower'].map((side) => nodesOf(named('root', side)).map(({ y }) => y));
    const nose = nodesOf(named('root', 'upper')).at(-1)!.y;
    expect(Math.max(...upper!) - nose).toBeCloseTo(12.0 + 0.2, 1);
    const run = nodesOf(named('root', 'lower'))
      .slice(3, -1)
      .map(({ y }) => y);
    expect(nose - Math.min(...run)).toBeCloseTo(12.0 + 0.2, 1);
    expect(lower!.length).toBe(upper!.length);
  });

  it('should place sweep and washout on the block, whose base both ends share', () => {
    const noseX = (end: string): number => nodesOf(named(end, 'upper')).at(-2)!.x;
    // By hand: 400 mm at 10 degrees; the washed-out tip turns about 28 % of its chord.
    const washed = 0.28 * 150 * (1 - Math.cos((2 * Math.PI) / 180));
    expect(noseX('tip') - noseX('root')).toBeCloseTo(400 * Math.tan((10 * Math.PI) / 180) + washed, 1);
    const tailY = (end: string): number => nodesOf(named(end, 'upper')).find((_, index) => index === 3)!.y;
    expect(tailY('tip') - tailY('root')).toBeCloseTo(0.72 * 150 * Math.sin((2 * Math.PI) / 180), 0);
    const widths = all.map(
      (part) => Math.max(...nodesOf(part).map(({ x }) => x)) - Math.min(...nodesOf(part).map(({ x }) => x)),
    );
    expect(new Set(widths.map((width) => width.toFixed(3))).size).toBe(1);
    expect(widths[0]).toBeCloseTo(made.figures!.blocks[0]!.widthMm + 50, 3);
  });

  it('should number equal parts of each run, from 0 at the nose', () => {
    for (const part of all) {
      const strokes = part.lines.filter(({ id }) => id.startsWith('m-l-number'));
      expect(strokes).toHaveLength(11);
      const run = nodesOf(part).slice(3, -1);
      const at = (p: { x: number; y: number }): number =>
        run.findIndex((node) => Math.hypot(node.x - p.x, node.y - p.y) < 4);
      const places = strokes.map(({ nodes }) => nodes[0]!);
      expect(places.every((place) => at(place) >= 0)).toBe(true);
      const steps = places.slice(1).map((p, index) => Math.hypot(p.x - places[index]!.x, p.y - places[index]!.y));
      // Chords of equal arcs: the first, round the nose, is the shortest.
      expect(Math.max(...steps.slice(1)) - Math.min(...steps.slice(1))).toBeLessThan(0.5);
    }
  });

  it('should weigh the cores by the volume between both ends', () => {
    // By hand: the area of 0012 is 1.2 · (0.2969·2/3 - 0.063 - 0.1172 + 0.0711 - 0.0207) = 0.0817 of the square of its chord; by the formula of the prismatoid.
    const volume = (0.0817 * 400 * (200 ** 2 + 200 * 150 + 150 ** 2)) / 3 / 1000;
    expect(made.figures!.massG).toBeCloseTo((2 * volume * 20) / 1000, 1);
  });

  it('should want a drawn section, and be sound or told at the bounds of its numbers', () => {
    const [fault] = makeWing(formOf({ ...CORED, section: { kind: 'strip-spar', creases: 7 } }), CONTEXT).faults;
    expect(fault).toMatchObject({ code: 'CORED_SECTION', mend: { label: 'Take 2412' } });
    const change = fc.constantFrom(...Object.entries(CORE_FIELDS)).chain(([key, { least, most }]) =>
      fc.record({
        path: fc.constant(`core.${key}`),
        value: fc.constantFrom(least, most, least - 1, most + 1, NaN, 1e9),
      }),
    );
    fc.assert(
      fc.property(
        fc.constantFrom('2412', '0004', '23015', '6440'),
        fc.array(change, { maxLength: 3 }),
        (digits, changes) => {
          let parameters: WingParameters = withParameters(
            { ...CORED, section: { kind: 'naca', digits, creases: 7 } },
            changes,
          );
          for (let round = 0; round < 8; round++) {
            const { parts, faults } = makeWing(formOf(parameters), CONTEXT);
            for (const part of parts) {
              expect(brokenInvariant(part)).toBeUndefined();
              expect(outOfBounds(part)).toBeUndefined();
            }
            if (parts.length > 0) return;
            parameters = withParameters(parameters, faults[0]!.mend!.changes);
          }
          throw new Error('no parts after 8 mends');
        },
      ),
      { numRuns: 30 },
    );
  });
});
