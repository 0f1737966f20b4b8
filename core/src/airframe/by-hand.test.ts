import fc from 'fast-check';
import { airframeOf, foam, plate, polygonPart } from '../../test/samples.ts';
import { boundsOf } from '../geometry/index.ts';
import type { Board } from '../stock/index.ts';
import type { Airframe, AirframeNest, PlacedPiece } from './airframe.ts';
import { locked, sentTo, slidTo, swapped } from './by-hand.ts';
import { nestHash } from './funnel.ts';
import { pushed } from './pushed.ts';
import { lockedCount } from './nest-around.ts';
import { boardViews, pieceFaults, quickNest, searchAirframeNest } from './nest-airframe.ts';

type Nested = Airframe & { readonly nest: AirframeNest };
const nested = (airframe: Airframe): Nested => ({ ...airframe, nest: quickNest(airframe, 3).nest });
const laid = (airframe: Airframe, ...boards: readonly (readonly PlacedPiece[])[]): Nested => ({
  ...airframe,
  nest: {
    readHash: nestHash(airframe),
    seed: 1,
    tried: 1,
    unplaced: [],
    boards: boards.map((placements) => ({ boardId: 'b1', placements })),
  },
});
const at = (pieceId: string, x: number, y: number, rotation = 0): PlacedPiece => ({ pieceId, x, y, rotation });
const faultless = (airframe: Airframe, nest: AirframeNest): boolean =>
  boardViews(airframe, nest).every((view) =>
    view.pieces.every(({ placed }, index) => pieceFaults(airframe, view, index, placed).length === 0),
  );
const after = (airframe: Airframe, steps: number, scope: Parameters<typeof searchAirframeNest>[2]) => {
  const search = searchAirframeNest(airframe, 5, scope);
  let step = search.next().value;
  while (step.tried < steps) step = search.next().value;
  return step;
};
const triangle = (id: string) =>
  polygonPart(
    [
      [0, 0],
      [220, 0],
      [60, 130],
    ],
    id,
  );

test('locked pieces stay where they lie when nested anew, everything is placed and nothing overlaps, boards upright or not', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<Board['grain']>('width', 'height', 'none'),
      fc.array(fc.boolean(), { minLength: 9, maxLength: 9 }),
      fc.boolean(),
      (grain, locks, isAnother) => {
        const parts = ['a', 'b', 'c'].flatMap((id) => [
          triangle(`t${id}`),
          plate(330, 90, `p${id}`),
          plate(150, 140, `q${id}`),
        ]);
        const board = grain === 'height' ? { widthMm: 500, heightMm: 700 } : {};
        const fresh = nested(airframeOf(parts, { boards: [{ ...foam, ...board, grain }] }));
        const addresses = fresh.nest.boards.flatMap(({ placements }, one) =>
          placements.map((_, index) => ({ board: one, index })),
        );
        const nest = addresses.reduce(
          (now, address, index) => (locks[index] ? locked(now, address, true) : now),
          fresh.nest,
        );
        const airframe = { ...fresh, nest };
        const found = after(airframe, 14, { isAnother });
        const staying = (one: AirframeNest): string[] =>
          one.boards
            .flatMap(({ placements }) => placements.filter(({ isLocked }) => isLocked).map((p) => JSON.stringify(p)))
            .sort();
        expect(staying(found.nest)).toEqual(staying(nest));
        expect(found.nest.unplaced).toEqual([]);
        expect(found.nest.boards.flatMap(({ placements }) => placements)).toHaveLength(parts.length);
        expect(faultless(airframe, found.nest)).toBe(true);
      },
    ),
    { numRuns: 6 },
  );
});

test('a kept nest is bettered, never worsened; only one board is nested anew when only it is asked for', () => {
  const airframe = nested(
    airframeOf(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map(triangle), {
      boards: [{ ...foam, widthMm: 460, heightMm: 300 }],
    }),
  );
  const first = after(airframe, 1, {});
  expect(first.nest.boards.map(({ placements }) => placements.length)).toEqual(
    airframe.nest.boards.map(({ placements }) => placements.length),
  );
  expect(after(airframe, 120, {}).score.effectiveBoards).toBeLessThanOrEqual(first.score.effectiveBoards);
  // A board laid out wastefully by hand: its pieces in a row with gaps.
  const two = [at('a', 5, 5), at('b', 5, 150)];
  const wasteful = laid(airframeOf(['a', 'b', 'c'].map(triangle)), two, [at('c', 300, 200, 90)]);
  const found = after(wasteful, 40, { board: 0 });
  expect(found.nest.boards[1]).toBe(wasteful.nest.boards[1]);
  expect(found.nest.boards[0]!.placements.map(({ pieceId }) => pieceId).sort()).toEqual(['a', 'b']);
  expect(found.score.effectiveBoards).toBeLessThan(0.5);
  expect(faultless(wasteful, found.nest)).toBe(true);
});

test('a locked piece whose part has outgrown its place is laid anew', () => {
  const small = laid(airframeOf([plate(100, 50, 'a'), plate(60, 60, 'b')]), [
    { ...at('a', 590, 10), isLocked: true },
    { ...at('b', 200, 200), isLocked: true },
  ]);
  const grown = { ...airframeOf([plate(150, 50, 'a'), plate(60, 60, 'b')]), nest: small.nest };
  const { nest } = after(grown, 3, {});
  expect(lockedCount(nest)).toBe(1);
  expect(faultless(grown, nest)).toBe(true);
  expect(nest.boards.flatMap(({ placements }) => placements)).toHaveLength(2);
});

