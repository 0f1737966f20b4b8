import { airframeOf, foam, plate } from '../../test/samples.ts';
import type { Airframe } from './airframe.ts';
import { quickNest } from './nest-airframe.ts';
import { toBuy } from './to-buy.ts';

/** Plates that take more than half a board each: so many plates, so many boards. */
const plates = (count: number): Airframe['parts'] => [{ ...plate(600, 300, 'wide'), quantity: count }];

test.each([
  [5, 2, 3],
  [3, 3, 0],
  [1, 0, 1],
])('%i plates of a board each with %i in stock: %i to buy at 4.50 each', (count, inStock, bought) => {
  const airframe = airframeOf(plates(count), { boards: [{ ...foam, price: 4.5, count: inStock }] });
  const { boards, price, without } = toBuy(airframe);
  expect(boards.map((one) => one.count)).toEqual(bought > 0 ? [bought] : []);
  expect(price).toBeCloseTo(4.5 * bought, 9);
  expect(without).toEqual([]);
  // Bought and counted, everything has its place, and one less is not enough.
  const counted = (more: number): Airframe => ({
    ...airframe,
    boards: airframe.boards.map((board) => ({ ...board, count: board.count + more })),
  });
  expect(quickNest(counted(bought), 9).nest.unplaced).toEqual([]);
  if (bought > 0) expect(quickNest(counted(bought - 1), 9).nest.unplaced).not.toEqual([]);
});

test('two pieces of one material ask for the same boards once; what is larger than any board is told with its size', () => {
  const airframe = airframeOf([...plates(2), plate(590, 290, 'other'), { ...plate(720, 90, 'spar'), name: 'Spar' }], {
    boards: [
      { ...foam, price: 4, count: 0 },
      { ...foam, id: 'cut', price: 0, count: 1, widthMm: 300, heightMm: 200 },
    ],
  });
  const { boards, price, without } = toBuy({ ...airframe, parts: airframe.parts.slice(0, 2) });
  expect(boards.map(({ board, count }) => [board.id, count])).toEqual([['b1', 3]]);
  expect(price).toBe(12);
  expect(without).toEqual([]);
  expect(toBuy({ ...airframe, parts: airframe.parts.slice(2) }).without.map(({ name }) => name)).toEqual(['Spar']);
});
