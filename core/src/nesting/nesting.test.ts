import fc from 'fast-check';
import { applyTransform, polygonArea, rotation, type Point } from '../geometry/index.ts';
import { layoutFaults } from './check-layout.ts';
import type { NestBoard, NestInstance, NestLayout, NestPart, XY } from './instance.ts';
import { largestRest } from './largest-rest.ts';
import { restShape } from './rest-shape.ts';
import { instanceFault } from './read-instance.ts';
import { nest, searchNest } from './search-nest.ts';
import type { SearchStep } from './search-parts.ts';

const box = (width: number, height: number): XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
const part = (
  id: string,
  polygon: readonly XY[],
  quantity = 1,
  rotations: readonly number[] = [0, 90, 180, 270],
): NestPart => ({ id, polygon, holes: [], quantity, rotations });
const instance = (parts: readonly NestPart[], changes: Partial<NestInstance> = {}): NestInstance => ({
  name: 'test',
  boards: [{ id: 'b', width: 400, height: 300, count: 8 }],
  clearance: 2,
  parts,
  ...changes,
});
const nested = (it: NestInstance, steps = 6, seed = 1): NestLayout => nest(it, { seed, steps }).layout;

/** Independent check: every piece is painted as samples of its area, and no sample of another may lie nearer than the clearance. */
function closestSamples(it: NestInstance, layout: NestLayout): number {
  const inside = (p: Point, ring: readonly Point[]): boolean =>
    ring.reduce((odd, a, index) => {
      const b = ring[(index + ring.length - 1) % ring.length]!;
      return a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x ? !odd : odd;
    }, false);
  let closest = Infinity;
  for (const { placements } of layout.boards) {
    const rings = placements.map(({ partId, x, y, rotation: turn }) =>
      it.parts
        .find(({ id }) => id === partId)!
        .polygon.map(([px, py]) => {
          const turned = applyTransform(rotation(turn), { x: px, y: py });
          return { x: turned.x + x, y: turned.y + y };
        }),
    );
    const samples = rings.map((ring) => {
      const xs = ring.map(({ x }) => x),
        ys = ring.map(({ y }) => y);
      const found: Point[] = [];
      for (let x = Math.min(...xs); x <= Math.max(...xs); x += 4)
        for (let y = Math.min(...ys); y <= Math.max(...ys); y += 4) if (inside({ x, y }, ring)) found.push({ x, y });
      return found;
    });
    samples.forEach((own, a) =>
      samples.slice(a + 1).forEach((other) =>
        own.forEach((p) =>
          other.forEach((q) => {
            closest = Math.min(closest, Math.hypot(p.x - q.x, p.y - q.y));
          }),
        ),
      ),
    );
  }
  return closest;
}

const polygon = fc
  .tuple(
    fc.integer({ min: 20, max: 120 }),
    fc.integer({ min: 20, max: 90 }),
    fc.integer({ min: 3, max: 8 }),
    fc.integer({ min: 0, max: 100 }),
  )
  .map(([width, height, corners, dent]): XY[] =>
    Array.from({ length: corners }, (_, index) => {
      const angle = (2 * Math.PI * index) / corners,
        reach = index % 2 === 0 ? 1 : 0.45 + dent / 200;
      return [width / 2 + (width / 2) * reach * Math.cos(angle), height / 2 + (height / 2) * reach * Math.sin(angle)];
    }),
  );

test('any parts: everything is placed or told, nothing overlaps, turns and edges are kept', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(polygon, fc.integer({ min: 1, max: 3 })), { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 0, max: 6 }),
      fc.integer({ min: 1, max: 99 }),
      (shapes, clearance, seed) => {
        const it = instance(
          shapes.map(([ring, quantity], index) => part(`p${index}`, ring, quantity)),
          { clearance },
        );
        const layout = nested(it, 2, seed);
        expect(layoutFaults(it, layout)).toEqual([]);
        expect(layout.unplaced).toEqual([]);
        expect(closestSamples(it, layout)).toBeGreaterThanOrEqual(clearance - 0.05);
      },
    ),
    { numRuns: 25 },
  );
});

