import fc from 'fast-check';
import { intersectionOf, polygonArea, regionArea, type Point, type Region } from '../geometry/index.ts';
import { layoutFaults } from './check-layout.ts';
import { ForbiddenShifts, MANY } from './forbidden-shifts.ts';
import type { NestInstance, NestPart, XY } from './instance.ts';
import { boardsByArea } from './lower-bound.ts';
import { nest, searchNest } from './search-nest.ts';
import type { SearchStep } from './search-parts.ts';
import { stripsOf } from './strips.ts';

/** A star of so many corners round the middle of its box, every second corner drawn in. */
const star = fc
  .tuple(
    fc.integer({ min: 20, max: 160 }),
    fc.integer({ min: 15, max: 120 }),
    fc.integer({ min: 3, max: 11 }),
    fc.double({ min: 0.3, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 6, noNaN: true }),
  )
  .map(([width, height, corners, dent, lean]): XY[] =>
    Array.from({ length: corners }, (_, index): XY => {
      const angle = lean + (2 * Math.PI * index) / corners,
        reach = index % 2 === 0 ? 1 : dent;
      return [(width / 2) * (1 + reach * Math.cos(angle)), (height / 2) * (1 + reach * Math.sin(angle))];
    }),
  );
const region = (...rings: readonly (readonly XY[])[]): Region => rings.map((ring) => ring.map(([x, y]) => ({ x, y })));
const inner = (ring: readonly XY[], by: number): XY[] => {
  const middle = ring.reduce(([sx, sy], [x, y]): XY => [sx + x / ring.length, sy + y / ring.length], [0, 0] as XY);
  return ring.map(([x, y]): XY => [middle[0] + (x - middle[0]) * by, middle[1] + (y - middle[1]) * by]).reverse();
};
const movedBy = (rings: Region, dx: number, dy: number): Region =>
  rings.map((ring) => ring.map((p): Point => ({ x: p.x + dx, y: p.y + dy })));

test('forbidden shifts are those at which the clipping library finds a common area, holes and oblique edges included', () => {
  fc.assert(
    fc.property(
      star,
      star,
      fc.boolean(),
      fc.double({ min: -1, max: 1, noNaN: true }),
      fc.double({ min: -1.2, max: 1.2, noNaN: true }),
      (first, second, isHollow, rowShare, shiftShare) => {
        const a = region(first, ...(isHollow ? [inner(first, 0.7)] : [])),
          b = region(second);
        const [stripsA, stripsB] = [stripsOf(a), stripsOf(b)];
        const pitchMm = 1.7;
        const table = new ForbiddenShifts([stripsA, stripsB], pitchMm);
        const rows = Math.round((rowShare * (rowShare > 0 ? stripsA.height : stripsB.height)) / pitchMm),
          shift = shiftShare * (shiftShare > 0 ? stripsA.width : stripsB.width);
        const place = table.place(0, 1, rows);
        const [low, high] = place < 0 ? [1, -1] : [table.rows[place]!, table.rows[place + 1]!];
        const intervals: [number, number][] =
          low === MANY
            ? Array.from({ length: table.pool[high]! }, (_, index) => [
                table.pool[high + 1 + 2 * index]!,
                table.pool[high + 2 + 2 * index]!,
              ])
            : low < high
              ? [[low, high]]
              : [];
        // Measured from the lower left corners of both.
        const moved = movedBy(b, stripsA.minX - stripsB.minX + shift, stripsA.minY - stripsB.minY + rows * pitchMm);
        const common = regionArea(intersectionOf(a, moved));
        const isForbidden = intervals.some(([from, to]) => shift > from && shift < to);
        const nearEnd = Math.min(Infinity, ...intervals.flat().map((end) => Math.abs(end - shift)));
        if (common > 1e-2) expect(isForbidden).toBe(true);
        if (isForbidden && nearEnd > 0.05) expect(common).toBeGreaterThan(0);
        if (!isForbidden) expect(common).toBeLessThan(1e-2);
      },
    ),
    { numRuns: 400 },
  );
});

