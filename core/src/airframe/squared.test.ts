import fc from 'fast-check';
import { airframeOf, foam, plate } from '../../test/samples.ts';
import { boundsOf } from '../geometry/index.ts';
import { largestRest } from '../nesting/index.ts';
import type { Airframe, AirframeNest, PlacedPiece } from './airframe.ts';
import { nestBoard } from './material-nests.ts';
import { boardViews, pieceFaults, quickNest } from './nest-airframe.ts';
import { squared } from './squared.ts';

/** Plates that may turn by 15°. */
const free = (sizes: readonly (readonly [number, number])[]): Airframe => {
  const parts = sizes.map(([width, height], at) => ({
    ...plate(width, height, `p${at}`),
    grain: { directionDegrees: 0, rule: 'any' as const },
  }));
  const base = airframeOf(parts, { boards: [{ ...foam, count: 3 }] });
  return { ...base, settings: { ...base.settings, nest: { ...base.settings.nest, turnStep: 15 } } };
};
const nestOf = (...boards: readonly (readonly PlacedPiece[])[]): AirframeNest => ({
  readHash: '0'.repeat(16),
  seed: 1,
  tried: 1,
  boards: boards.map((placements) => ({ boardId: foam.id, placements })),
  unplaced: [],
});
const lying = (pieceId: string, rotation: number, x: number, y: number): PlacedPiece => ({ pieceId, rotation, x, y });
const turns = (nest: AirframeNest, board = 0): readonly number[] =>
  nest.boards[board]!.placements.map(({ rotation }) => rotation);

test('a plate that lies aslant with room about it is laid square where it lies; locked, cut and paired ones stay', () => {
  const airframe = free([
    [100, 40],
    [80, 60],
  ]);
  // Turned by 30° its box is 106.6 × 84.6 with its middle at (300, 200); square it is 100 × 40.
  const aslant = lying('p0', 30, 300 - 106.6 / 2 + 20, 200 - 84.64 / 2);
  const box = (nest: AirframeNest): ReturnType<typeof boundsOf> =>
    boundsOf(boardViews(airframe, nest)[0]!.pieces[0]!.shape.outer);
  const before = box(nestOf([aslant])),
    after = box(squared(airframe, nestOf([aslant])));
  expect([after.maxX - after.minX, after.maxY - after.minY].map(Math.round)).toEqual([100, 40]);
  expect((after.minX + after.maxX) / 2).toBeCloseTo((before.minX + before.maxX) / 2, 2);
  expect((after.minY + after.maxY) / 2).toBeCloseTo((before.minY + before.maxY) / 2, 2);
  const locked = nestOf([{ ...aslant, isLocked: true }]);
  expect(squared(airframe, locked)).toEqual(locked);
  const cut = { ...nestOf([aslant]), boards: [{ boardId: foam.id, placements: [aslant], cutFrom: { ...foam } }] };
  expect(squared(airframe, cut)).toEqual(cut);
  const { nest } = airframe.settings,
    sideBySide = [{ first: 'p0', second: 'p1' }];
  const paired = { ...airframe, settings: { ...airframe.settings, nest: { ...nest, sideBySide } } };
  expect(squared(paired, nestOf([aslant]))).toEqual(nestOf([aslant]));
  // Only the board that was nested by itself is looked at.
  const two = nestOf([aslant], [lying('p1', 45, 300, 200)]);
  expect([turns(squared(airframe, two, 1)), turns(squared(airframe, two, 1), 1)]).toEqual([[30], [expect.any(Number)]]);
  expect(turns(squared(airframe, two, 1), 1)[0]! % 90).toBe(0);
});

test('a plate that only fits aslant stays so', () => {
  // A bar of 780 × 20 takes 685.5 × 407.3 by 30°; square it is longer than the board of 700 × 500.
  const airframe = free([[780, 20]]);
  const nest = nestOf([lying('p0', 30, 15, 30)]);
  const [view] = boardViews(airframe, nest);
  const { minX, minY, maxX, maxY } = boundsOf(view!.pieces[0]!.shape.outer);
  expect([minX, minY].every((at) => at >= 3) && maxX <= 697 && maxY <= 497).toBe(true);
  expect(squared(airframe, nest)).toEqual(nest);
});

