import fc from 'fast-check';
import { oracleRuns } from '../../test/oracle-runs.ts';
import { after, airframeOf, foam } from '../../test/samples.ts';
import { applyRigid, composeRigid, invertRigid } from '../geometry/index.ts';
import type { FoldStyle } from '../operations/index.ts';
import { emptyPart, type Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { standingPart } from './made-at-scale.ts';
import { foldFaults } from './fold-faults.ts';
import { withSizesKept } from './kept-sizes.ts';

type Side = readonly [number, 'outer' | 'inner'];
const strip = (sides: readonly Side[], folds: readonly (readonly [number, FoldStyle])[], thicknessMm: number): Part =>
  after(emptyPart('box', 'Power box', 'foam'), {
    name: 'foldStrip',
    args: {
      lengthMm: 80,
      thicknessMm,
      sides: sides.map(([sizeMm, is]) => ({ sizeMm, is })),
      folds: folds.map(([foldDegrees, style]) => ({ foldDegrees, style })),
    },
  });
const inBoard = (part: Part, thicknessMm: number): Airframe =>
  airframeOf([part], { boards: [{ ...foam, thicknessMm }] });
const measuredAnew = (airframe: Airframe, thicknessMm: number): Airframe =>
  withSizesKept(airframe, { ...airframe, boards: [{ ...foam, thicknessMm }] }).airframe;

/** Clear width over a plate, measured on the folded solids: between the faces nearest to its middle, a little above its face. */
function clearOver(airframe: Airframe, plate: number): number {
  const { body } = standingPart(airframe, airframe.parts[0]!)!;
  const floor = body.solids.find(({ plate: { index } }) => index === plate)!;
  const back = invertRigid(body.maps[plate]!);
  const middle = floor.plate.outer.reduce((sum, { y }) => sum + y / floor.plate.outer.length, 0);
  const walls = body.solids
    .filter((solid) => solid !== floor && solid.plate.kind === 'board')
    .map((solid) => {
      const map = composeRigid(body.maps[solid.plate.index]!, back);
      const corners = [0, solid.thicknessMm].flatMap((z) =>
        (z === 0 ? solid.bottom : solid.top).map(({ x, y }) => applyRigid(map, { x, y, z })),
      );
      const values = corners.map(({ y }) => y);
      return { low: Math.min(...values), high: Math.max(...values) };
    });
  return (
    Math.min(...walls.filter(({ low }) => low > middle).map(({ low }) => low)) -
    Math.max(...walls.filter(({ high }) => high < middle).map(({ high }) => high))
  );
}

describe('a doubled power box', () => {
  // Lining, wall, floor, wall, lining: 40 clear inside between the linings.
  const box = (t: number): Part =>
    strip(
      [
        [24, 'outer'],
        [30, 'outer'],
        [40, 'inner'],
        [30, 'outer'],
        [24, 'outer'],
      ],
      [
        [180, 'trench'],
        [90, 'groove'],
        [90, 'groove'],
        [180, 'trench'],
      ],
      t,
    );
  test('is 40 + 4 boards wide outside, in 4.9 and in 5.4 mm board, and 40 clear in both', () => {
    const before = inBoard(box(4.9), 4.9),
      now = measuredAnew(before, 5.4);
    const widths = [before, now].map((airframe) => {
      const [a, b] = [1, 2].map((index) => airframe.parts[0]!.lines[index]!.nodes[0]!.y);
      return [b! - a!, clearOver(airframe, 2)];
    });
    expect(widths).toEqual([
      [expect.closeTo(40 + 4 * 4.9, 6), expect.closeTo(40, 6)],
      [expect.closeTo(40 + 4 * 5.4, 6), expect.closeTo(40, 6)],
    ]);
  });
  test('drawn without that meaning, it loses 2 mm of its clear width', () => {
    const { insideSizes: _meaning, ...loose } = box(4.9);
    expect(clearOver(measuredAnew(inBoard(loose, 4.9), 5.4), 2)).toBeCloseTo(38, 6);
  });
  test('gains its lines back when the board is measured back, and changes nothing but lines', () => {
    const before = inBoard(box(4.9), 4.9);
    const back = measuredAnew(measuredAnew(before, 5.4), 4.9).parts[0]!;
    const ys = (part: Part): readonly number[] => part.lines.flatMap(({ nodes }) => nodes.map(({ y }) => y));
    ys(before.parts[0]!).forEach((y, index) => expect(ys(back)[index]).toBeCloseTo(y, 6));
    expect(back.operations).toEqual(before.parts[0]!.operations);
  });
});

describe('the worked example: linings 25, walls 25 inside, 40 clear, in 4.9 mm board that is then measured 5.4', () => {
  const box = strip(
    [
      [25, 'outer'],
      [25, 'inner'],
      [40, 'inner'],
      [25, 'inner'],
      [25, 'outer'],
    ],
    [
      [180, 'trench'],
      [90, 'groove'],
      [90, 'groove'],
      [180, 'trench'],
    ],
    4.9,
  );
  const between = ({ parts: [part] }: Airframe): readonly number[] => {
    const ys = part!.lines.map(({ nodes }) => nodes[0]!.y);
    return ys.slice(1).map((y, index) => y - ys[index]!);
  };
  test('meant inside, everything still fits: walls 29.9 and 30.4 from the middle of their strips, floor 59.6 and 61.6', () => {
    const before = inBoard(box, 4.9),
      now = measuredAnew(before, 5.4);
    // A doubled fold's line lies in the middle of its strip: t beyond the wall.
    expect(between(before)).toEqual([29.9 + 4.9, 59.6, 29.9 + 4.9].map((mm) => expect.closeTo(mm, 6)));
    expect(between(now)).toEqual([30.4 + 5.4, 61.6, 30.4 + 5.4].map((mm) => expect.closeTo(mm, 6)));
    expect([before, now].map((airframe) => foldFaults(airframe))).toEqual([[], []]);
  });
  test('meant outside, both linings press 0.50 mm into the floor, and each is shortened by that', () => {
    const { insideSizes: _meaning, ...loose } = box;
    let now = measuredAnew(inBoard(loose, 4.9), 5.4);
    expect(foldFaults(now)).toMatchObject(
      [1, 2].map(() => ({
        title: expect.stringContaining('press 0.50 mm into each other'),
        mend: { label: 'Shorten its edge by 0.50 mm' },
      })),
    );
    for (let step = 0; step < 2; step++) {
      const { mend } = foldFaults(now)[0]!;
      if (!('command' in mend)) throw new Error(mend.label);
      now = { ...now, parts: [after(now.parts[0]!, mend.command)] };
    }
    expect(foldFaults(now)).toEqual([]);
  });
});

test('inside sizes of any box stay what they are in any other board, at any scale: measured on the folded solids', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('groove' as const, 'trench' as const),
      fc.boolean(),
      fc.double({ min: 30, max: 120, noNaN: true }),
      fc.double({ min: 2, max: 7, noNaN: true }),
      fc.double({ min: 2, max: 7, noNaN: true }),
      fc.constantFrom(0.8, 1, 1.3),
      (style, isDoubled, clear, first, second, scale) => {
        const walls: readonly Side[] = isDoubled
          ? [
              [14, 'outer'],
              [28, 'outer'],
            ]
          : [[28, 'inner']];
        const sides: readonly Side[] = [...walls, [clear, 'inner'], ...[...walls].reverse()];
        const corner = [90, style] as const,
          round = [180, 'trench'] as const;
        const folds = isDoubled ? [round, corner, corner, round] : [corner, corner];
        const fresh = inBoard(strip(sides, folds, first), first);
        const before = { ...fresh, settings: { ...fresh.settings, scale } };
        const floor = isDoubled ? 2 : 1;
        const plate = standingPart(before, before.parts[0]!)!
          .body.solids.filter(({ plate: { kind } }) => kind === 'board')
          .sort((a, b) => a.plate.outer[0]!.y - b.plate.outer[0]!.y)[floor]!.plate.index;
        const was = clearOver(before, plate),
          now = measuredAnew(before, second);
        if (scale === 1) expect(was).toBeCloseTo(clear, 4);
        expect(clearOver(now, plate)).toBeCloseTo(was, 4);
        if (style === 'groove') expect(foldFaults(now).filter(({ code }) => code === 'PLATES_PRESS')).toEqual([]);
      },
    ),
    { numRuns: oracleRuns(60) },
  );
});
