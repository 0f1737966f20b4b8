import fc from 'fast-check';
import { cheaperPlans, hasChoiceOfBoards, planned } from './board-plans.ts';
import { layoutFaults } from './check-layout.ts';
import type { NestBoard, NestInstance, NestPart, XY } from './instance.ts';
import { nest, searchNest } from './search-nest.ts';

const box = (width: number, height: number): readonly XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
const small: NestBoard = { id: 'small', width: 400, height: 300, count: 9, price: 3 };
const large: NestBoard = { id: 'large', width: 700, height: 500, count: 9, price: 5 };
const instanceOf = (boards: readonly NestBoard[], sizes: readonly (readonly [number, number])[]): NestInstance => ({
  name: 'boards of two prices',
  clearance: 2,
  edgeMargin: 3,
  boards,
  parts: sizes.map(([width, height], at): NestPart => ({
    id: `p${at}`,
    quantity: 1,
    rotations: [0, 90],
    polygon: box(width, height),
  })),
});
function after(instance: NestInstance, steps: number): { readonly cost: number; readonly boards: readonly string[] } {
  const search = searchNest(instance, { seed: 1 });
  let step = search.next().value;
  for (let count = 1; count < steps; count++) {
    const next = search.next().value;
    if (next.score.unplacedMm2 === step.score.unplacedMm2) expect(next.score.cost).toBeLessThanOrEqual(step.score.cost);
    step = next;
  }
  expect(layoutFaults(instance, step.layout)).toEqual([]);
  expect(step.layout.unplaced).toEqual([]);
  return { cost: step.score.cost, boards: step.layout.boards.map(({ boardId }) => boardId).sort() };
}
/** Each takes more than half of a small board either way; a large one holds two of them, side by side. */
const plates = (count: number): readonly (readonly [number, number])[] =>
  Array.from({ length: count }, () => [340, 280] as const);

test.each([
  // Two plates on a large board cost 5, on two small ones 6 or 4.
  [3, 4, 10, ['large', 'large']],
  [3, 3, 8, ['large', 'small']],
  [5, 4, 10, ['large', 'large']],
  [2, 4, 8, ['small', 'small', 'small', 'small']],
  // Two large ones hold four: the fifth takes a small one. Five pieces are placed in every order first.
  [2.7, 5, 12.7, ['large', 'large', 'small']],
])('small boards at %d: %d plates cost %d', (price, count, cost, boards) => {
  const found = after(instanceOf([{ ...small, price }, large], plates(count)), 150);
  expect(found.cost).toBeCloseTo(cost, 9);
  expect(found.boards).toEqual([...boards].sort());
});

test('what is given is used before anything is bought, and a lack of large boards is made up for by small ones', () => {
  const given: NestBoard = { ...large, id: 'given', price: 0, count: 1 };
  expect(after(instanceOf([small, large, given], plates(4)), 60)).toEqual({ cost: 5, boards: ['given', 'large'] });
  const few = instanceOf([small, { ...large, count: 1 }], plates(4));
  expect(after(few, 60)).toEqual({ cost: 11, boards: ['large', 'small', 'small'] });
});

test('boards that only pieces moved apart fit on are bought where they cost less', () => {
  // 83 of a hundred of a large and a small board; placed one after the other they take two large ones, or five small.
  const sizes = [
    [300, 200],
    [300, 200],
    [250, 180],
    [250, 180],
    [200, 150],
    [200, 150],
    [150, 100],
    [150, 100],
    [120, 90],
    [120, 90],
    [180, 120],
    [180, 120],
    [100, 80],
    [100, 80],
  ] as const;
  const instance = instanceOf([small, large], sizes);
  expect(nest(instance, { seed: 1, steps: 9 }).score.cost).toBe(15);
  expect(after(instance, 500)).toEqual({ cost: 8, boards: ['large', 'small'] });
});

test('plans are all that cost less and are large enough, the cheapest first: counted out one by one', () => {
  const board = fc.record({
    width: fc.integer({ min: 50, max: 500 }),
    height: fc.integer({ min: 50, max: 400 }),
    count: fc.integer({ min: 1, max: 4 }),
    price: fc.integer({ min: 0, max: 9 }),
  });
  fc.assert(
    fc.property(
      fc.array(board, { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 1000, max: 600_000 }),
      fc.integer({ min: 0, max: 40 }),
      (drawn, needed, below) => {
        const boards = drawn.map((one, at): NestBoard => ({ ...one, id: `b${at}` }));
        const plans = cheaperPlans({ name: '', boards, clearance: 2, edgeMargin: 0, parts: [] }, needed, 0.8, below);
        const figures = (plan: readonly number[]): { cost: number; area: number } => ({
          cost: plan.reduce((sum, count, kind) => sum + count * boards[kind]!.price!, 0),
          area: plan.reduce((sum, count, kind) => sum + count * boards[kind]!.width * boards[kind]!.height, 0),
        });
        // Every choice of how many of each kind, those that cost nothing all.
        const all = boards.reduce<readonly (readonly number[])[]>(
          (lists, { count, price }) =>
            lists.flatMap((list) =>
              price === 0 ? [[...list, count]] : Array.from({ length: count + 1 }, (_, some) => [...list, some]),
            ),
          [[]],
        );
        const enough = all.filter((plan) => figures(plan).area >= needed / 0.8 && figures(plan).cost < below);
        expect(plans.length > 0).toBe(enough.length > 0);
        for (const plan of plans) {
          expect(figures(plan).area).toBeGreaterThanOrEqual(needed / 0.8 - 1e-6);
          expect(figures(plan).cost).toBeLessThan(below);
        }
        if (enough.length > 0)
          expect(figures(plans[0]!).cost).toBe(Math.min(...enough.map((plan) => figures(plan).cost)));
      },
    ),
  );
});

test('of many kinds that could be bought in a hundred thousand ways the cheapest is found', () => {
  // Each of seven small kinds counts nine, at 1.9: three of them, 5.7, where one large board is 5.
  const kinds = Array.from({ length: 7 }, (_, at): NestBoard => ({
    ...small,
    id: `s${at}`,
    width: 400 - at,
    price: 1.9,
  }));
  const instance = { ...instanceOf([large, ...kinds], []), edgeMargin: 0 };
  const [first] = cheaperPlans(instance, 300_000, 1, 40);
  expect(first).toEqual([1, 0, 0, 0, 0, 0, 0, 0]);
});

test('pieces stay on the boards that a plan keeps; what lay on others has no place', () => {
  const given: NestBoard = { ...small, id: 'given', price: 0, count: 2 };
  const instance = instanceOf([small, large, given], plates(5));
  expect(hasChoiceOfBoards(instance)).toBe(true);
  expect(hasChoiceOfBoards({ ...instance, boards: [small, given] })).toBe(false);
  // A nest on given, small, large, small; the plan has one small board and two large ones.
  const spots = [0, 1, 2, 3, 3].map((board) => ({ board }));
  expect(planned(instance, [1, 2, 2], [2, 0, 1, 0], spots)).toEqual({
    kinds: [2, 0, 1, 1],
    spots: [{ board: 0 }, { board: 1 }, { board: 2 }, undefined, undefined],
  });
});
