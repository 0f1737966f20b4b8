import fc from 'fast-check';
import { context, groove, made, outlined, polygonPart, withBevel, withLine } from '../../test/samples.ts';
import { intersectionOf, regionArea } from '../geometry/index.ts';
import type { OperationDraft } from '../operations/index.ts';
import { circleDraft } from '../paths/index.ts';
import { partFaults } from '../checks/index.ts';

const doubled: OperationDraft = {
  kind: 'trench',
  face: 'face',
  foldDegrees: 180,
  widthMm: 'auto',
  side: 'centre',
  label: '',
};
const wall = (side: 'left' | 'right'): OperationDraft => ({ ...doubled, foldDegrees: 90, side }) as OperationDraft;
const areaOf = (part: Parameters<typeof made>[0], at = 0): number => regionArea(made(part).strokes[at]!.area);

describe('work that ends on an oblique edge runs to it', () => {
  test('a doubled 5 mm board across a 45° end leaves no spur of 10 × 10 mm: the strip is a whole parallelogram', () => {
    // A parallelogram whose left and right ends lean by 45°: the line runs along its middle.
    const part = withLine(
      polygonPart([
        [0, 0],
        [200, 0],
        [260, 60],
        [60, 60],
      ]),
      [30, 30],
      [230, 30],
      doubled,
    );
    expect(areaOf(part)).toBeCloseTo(200 * 10, 2);
  });
  test('at any lean of both ends a groove, a trench and a trench to one side cover what lies between them', () => {
    const lean = fc.integer({ min: -70, max: 70 });
    fc.assert(
      fc.property(
        lean,
        lean,
        fc.constantFrom<OperationDraft>(groove(90), doubled, wall('left'), wall('right')),
        (a, b, work) => {
          const [p, q] = [Math.tan((a * Math.PI) / 180), Math.tan((b * Math.PI) / 180)];
          const part = withLine(
            polygonPart([
              [-20 * p, -20],
              [150 - 20 * q, -20],
              [150 + 20 * q, 20],
              [20 * p, 20],
            ]),
            [0, 0],
            [150, 0],
            work,
          );
          const resolved = made(part);
          const width = work.kind === 'trench' && work.foldDegrees === 90 ? 5 : 10;
          const [low, high] =
            width === 10 ? [-5, 5] : work.kind === 'trench' && work.side === 'left' ? [0, 5] : [-5, 0];
          const strip = [
            { x: -300, y: low },
            { x: 500, y: low },
            { x: 500, y: high },
            { x: -300, y: high },
          ];
          const wanted = regionArea(intersectionOf([resolved.outer], [strip]));
          expect(regionArea(resolved.strokes[0]!.area)).toBeCloseTo(wanted, 1);
        },
      ),
      { numRuns: 80 },
    );
  });
  test('on a disc the band reaches the round edge at both of its ends', () => {
    const [y, half] = [20, Math.sqrt(50 ** 2 - 20 ** 2)];
    const resolved = made(withLine(outlined(circleDraft({ x: 0, y: 0 }, 50)), [-half, y], [half, y], groove(90)));
    const strip = [
      { x: -60, y: 15 },
      { x: 60, y: 15 },
      { x: 60, y: 25 },
      { x: -60, y: 25 },
    ];
    const wanted = regionArea(intersectionOf([resolved.outer], [strip]));
    expect(regionArea(resolved.strokes[0]!.area)).toBeCloseTo(wanted, 0);
  });
  test('a bevel runs on to the edges beside it where they lean outwards', () => {
    // The lower edge of a trapezium that widens upwards by 45° on both sides: a band 5 deep is 100 to 110 long.
    const part = polygonPart([
      [0, 0],
      [100, 0],
      [140, 40],
      [-40, 40],
    ]);
    expect(areaOf(withBevel(part, 0, 45))).toBeCloseTo((5 * (100 + 110)) / 2, 2);
  });
  test('past the end of a line in a notch nothing else is cut: the foam beside it stays', () => {
    // The fold ends in the inner corner where a tail goes on beyond it.
    const part = withLine(
      polygonPart([
        [0, 0],
        [150, 0],
        [150, 40],
        [100, 40],
        [100, 80],
        [0, 80],
      ]),
      [0, 40],
      [100, 40],
      groove(90),
    );
    expect(areaOf(part)).toBeCloseTo(100 * 10, 2);
  });
});

test('a fold that meets its edge at 1° is told, one at 30° is run to it', () => {
  const sheet = polygonPart([
    [0, 0],
    [400, 0],
    [400, 40],
    [0, 20],
  ]);
  const slantsOf = (part: typeof sheet): readonly string[] =>
    partFaults(part, made(part), context, { boards: [], scale: 1, edgeMarginMm: 0, turnStep: 90, variants: [] })
      .filter(({ code }) => code === 'WORK_SLANT')
      .map(({ title }) => title);
  // The upper edge rises by 20 in 400; the line by 20 in 300 up to it.
  expect(slantsOf(withLine(sheet, [0, 15], [300, 35], groove(90)))).toEqual([
    'This mitre groove meets an edge of Part p1 at 1°',
  ]);
  expect(slantsOf(withLine(sheet, [240, 0], [300, 35], groove(90)))).toEqual([]);
});