const part = (id: string, polygon: readonly XY[], quantity: number, more: Partial<NestPart> = {}): NestPart => ({
  id,
  polygon,
  quantity,
  rotations: [0, 90, 180, 270],
  ...more,
});
const box = (width: number, height: number): XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
function steps(instance: NestInstance, seed: number, count: number): readonly SearchStep[] {
  const search = searchNest(instance, { seed });
  return Array.from({ length: count }, () => search.next().value);
}

test('every nest on the way is valid, never worse than before, and the same for the same seed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(star, fc.integer({ min: 1, max: 4 }), fc.boolean(), fc.boolean()), {
        minLength: 3,
        maxLength: 6,
      }),
      fc.constantFrom(0, 0.4, 2, 5),
      fc.constantFrom(0, 3, 12),
      fc.boolean(),
      fc.integer({ min: 1, max: 99 }),
      (shapes, clearance, edgeMargin, isOffcut, seed) => {
        const instance: NestInstance = {
          name: 'any',
          clearance,
          edgeMargin,
          boards: [
            {
              id: 'new',
              width: 300,
              height: 220,
              count: 30,
              price: 5,
              holes: [box(30, 20).map(([x, y]) => [x + 200, y + 150])],
            },
            ...(isOffcut
              ? [
                  {
                    id: 'offcut',
                    width: 250,
                    height: 200,
                    count: 1,
                    polygon: [
                      [0, 0],
                      [250, 0],
                      [180, 200],
                      [0, 160],
                    ] as const,
                  },
                ]
              : []),
          ],
          parts: shapes.map(([polygon, quantity, isHollow, isFree], index) =>
            part(`p${index}`, polygon, quantity, {
              ...(isHollow ? { holes: [inner(polygon, 0.6)] } : {}),
              ...(isFree ? { rotations: Array.from({ length: 24 }, (_, turn) => 15 * turn), allowMirror: true } : {}),
            }),
          ),
        };
        const taken = steps(instance, seed, 24);
        let last: SearchStep | undefined;
        for (const step of taken) {
          if (step.improved) expect(layoutFaults(instance, step.layout)).toEqual([]);
          if (
            last?.layout.unplaced.length === step.layout.unplaced.length &&
            last.layout.boards.length === step.layout.boards.length
          )
            expect(step.score.effectiveBoards).toBeLessThanOrEqual(last.score.effectiveBoards + 1e-9);
          last = step;
        }
        expect(steps(instance, seed, 24).at(-1)!.layout).toEqual(last!.layout);
      },
    ),
    { numRuns: 5 },
  );
});

test('ten plates cut from one board by slanting cuts, and made smaller to 80 %, find back onto one board', () => {
  // Five columns of a board of 500 × 300, each cut in two by a slanting line; every plate then shrinks about its middle to √0.8.
  const shrink = Math.sqrt(0.8);
  const plates = [0, 1, 2, 3, 4].flatMap((column): XY[][] => {
    const left = column * 100,
      [low, high] = column % 2 === 0 ? [110, 190] : [200, 90];
    return [
      [
        [left, 0],
        [left + 100, 0],
        [left + 100, high],
        [left, low],
      ],
      [
        [left, low],
        [left + 100, high],
        [left + 100, 300],
        [left, 300],
      ],
    ];
  });
  const instance: NestInstance = {
    name: 'plates',
    clearance: 0,
    boards: [{ id: 'b', width: 500, height: 300, count: 4 }],
    parts: plates.map((ring, index) =>
      part(
        `p${index}`,
        ring.map(([x, y]): XY => [x * shrink, y * shrink]),
        1,
      ),
    ),
  };
  const area = instance.parts.reduce((sum, { polygon }) => sum + polygonArea(polygon.map(([x, y]) => ({ x, y }))), 0);
  expect(area / (500 * 300)).toBeCloseTo(0.8, 6);
  let found: SearchStep | undefined;
  for (found of searchNest(instance, { seed: 1 })) if (found.layout.boards.length === 1 || found.tried === 400) break;
  expect(found!.layout.boards).toHaveLength(1);
  expect(layoutFaults(instance, found!.layout)).toEqual([]);
});

