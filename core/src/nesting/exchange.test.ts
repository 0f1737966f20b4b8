import fc from 'fast-check';
import { seededRandom } from '../units/index.ts';
import { Attempt } from './attempt.ts';
import { bestExchange, drawExchange } from './exchange.ts';
import type { NestInstance, XY } from './instance.ts';
import { PieceSet } from './piece-set.ts';

const box = (width: number, height: number): readonly XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
/** Boards of 600 × 400 without any distances and plates that stand on their left sides, 50 mm apart: what overlaps is of no matter here. */
const PLATES = fc.array(
  fc.record({
    width: fc.integer({ min: 5, max: 300 }),
    height: fc.integer({ min: 5, max: 200 }),
    board: fc.integer({ min: 0, max: 2 }),
  }),
  { minLength: 2, maxLength: 14 },
);
interface Plate {
  readonly width: number;
  readonly height: number;
  readonly board: number;
}
function setOf(plates: readonly Plate[]): {
  readonly set: PieceSet;
  readonly spots: { board: number; pose: number; x: number; row: number }[];
} {
  const instance: NestInstance = {
    name: 'exchange',
    clearance: 0,
    boards: [{ id: 'B', width: 600, height: 400, count: 3 }],
    parts: plates.map(({ width, height }, at) => ({
      id: `p${at}`,
      quantity: 1,
      rotations: [0],
      polygon: box(width, height),
    })),
  };
  const set = new PieceSet(instance, 1);
  return { set, spots: plates.map(({ board }, at) => ({ board, pose: set.poses.from[at]!, x: 0, row: 0 })) };
}

test('an exchange takes from the last board what is larger by its gain than what comes back, and never overfills the other', () => {
  let drawn = 0;
  fc.assert(
    fc.property(PLATES, fc.integer({ min: 1, max: 1e6 }), (plates, seed) => {
      const { set, spots } = setOf(plates);
      const found = drawExchange(set, { kinds: [0, 0, 0], spots }, seededRandom(seed));
      if (!found) return;
      drawn += 1;
      const { other, fromLast, toLast, gain } = found;
      const shareOf = (pieces: readonly number[]): number =>
        pieces.reduce((sum, piece) => sum + (plates[piece]!.width * plates[piece]!.height) / 600 / 400, 0);
      expect(fromLast.every((piece) => plates[piece]!.board === 2)).toBe(true);
      expect(toLast.every((piece) => plates[piece]!.board === other)).toBe(true);
      expect([new Set(fromLast).size, new Set(toLast).size]).toEqual([fromLast.length, toLast.length]);
      expect(gain).toBeCloseTo(shareOf(fromLast) - shareOf(toLast), 6);
      expect(gain).toBeGreaterThan(0);
      const theirs = plates.flatMap(({ board }, piece) => (board === other ? [piece] : []));
      expect(shareOf(theirs) + gain).toBeLessThan(1);
    }),
  );
  expect(drawn).toBeGreaterThan(10);
});

test('pieces that have to stay on a board stay there, though another has more room', () => {
  // 24 plates of 100 × 100 fill a board of 600 × 400; 20 have to find room on the first while the second stands empty.
  const plates = Array.from({ length: 20 }, (): Plate => ({ width: 100, height: 100, board: 0 }));
  const { set, spots } = setOf(plates);
  const attempt = new Attempt(
    {
      poses: set.poses,
      rooms: [set.boardRooms[0]!.room, set.boardRooms[0]!.room],
      blocked: [-1, -1],
      parts: set.parts,
      spots,
      choices: plates.map(() => [0]),
    },
    seededRandom(7),
  );
  for (let round = 0; attempt.isSolved === undefined && round < 200; round++) attempt.run(100);
  const boards = attempt.spots().map(({ board }) => board);
  expect(new Set(boards)).toEqual(new Set([0]));
  expect(attempt.isSolved).toBe(true);
});

test('of exchanges drawn at once the one whose piece finds room without overlap is tried', () => {
  // 600 × 380 leaves a strip 20 high on 600 × 400: a plate of 260 × 18 lies there, squares as large do not.
  const plates: Plate[] = [
    { width: 600, height: 380, board: 0 },
    { width: 260, height: 18, board: 1 },
    ...Array.from({ length: 4 }, (): Plate => ({ width: 68, height: 68, board: 1 })),
  ];
  const { set, spots } = setOf(plates);
  const taken = (draw: typeof drawExchange): number =>
    Array.from({ length: 60 }, (_, seed) => draw(set, { kinds: [0, 0], spots }, seededRandom(seed + 1))).filter(
      (found) => found?.fromLast.join() === '1',
    ).length;
  expect(taken(bestExchange)).toBeGreaterThan(2 * taken(drawExchange));
});
