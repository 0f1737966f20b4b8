import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, context, groove, plate, withLine } from '../../test/samples.ts';
import { flatStrip, foldedSize } from '../allowance/index.ts';
import { applyRigid, type Point3 } from '../geometry/index.ts';
import type { FoldStyle, OperationDraft } from '../operations/index.ts';
import { emptyPart, type Part } from '../part/index.ts';
import { scalePart } from '../scale/index.ts';
import { plateBody, type FoldedPart } from './folded-part.ts';
import { foldedSizes, sizeCommand } from './folded-sizes.ts';
import { clashesOf } from './interference.ts';

const folded = (part: Part, thicknessMm = 5): FoldedPart => plateBody(part, { ...context, thicknessMm })!;
/** Outside of the folded solids, along an axis. */
function outside({ solids, maps }: FoldedPart, axis: 'x' | 'y' | 'z'): number {
  const corners = solids.flatMap(({ bottom, top, thicknessMm, plate: { index } }) =>
    [...bottom.map((p): Point3 => ({ ...p, z: 0 })), ...top.map((p): Point3 => ({ ...p, z: thicknessMm }))].map(
      (p) => applyRigid(maps[index]!, p)[axis],
    ),
  );
  return Math.max(...corners) - Math.min(...corners);
}
const strip = (
  sides: readonly (readonly [number, 'outer' | 'inner'])[],
  folds: readonly (readonly [number, FoldStyle])[],
  thicknessMm: number,
): Part =>
  after(emptyPart('p1', 'Strip', 'foam'), {
    name: 'foldStrip',
    args: {
      lengthMm: 100,
      thicknessMm,
      sides: sides.map(([sizeMm, is]) => ({ sizeMm, is })),
      folds: folds.map(([foldDegrees, style]) => ({ foldDegrees, style })),
    },
  });

describe('a strip from wanted sizes', () => {
  test('a channel 60 wide outside and 30 deep inside, by hand: flat 35 + 60 + 35 in 5 mm board', () => {
    const sides = [
      { sizeMm: 30, is: 'inner' },
      { sizeMm: 60, is: 'outer' },
      { sizeMm: 30, is: 'inner' },
    ] as const;
    expect(
      flatStrip(
        sides,
        [
          { foldDegrees: 90, isTrench: false },
          { foldDegrees: 90, isTrench: false },
        ],
        5,
      ),
    ).toEqual({ lines: [expect.closeTo(35, 9), expect.closeTo(95, 9)], lengthMm: expect.closeTo(130, 9) });
  });
  test('a doubled board 50 wide takes 50 + 10 + 50', () => {
    const sides = [
      { sizeMm: 50, is: 'outer' },
      { sizeMm: 50, is: 'outer' },
    ] as const;
    expect(flatStrip(sides, [{ foldDegrees: 180, isTrench: true }], 5)).toEqual({ lines: [55], lengthMm: 110 });
  });
  test('a slit that folds away keeps its skin inside: 40 inside is 40 flat and gapes to 42.9 outside at 60°', () => {
    expect(foldedSize(40, [-60, 0], 5)).toEqual({
      innerMm: 40,
      outerMm: expect.closeTo(40 + 5 * Math.tan(Math.PI / 6), 9),
    });
  });
  test('channels of every style and any board have the outside that was asked, within 0.02 mm, and press nowhere', () => {
    const size = fc.double({ min: 25, max: 90, noNaN: true });
    // Both walls fold the same way: toward the face, or away from it at slits.
    const styles = fc.constantFrom<readonly [FoldStyle, FoldStyle]>(
      ['groove', 'groove'],
      ['groove', 'trench'],
      ['trench', 'groove'],
      ['trench', 'trench'],
      ['slit', 'slit'],
    );
    fc.assert(
      fc.property(
        size,
        size,
        styles,
        fc.double({ min: 2.5, max: 7, noNaN: true }),
        fc.constantFrom('outer' as const, 'inner' as const),
        (depth, width, [first, second], t, is) => {
          const channel = folded(
            strip(
              [
                [depth, is],
                [width, is],
                [depth, is],
              ],
              [
                [90, first],
                [90, second],
              ],
              t,
            ),
            t,
          );
          // Inside sizes are those outside less the walls that bound them: one at the foot, two across. Which plate stands still is not asked.
          const [high, wide] = [depth + (is === 'inner' ? t : 0), width + (is === 'inner' ? 2 * t : 0)];
          const spans = [outside(channel, 'y'), outside(channel, 'z')].sort((a, b) => a - b);
          [high, wide]
            .sort((a, b) => a - b)
            .forEach((wanted, index) => expect(Math.abs(spans[index]! - wanted)).toBeLessThan(0.02));
          expect(clashesOf(channel.solids, channel.tree, channel.maps)).toEqual([]);
        },
      ),
      { numRuns: oracleRuns(60) },
    );
  });
  test('a box of four sides closes: its last edge comes to its first', () => {
    const box = folded(
      strip(
        [
          [40, 'outer'],
          [60, 'outer'],
          [40, 'outer'],
          [60, 'outer'],
        ],
        [
          [90, 'groove'],
          [90, 'groove'],
          [90, 'groove'],
        ],
        5,
      ),
    );
    expect(box.near[0]).toMatchObject({ gapMm: expect.closeTo(0, 6) });
    expect([outside(box, 'y'), outside(box, 'z')].sort((a, b) => a - b)).toEqual([
      expect.closeTo(40, 2),
      expect.closeTo(60, 2),
    ]);
  });
  test.each<[string, Parameters<typeof strip>]>([
    [
      'more than 0, got 0.0 mm',
      [
        [
          [0, 'outer'],
          [40, 'outer'],
        ],
        [[90, 'groove']],
        5,
      ],
    ],
    [
      'up to 120',
      [
        [
          [40, 'outer'],
          [40, 'outer'],
        ],
        [[150, 'groove']],
        5,
      ],
    ],
    [
      '90° or 180°',
      [
        [
          [40, 'outer'],
          [40, 'outer'],
        ],
        [[60, 'trench']],
        5,
      ],
    ],
    ['2 to 40 sides', [[[40, 'outer']], [], 5]],
    [
      'must be more than 0, got -3.0 mm',
      [
        [
          [-3, 'inner'],
          [40, 'outer'],
        ],
        [[90, 'groove']],
        5,
      ],
    ],
  ])('%s: refused', (words, args) => expect(() => strip(...args)).toThrow(words));
});