test('the same seed and steps give the same nest; a longer search is never worse', () => {
  const it = instance([
    part(
      'l',
      [
        [0, 0],
        [120, 0],
        [120, 30],
        [30, 30],
        [30, 120],
        [0, 120],
      ],
      8,
    ),
    part(
      't',
      [
        [0, 0],
        [90, 0],
        [45, 80],
      ],
      7,
    ),
  ]);
  expect(nested(it, 12, 5)).toEqual(nested(it, 12, 5));
  expect(nest(it, { seed: 5, steps: 30 }).score.effectiveBoards).toBeLessThanOrEqual(
    nest(it, { seed: 5, steps: 3 }).score.effectiveBoards,
  );
});

test('true shapes, not boxes: two L plates that interlock need one board where their boxes need two', () => {
  const l: XY[] = [
    [0, 0],
    [200, 0],
    [200, 60],
    [60, 60],
    [60, 200],
    [0, 200],
  ];
  const it = instance([part('l', l, 2, [0, 180])], {
    boards: [{ id: 'b', width: 280, height: 280, count: 2 }],
    clearance: 2,
    edgeMargin: 2,
  });
  expect(2 * 200).toBeGreaterThan(280);
  expect(nested(it, 10).boards).toHaveLength(1);
});

test('a piece lies in the hole of another', () => {
  const frame: NestPart = {
    ...part('frame', box(280, 280), 1, [0]),
    holes: [
      [
        [40, 40],
        [240, 40],
        [240, 240],
        [40, 240],
      ],
    ],
  };
  const it = instance([frame, part('inner', box(150, 150), 1, [0])], {
    boards: [{ id: 'b', width: 300, height: 300, count: 2 }],
    edgeMargin: 2,
  });
  const layout = nested(it, 4);
  expect(layout.boards).toHaveLength(1);
  expect(layoutFaults(it, layout)).toEqual([]);
});

test('a part held to one turn keeps it, offcuts are filled first, and holes in a board stay free', () => {
  const held = instance([part('strip', box(250, 20), 6, [90])]);
  expect(nested(held).boards.flatMap(({ placements }) => placements.map(({ rotation: turn }) => turn))).toEqual(
    Array(6).fill(90),
  );
  const withOffcut = instance([part('plate', box(90, 90), 2)], {
    boards: [
      { id: 'new', width: 400, height: 300, count: 2, price: 4 },
      { id: 'offcut', width: 220, height: 110, count: 1, price: 0 },
    ],
    edgeMargin: 2,
  });
  expect(nested(withOffcut).boards.map(({ boardId }) => boardId)).toEqual(['offcut']);
  const holed = instance([part('plate', box(120, 120), 4)], {
    boards: [
      {
        id: 'b',
        width: 400,
        height: 300,
        count: 3,
        holes: [
          [
            [150, 100],
            [250, 100],
            [250, 200],
            [150, 200],
          ],
        ],
      },
    ],
  });
  expect(layoutFaults(holed, nested(holed))).toEqual([]);
});

test('a part that may lie on some boards only lies there, also where another would be better, or finds no place', () => {
  // Four skins fill the clean board but for strips of 34 and 54; without the rule the free offcut is filled first.
  const boards: NestBoard[] = [
    { id: 'offcut', width: 300, height: 200, count: 1, price: 0 },
    { id: 'clean', width: 400, height: 300, count: 1, price: 5 },
  ];
  const parts = (quantity: number): NestPart[] => [
    { ...part('skin', box(180, 120), quantity, [0]), boards: ['clean'] },
    part('rib', box(60, 60), 6),
  ];
  let last: SearchStep | undefined;
  for (const step of searchNest(instance(parts(4), { boards }), { seed: 3 })) {
    expect(layoutFaults(instance(parts(4), { boards }), step.layout)).toEqual([]);
    last = step;
    if (step.tried >= 40) break;
  }
  const on = (id: string): string[] =>
    last!.layout.boards.filter(({ boardId }) => boardId === id).flatMap((b) => b.placements.map((p) => p.partId));
  expect(on('clean').filter((id) => id === 'skin')).toHaveLength(4);
  expect(on('offcut').filter((id) => id === 'rib')).toHaveLength(6);
  // The fifth skin finds no place, though the offcut has room for it.
  const crowded = nest(instance(parts(5), { boards }), { seed: 1, steps: 12 }).layout;
  expect(crowded.unplaced).toEqual([{ partId: 'skin', quantity: 1 }]);
  const wrong = {
    ...last!.layout,
    boards: [{ boardId: 'offcut', placements: [{ partId: 'skin', x: 5, y: 5, rotation: 0 }] }],
  };
  expect(layoutFaults(instance(parts(4), { boards }), wrong)).toContain('skin: may not lie on board "offcut"');
});