test('whatever a search finds keeps all its pieces, has no fault and as large a rest; boards alike stay alike', () => {
  let turned = 0;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 30, max: 260 }), fc.integer({ min: 20, max: 180 })), {
        minLength: 2,
        maxLength: 9,
      }),
      fc.array(fc.integer({ min: 0, max: 23 }), { minLength: 9, maxLength: 9 }),
      (sizes, steps) => {
        const airframe = free(sizes);
        const found = quickNest(airframe, 2).nest;
        // Aslant wherever that is free of faults: a search with larger steps of turning leaves few so.
        const nest = found.boards.reduce(
          (now, { placements }, board) =>
            placements.reduce((laid, placed, index) => {
              const wanted = { ...placed, rotation: 15 * steps[index % 9]! };
              const view = boardViews(airframe, laid)[board]!;
              if (pieceFaults(airframe, view, index, wanted).length > 0) return laid;
              const boards = laid.boards.map((one, at) =>
                at === board ? { ...one, placements: one.placements.with(index, wanted) } : one,
              );
              return { ...laid, boards };
            }, now),
          found,
        );
        const after = squared(airframe, nest);
        const rest = (of: AirframeNest): readonly number[] =>
          boardViews(airframe, of).map(({ board, pieces }) => {
            const { minX, minY, maxX, maxY } = largestRest(
              nestBoard(board, false),
              pieces.map(({ shape }) => shape),
            );
            return (maxX - minX) * (maxY - minY);
          });
        const before = rest(nest);
        rest(after).forEach((area, board) => expect(area).toBeGreaterThanOrEqual(before[board]! - 1e-6));
        boardViews(airframe, after).forEach((view, board) => {
          expect(view.pieces.map(({ piece }) => piece.id)).toEqual(
            nest.boards[board]!.placements.map(({ pieceId }) => pieceId),
          );
          view.pieces.forEach(({ placed }, index) => {
            const was = nest.boards[board]!.placements[index]!;
            if (was.rotation % 90 === 0) expect(placed).toEqual(was);
            else if (placed.rotation % 90 === 0) turned += 1;
            if (placed.rotation !== was.rotation) expect(pieceFaults(airframe, view, index, placed)).toEqual([]);
          });
        });
      },
    ),
    { numRuns: 40 },
  );
  expect(turned).toBeGreaterThan(10);
  const airframe = free([[100, 40]]);
  const alike = nestOf([lying('p0', 30, 200, 200)], [lying('p0', 30, 200, 200)]);
  const both = squared(airframe, alike);
  expect(both.boards[0]!.placements).toEqual(both.boards[1]!.placements);
  expect(turns(both)[0]! % 90).toBe(0);
  // One laid out like a cut board is not cut, and one laid out like one with a lock has none; each is looked at by itself.
  const place = lying('p0', 30, 200, 200);
  const besideCut = squared(airframe, {
    ...alike,
    boards: [{ boardId: foam.id, placements: [place], cutFrom: { ...foam } }, alike.boards[1]!],
  });
  expect(besideCut.boards[0]!.placements).toEqual([place]);
  expect(besideCut.boards[1]).not.toHaveProperty('cutFrom');
  expect(turns(besideCut, 1)[0]! % 90).toBe(0);
  for (const at of [0, 1]) {
    const nest = nestOf(...[0, 1].map((board) => [board === at ? { ...place, isLocked: true } : place]));
    const after = squared(airframe, nest);
    expect(after.boards[at]!.placements).toEqual([{ ...place, isLocked: true }]);
    expect(after.boards[1 - at]!.placements[0]).not.toHaveProperty('isLocked');
    expect(turns(after, 1 - at)[0]! % 90).toBe(0);
  }
});