describe('sizes of a folded part', () => {
  const trench: OperationDraft = {
    kind: 'trench',
    face: 'face',
    foldDegrees: 90,
    widthMm: 'auto',
    side: 'right',
    label: '',
  };
  const channel = (): Part =>
    withLine(withLine(plate(200, 140), [0, 40], [200, 40], groove()), [0, 100], [200, 100], trench);
  test('are told outside and inside for floor and walls', () => {
    const sizes = foldedSizes(folded(channel()))
      .map(({ outerMm, innerMm }) => [outerMm, innerMm].map((mm) => Math.round(mm * 1000) / 1000))
      .sort((a, b) => b[0]! - a[0]!);
    expect(sizes).toEqual([
      [60, 50],
      [40, 35],
      [40, 35],
    ]);
  });
  test.each([
    ['outer', 72.5, 72.5],
    ['inner', 64, 74],
  ] as const)(
    'the floor is set to %s %d: it measures %d outside, and the walls keep their height',
    (is, wanted, wide) => {
      const part = channel(),
        now = folded(part),
        floor = foldedSizes(now).find(({ outerMm }) => Math.abs(outerMm - 60) < 0.01)!;
      const set = folded(after(part, sizeCommand(part, floor, is, wanted)));
      expect(outside(set, 'y')).toBeCloseTo(wide, 2);
      expect(outside(set, 'z')).toBeCloseTo(40, 2);
    },
  );
  test('a wall is set by its free edge; folded at twice the size, 20 mm more are 10 mm on the drawing', () => {
    const part = channel(),
      large = folded(scalePart(part, 2));
    const wall = foldedSizes(large).find(({ outerMm, ends }) => Math.abs(outerMm - 80) < 0.01 && ends[1].from.y > 200)!;
    const command = sizeCommand(part, wall, 'outer', 100, 2);
    expect(Math.max(...after(part, command).contours[0]!.nodes.map(({ y }) => y))).toBeCloseTo(150, 9);
  });
});
