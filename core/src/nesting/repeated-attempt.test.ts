import fc from 'fast-check';
import { seededRandom } from '../units/index.ts';
import { Attempt, PATIENT, type AttemptStart } from './attempt.ts';
import type { NestInstance, XY } from './instance.ts';
import { PieceSet } from './piece-set.ts';
import { RepeatedAttempt } from './repeated-attempt.ts';

const box = (width: number, height: number): readonly XY[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];
/** Plates as wide as their board, to be stacked on it; rows are 1.25 mm high. */
function stack(heights: readonly number[], boardHeight: number): { set: PieceSet; start: AttemptStart } {
  const instance: NestInstance = {
    name: 'stack',
    clearance: 0,
    boards: [{ id: 'B', width: 200, height: boardHeight, count: 1 }],
    parts: heights.map((height, at) => ({ id: `p${at}`, quantity: 1, rotations: [0], polygon: box(200, height) })),
  };
  const set = new PieceSet(instance, 1.25);
  const start: AttemptStart = {
    poses: set.poses,
    rooms: [set.boardRooms[0]!.room],
    blocked: [-1],
    parts: set.parts,
    spots: heights.map(() => undefined),
  };
  return { set, start };
}
function ended<It extends { isSolved: boolean | undefined; run(moves: number): void }>(attempt: It): It {
  for (let round = 0; attempt.isSolved === undefined && round < 400; round++) attempt.run(200);
  return attempt;
}

test('plates that only fit where they stand between rows are stacked by a last touch, and none is in another', () => {
  // On rows of 1.25 mm the second plate stands at 101.25 at least, the third at 202.5, and its head at 302.9.
  const heights = [100.4, 100.4, 100.4],
    { set, start } = stack(heights, 301.6);
  expect(ended(new Attempt(start, seededRandom(3))).isSolved).toBe(false);
  const attempt = ended(new RepeatedAttempt(start, seededRandom(3)));
  expect(attempt.isSolved).toBe(true);
  const layout = set.written([0], attempt.spots());
  const feet = layout.boards[0]!.placements.map(({ y }) => y).sort((a, b) => a - b);
  feet.forEach((foot, at) => {
    expect(foot).toBeGreaterThanOrEqual(at === 0 ? -1e-3 : feet[at - 1]! + 100.4 - 1e-3);
    expect(foot + 100.4).toBeLessThanOrEqual(301.6 + 1e-3);
  });
});

test('what is larger than its board stays unsolved: neither patience nor a last touch makes room', () => {
  const { start } = stack([100.4, 100.4, 100.4], 301);
  const worth = { patience: 2, manner: { ...PATIENT, movesAPiece: 100 } };
  for (const attempt of [
    new RepeatedAttempt(start, seededRandom(5)),
    new RepeatedAttempt(start, seededRandom(5), worth),
  ])
    expect(ended(attempt).isSolved).toBe(false);
});

test('a nest whose feet stand between rows is read and written where it was, to a sixteenth of a row', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 5, max: 120, noNaN: true }), { minLength: 1, maxLength: 5 }),
      fc.double({ min: 0, max: 90, noNaN: true }),
      (heights, foot) => {
        const { set } = stack(heights, 700);
        let y = foot;
        const placements = heights.map((height, at) => {
          const placed = { partId: `p${at}`, x: 0, y, rotation: 0 };
          y += height;
          return placed;
        });
        const { kinds, spots } = set.read({ boards: [{ boardId: 'B', placements }], unplaced: [], seconds: 0 });
        const again = set.written(kinds, spots).boards[0]!.placements;
        again.forEach((placed, at) => {
          expect(Math.abs(placed.y - placements[at]!.y)).toBeLessThanOrEqual(1.25 / 32 + 1e-9);
          expect(placed.x).toBeCloseTo(placements[at]!.x, 9);
        });
        // Read once more nothing moves.
        expect(set.read({ boards: [{ boardId: 'B', placements: again }], unplaced: [], seconds: 0 }).spots).toEqual(
          spots,
        );
      },
    ),
  );
});