test('what finds no place is told, by part and number', () => {
  const it = instance([part('wide', box(900, 20), 2), part('small', box(50, 50), 3)], {
    boards: [{ id: 'b', width: 400, height: 300, count: 1 }],
  });
  const layout = nested(it);
  expect(layout.unplaced).toEqual([{ partId: 'wide', quantity: 2 }]);
  expect(layoutFaults(it, layout)).toEqual([]);
});

test('the checker finds overlaps, edges, wrong turns and lost pieces', () => {
  const it = instance([part('a', box(100, 100), 2, [0])]);
  const faults = layoutFaults(it, {
    seconds: 0,
    unplaced: [],
    boards: [
      {
        boardId: 'b',
        placements: [
          { partId: 'a', x: 1, y: 50, rotation: 0 },
          { partId: 'a', x: 80, y: 60, rotation: 90 },
        ],
      },
    ],
  });
  expect(faults.join('\n')).toMatch(/may not be turned by 90/);
  expect(faults.join('\n')).toMatch(/1\.00 mm from the board's edge, 2\.00 wanted/);
  expect(faults.join('\n')).toMatch(/0\.00 mm from a/);
  expect(layoutFaults(it, { seconds: 0, unplaced: [], boards: [] })).toEqual(['a: 0 of 2 accounted for']);
});

test('the largest rest of a board with one piece in its corner', () => {
  const rest = largestRest(
    { id: 'b', width: 400, height: 300, count: 1 },
    [
      {
        outer: [
          { x: 0, y: 0 },
          { x: 400, y: 0 },
          { x: 400, y: 100 },
          { x: 0, y: 100 },
        ],
        holes: [],
      },
    ],
    2,
  );
  expect(rest.maxX - rest.minX).toBe(400);
  expect(rest.maxY - rest.minY).toBeGreaterThanOrEqual(196);
  expect(rest.minY).toBeGreaterThanOrEqual(100);
});

test.each<[string, unknown, string]>([
  ['nothing', null, ''],
  ['no boards', { ...instance([]), boards: [] }, 'boards'],
  ['a clearance of NaN', { ...instance([part('a', box(1, 1))]), clearance: Number.NaN }, 'clearance'],
  [
    'two corners',
    instance([
      part('a', [
        [0, 0],
        [1, 1],
      ]),
    ]),
    'polygon',
  ],
  [
    'text for a corner',
    {
      ...instance([]),
      parts: [
        {
          id: 'a',
          polygon: [
            ['x', 1],
            [2, 3],
            [4, 5],
          ],
          quantity: 1,
          rotations: [0],
        },
      ],
    },
    'polygon',
  ],
  ['quantity −1', instance([part('a', box(1, 1), -1)]), 'quantity'],
  ['no turns', instance([part('a', box(1, 1), 1, [])]), 'rotations'],
])('an instance with %s is refused by name', (_, data, word) => expect(instanceFault(data)).toContain(word));
test('a sound instance has no fault', () => expect(instanceFault(instance([part('a', box(10, 10))]))).toBeUndefined());

test('the rest of a board in one piece: what no part takes, without strips too narrow for use; a part in its midst leaves none', () => {
  const board = [
    { x: 0, y: 0 },
    { x: 400, y: 0 },
    { x: 400, y: 300 },
    { x: 0, y: 300 },
  ];
  const at = (x: number, y: number, width: number, height: number) => ({
    outer: [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
    holes: [],
  });
  // A corner of 200 × 100 is taken, with 2 mm for the cut: 400 · 300 − 202 · 102 is left, in an L of six corners.
  const rest = restShape(board, [at(0, 0, 200, 100)], { minX: 202, minY: 0, maxX: 400, maxY: 300 }, 2)!;
  expect(rest).toHaveLength(6);
  expect(polygonArea(rest)).toBeCloseTo(400 * 300 - 202 * 102, 3);
  // A part 20 mm from the edge leaves a strip of 18 that is not kept.
  const strip = restShape(board, [at(20, 0, 200, 300)], { minX: 222, minY: 0, maxX: 400, maxY: 300 }, 2)!;
  expect(polygonArea(strip)).toBeCloseTo(178 * 300, 3);
  expect(restShape(board, [at(150, 100, 40, 40)], { minX: 0, minY: 142, maxX: 400, maxY: 300 }, 2)).toBeUndefined();
});

test('a part as large as the board leaves between its margins is placed at once, and one a hair larger is not', () => {
  const limits = fc.record({
    width: fc.double({ min: 60, max: 900, noNaN: true }),
    height: fc.double({ min: 60, max: 900, noNaN: true }),
    margin: fc.constantFrom(0, 1, 5, 12.7),
    clearance: fc.constantFrom(0, 0.5, 3, 25.4),
    share: fc.double({ min: 0.2, max: 0.8, noNaN: true }),
    isRound: fc.boolean(),
  });
  fc.assert(
    fc.property(limits, ({ width, height, margin, clearance, share, isRound }) => {
      const boards = [
        { id: 'other', width: 11, height: 17, count: 1 },
        { id: 'B', width, height, count: 2 },
      ];
      const across = width - 2 * margin,
        up = height - 2 * margin;
      // Two that fill the board with the clearance between them, and an ellipse that touches all four margins.
      const ellipse = Array.from({ length: 180 }, (_, index): [number, number] => [
        (across / 2) * (1 + Math.cos((index * Math.PI) / 90)),
        (up / 2) * (1 + Math.sin((index * Math.PI) / 90)),
      ]);
      const left = (across - clearance) * share;
      const flush = isRound
        ? [{ id: 'round', polygon: ellipse, quantity: 1, rotations: [0] }]
        : [{ id: 'left', polygon: box(left, up), quantity: 1, rotations: [0] }];
      const it: NestInstance = { name: 'limit', boards, clearance, edgeMargin: margin, parts: flush };
      const layout = nested(it, 1);
      expect(layout.unplaced).toEqual([]);
      expect(layoutFaults(it, layout)).toEqual([]);
      const tooTall = {
        ...it,
        parts: [{ ...flush[0]!, polygon: flush[0]!.polygon.map(([x, y]) => [x, y * (1 + 0.02 / up)] as const) }],
      };
      expect(nested(tooTall, 1).unplaced.length).toBe(1);
      if (isRound) return;
      const two = {
        ...it,
        parts: [
          ...flush,
          { id: 'right', polygon: box(across - clearance - left - 0.04, up), quantity: 1, rotations: [0] },
        ],
      };
      const both = nested(two, 9);
      expect(both.boards.length).toBe(1);
      expect(layoutFaults(two, both)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('few pieces are nested in every order, so that the order in which they are given is of no matter', () => {
  const shapes = fc.tuple(fc.integer({ min: 60, max: 240 }), fc.integer({ min: 60, max: 240 }));
  fc.assert(
    fc.property(fc.array(shapes, { minLength: 2, maxLength: 4 }), fc.integer({ min: 0, max: 3 }), (sizes, by) => {
      const parts = sizes.map(([width, height], at) => ({
        id: `p${at}`,
        polygon: box(width, height),
        quantity: 1,
        rotations: [0],
      }));
      const boards = [{ id: 'B', width: 300, height: 300, count: 4 }];
      const orders = [0, 1, 2, 6, 24][sizes.length]!;
      const boardsFor = (list: typeof parts, seed: number): number =>
        nest({ name: 'few', boards, clearance: 0, parts: list }, { seed, steps: 9 + orders }).score.effectiveBoards;
      expect(boardsFor([...parts.slice(by), ...parts.slice(0, by)].reverse(), 7)).toBeCloseTo(boardsFor(parts, 1), 6);
    }),
    { numRuns: 15 },
  );
});