test('on boards that are too few, what found no place in any order is placed by moving the others', () => {
  // Two L plates that only interlock turned by half, and a plate for the corner that they leave: 3 pieces, one board.
  const l: XY[] = [
    [0, 0],
    [200, 0],
    [200, 60],
    [60, 60],
    [60, 200],
    [0, 200],
  ];
  const instance: NestInstance = {
    name: 'few',
    clearance: 2,
    edgeMargin: 2,
    boards: [{ id: 'b', width: 280, height: 280, count: 1 }],
    parts: [part('l', l, 2, { rotations: [0, 180] }), part('strip', box(270, 8), 1)],
  };
  const found = steps(instance, 3, 60).at(-1)!;
  expect(found.layout.unplaced).toEqual([]);
  expect(layoutFaults(instance, found.layout)).toEqual([]);
});

test('a part too large for any board, and 250 pieces at once, end neither in silence nor in a fault', () => {
  const instance: NestInstance = {
    name: 'many',
    clearance: 2,
    boards: [{ id: 'b', width: 400, height: 300, count: 9 }],
    parts: [part('plate', box(41, 17), 250), part('long', box(401, 10), 2)],
  };
  const taken = steps(instance, 1, 16);
  expect(taken.at(-1)!.layout.unplaced).toEqual([{ partId: 'long', quantity: 2 }]);
  expect(layoutFaults(instance, taken.at(-1)!.layout)).toEqual([]);
});

test('of many pieces the nest is told as it grows, and a quick one has them all', () => {
  const instance: NestInstance = {
    name: 'very many',
    clearance: 2,
    boards: [{ id: 'b', width: 700, height: 500, count: 99 }],
    parts: [part('plate', box(41, 17), 450), part('square', box(30, 30), 200)],
  };
  const search = searchNest(instance, { seed: 1 });
  const told: SearchStep[] = [];
  do told.push(search.next().value);
  while (told.at(-1)!.isGrowing);
  // 650 pieces, 200 at a time: three beginnings, and the whole.
  expect(told.map(({ layout }) => layout.boards.flatMap(({ placements }) => placements).length)).toEqual([
    200, 400, 600, 650,
  ]);
  expect(told.map(({ improved }) => improved)).toEqual([true, true, true, true]);
  for (const { layout } of told) expect(layoutFaults(instance, layout)).toEqual([]);
  expect(nest(instance, { seed: 1, steps: 1 }).layout.unplaced).toEqual([]);
});

test.each<[string, Partial<NestInstance>]>([
  ['a clearance of a metre', { clearance: 1000 }],
  ['margins wider than the board', { edgeMargin: 151 }],
  [
    'an odd offcut narrower than its margins',
    {
      edgeMargin: 25,
      boards: [
        {
          id: 'sliver',
          width: 400,
          height: 45,
          count: 1,
          polygon: [
            [0, 0],
            [400, 0],
            [400, 45],
            [30, 40],
          ],
        },
      ],
    },
  ],
])('with %s nothing is placed, everything is told, and the search goes on quietly', (_, changes) => {
  const instance: NestInstance = {
    name: 'none',
    clearance: 2,
    boards: [{ id: 'b', width: 400, height: 300, count: 2 }],
    parts: [part('plate', box(60, 40), 3)],
    ...changes,
  };
  const last = steps(instance, 1, 20).at(-1)!;
  expect(last.layout).toMatchObject({ boards: [], unplaced: [{ partId: 'plate', quantity: 3 }] });
  expect(last.score).toEqual({ unplacedMm2: 3 * 60 * 40, cost: 0, effectiveBoards: 0 });
});

test('by area alone: two thirds of a board of parts with holes, on the larger of two kinds', () => {
  const instance: NestInstance = {
    name: 'area',
    clearance: 2,
    boards: [
      { id: 'small', width: 100, height: 100, count: 9 },
      { id: 'large', width: 300, height: 200, count: 9 },
    ],
    // Two frames of 200 × 120 with holes of 100 × 40: 2 · (24,000 − 4,000) of 60,000 mm².
    parts: [part('frame', box(200, 120), 2, { holes: [box(100, 40).map(([x, y]): XY => [x + 50, y + 40])] })],
  };
  expect(boardsByArea(instance)).toBeCloseTo(2 / 3, 9);
  expect(steps(instance, 1, 12).at(-1)!.score.effectiveBoards).toBeGreaterThan(2 / 3);
});