test('a piece wanted over another comes to lie beside it', () => {
  const airframe = laid(airframeOf([plate(100, 50, 'a'), plate(60, 60, 'b')]), [at('a', 100, 100), at('b', 400, 300)]);
  const [view] = boardViews(airframe, airframe.nest);
  const slid = slidTo(airframe, view!, 1, view!.pieces[1]!.piece, at('b', 190, 95))!;
  expect([slid.x, slid.y]).toEqual([expect.closeTo(202, 1), expect.closeTo(95, 6)]);
  expect(pieceFaults(airframe, view!, 1, slid)).toEqual([]);
  expect(slidTo(airframe, view!, 1, view!.pieces[1]!.piece, at('b', 2000, 95))).toBeUndefined();
});

test('a row is pushed as far as the edge, and not through what is locked', () => {
  const airframe = laid(airframeOf([plate(100, 50, 'a'), plate(100, 50, 'b'), plate(100, 50, 'c')]), [
    at('a', 10, 100),
    at('b', 120, 120),
    at('c', 240, 300),
  ]);
  const [view] = boardViews(airframe, airframe.nest);
  const far = pushed(airframe, view!, airframe.nest, { board: 0, index: 0 }, { x: 600, y: 0 });
  if (!far.ok) throw new Error(far.message);
  const [a, b, c] = far.nest.boards[0]!.placements;
  // b stops at the right margin (697 less its length), and a lies against it.
  expect(b!.x).toBeGreaterThan(590);
  expect(b!.x).toBeLessThanOrEqual(597.01);
  expect(b!.x - a!.x).toBeCloseTo(102, 1);
  expect(c).toEqual(at('c', 240, 300));
  expect(faultless(airframe, far.nest)).toBe(true);
  const held = { ...airframe, nest: locked(airframe.nest, { board: 0, index: 1 }, true) };
  const stopped = pushed(held, boardViews(held, held.nest)[0]!, held.nest, { board: 0, index: 0 }, { x: 600, y: 0 });
  if (!stopped.ok) throw new Error(stopped.message);
  expect(stopped.nest.boards[0]!.placements[0]!.x).toBeCloseTo(120 - 2 - 100, 0);
  const again = pushed(
    { ...held, nest: stopped.nest },
    boardViews(held, stopped.nest)[0]!,
    stopped.nest,
    { board: 0, index: 0 },
    { x: 50, y: 0 },
  );
  expect(again).toEqual({ ok: false, message: 'Part b is locked and in the way.' });
});

test('a piece is sent to another board where there is room, turned if need be, and the emptied board is given up', () => {
  const airframe = laid(
    airframeOf([plate(690, 300, 'a'), plate(100, 180, 'b'), plate(650, 100, 'c')]),
    [at('a', 3, 3)],
    [at('b', 10, 10)],
    [at('c', 10, 10)],
  );
  const views = boardViews(airframe, airframe.nest);
  const sent = sentTo(airframe, views, airframe.nest, { board: 1, index: 0 }, 0);
  if (!sent.ok) throw new Error(sent.message);
  expect(sent.nest.boards.map(({ placements }) => placements.map(({ pieceId }) => pieceId))).toEqual([
    ['a', 'b'],
    ['c'],
  ]);
  expect(faultless(airframe, sent.nest)).toBe(true);
  const box = boundsOf(boardViews(airframe, sent.nest)[0]!.pieces[1]!.shape.outer);
  expect(box.maxY).toBeLessThan(305 + 100 + 1); // lying, not standing
  expect(sentTo(airframe, views, airframe.nest, { board: 2, index: 0 }, 1)).toMatchObject({ ok: true });
  const full = laid(airframeOf([plate(690, 490, 'a'), plate(100, 180, 'b')]), [at('a', 3, 3)], [at('b', 10, 10)]);
  expect(sentTo(full, boardViews(full, full.nest), full.nest, { board: 1, index: 0 }, 0)).toEqual({
    ok: false,
    message: 'Board 1 has no place left for Part b.',
  });
});

test('two pieces change places where each fits the other’s, and say so where they do not', () => {
  const airframe = laid(
    airframeOf([plate(100, 50, 'a'), plate(90, 50, 'b'), plate(400, 200, 'c')]),
    [at('a', 10, 10), at('c', 200, 200)],
    [at('b', 300, 100)],
  );
  const views = boardViews(airframe, airframe.nest);
  const changed = swapped(airframe, views, airframe.nest, { board: 0, index: 0 }, { board: 1, index: 0 });
  if (!changed.ok) throw new Error(changed.message);
  expect(changed.nest.boards[0]!.placements[0]).toEqual(at('b', 15, 10));
  expect(changed.nest.boards[1]!.placements[0]).toEqual(at('a', 295, 100));
  expect(swapped(airframe, views, airframe.nest, { board: 0, index: 0 }, { board: 0, index: 1 })).toEqual({
    ok: false,
    message: 'Part a and Part c do not fit in each other’s places.'.replace('’', "'"),
  });
});
