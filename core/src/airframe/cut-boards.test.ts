import fc from 'fast-check';
import { airframeOf, foam, plate, polygonPart } from '../../test/samples.ts';
import { polygonArea, regionArea, intersectionOf } from '../geometry/index.ts';
import { boardAreaMm2, boardCorners, eventWords, MOST_EVENTS, withEvent } from '../stock/index.ts';
import type { Airframe } from './airframe.ts';
import { cutBoard, restsOf, restsOfBoards } from './cut-boards.ts';
import { nestHash, piecesToNest } from './funnel.ts';
import { boardViews, isNestCurrent, pieceFaults, quickNest, searchAirframeNest } from './nest-airframe.ts';

const DAY = '2026-01-02';
let id = 0;
const freshId = (): string => `r${(id += 1)}`;
const nested = (airframe: Airframe): Airframe => ({ ...airframe, nest: quickNest(airframe, 3).nest });

test('a board with one plate in its corner leaves an L whose area is what the plate and the cut leave', () => {
  const base = airframeOf([plate(300, 200, 'a')], { boards: [{ ...foam, count: 2 }] });
  const airframe: Airframe = {
    ...base,
    nest: {
      readHash: nestHash(base),
      seed: 1,
      tried: 1,
      unplaced: [],
      boards: [{ boardId: 'b1', placements: [{ pieceId: 'a', x: 3, y: 3, rotation: 0 }] }],
    },
  };
  const { airframe: after, rests } = cutBoard(airframe, 0, restsOfBoards(airframe, 80)[0]!, freshId, DAY)!;
  // 700 × 500 less the corner up to (305, 205): the strips of 3 mm left of the plate and below it are no rest.
  expect(rests).toHaveLength(1);
  expect(boardAreaMm2(rests[0]!)).toBeCloseTo(700 * 500 - 305 * 205, -1);
  expect(rests[0]).toMatchObject({ count: 1, price: 0, thicknessMm: foam.thicknessMm, material: 'foam' });
  expect(after.boards.map(({ count }) => count)).toEqual([1, 1]);
  expect(after.nest!.boards[0]!.cutFrom).toMatchObject({ id: 'b1', widthMm: 700, count: 1 });
  expect(isNestCurrent(after)).toBe(true);
  expect(piecesToNest(after)).toEqual([]);
  expect(restsOfBoards(after, 80)).toEqual([[]]);
  expect(cutBoard(after, 0, [], freshId, DAY)).toBeUndefined();
  expect(cutBoard(after, 5, [], freshId, DAY)).toBeUndefined();
  const { name } = airframe;
  expect(rests[0]!.history).toEqual([{ date: DAY, kind: 'cut', from: 'Foam', airframe: name }]);
  expect(eventWords(rests[0]!.history![0]!)).toBe(`cut from Foam for ${name}`);
  // What befell a board is of no matter to a nest.
  const told = {
    ...after,
    boards: after.boards.map((board) => withEvent(board, { date: DAY, kind: 'bought', count: 3 })),
  };
  expect(nestHash(told)).toBe(nestHash(after));
  const often = Array.from({ length: 30 }, (_, at) => at + 1).reduce(
    (board, count) => withEvent(board, { date: DAY, kind: 'bought', count }),
    rests[0]!,
  );
  expect(often.history).toHaveLength(MOST_EVENTS);
  expect(often.history!.at(-1)).toMatchObject({ count: 30 });
});

test('after some boards are cut only the rest is nested, on what is left and on the rests, and nothing is lost', () => {
  const triangle = fc
    .tuple(fc.integer({ min: 60, max: 300 }), fc.integer({ min: 50, max: 240 }), fc.integer({ min: -20, max: 300 }))
    .map(
      ([width, height, lean]) =>
        [
          [0, 0],
          [width, 0],
          [lean, height],
        ] as const,
    );
  fc.assert(
    fc.property(
      fc.array(triangle, { minLength: 4, maxLength: 9 }),
      fc.integer({ min: 40, max: 200 }),
      (shapes, least) => {
        const airframe = nested(
          airframeOf(
            shapes.map((shape, at) => polygonPart(shape, `t${at}`)),
            { boards: [{ ...foam, widthMm: 420, heightMm: 330, count: 9 }] },
          ),
        );
        fc.pre(airframe.nest!.boards.length > 1 && airframe.nest!.unplaced.length === 0);
        const before = boardViews(airframe, airframe.nest!)[0]!;
        const { airframe: after, rests } = cutBoard(airframe, 0, restsOfBoards(airframe, least)[0]!, freshId, DAY)!;
        // Board, pieces and rests: the rests lie on the board and none is larger than what the pieces leave.
        const pieces = before.pieces.reduce((sum, { piece }) => sum + piece.part.areaMm2, 0);
        const kept = rests.reduce((sum, rest) => sum + boardAreaMm2(rest), 0);
        expect(pieces + kept).toBeLessThanOrEqual(420 * 330 + 1);
        for (const rest of rests) expect(Math.min(rest.widthMm, rest.heightMm)).toBeGreaterThanOrEqual(least - 8);
        const search = searchAirframeNest(after, 3);
        const found = search.next().value.nest;
        expect(found.boards[0]).toEqual(after.nest!.boards[0]);
        expect(found.boards.flatMap(({ placements }) => placements.map(({ pieceId }) => pieceId)).sort()).toEqual(
          shapes.map((_, at) => `t${at}`).sort(),
        );
        const withFound = { ...after, nest: found };
        for (const view of boardViews(withFound, found))
          view.pieces.forEach(({ placed }, at) => expect(pieceFaults(withFound, view, at, placed)).toEqual([]));
      },
    ),
    { numRuns: 12 },
  );
});

test('no rest reaches into a piece that was cut beside it, or over the edge', () => {
  const airframe = nested(airframeOf([plate(250, 120, 'a'), plate(200, 200, 'b'), plate(90, 300, 'c')]));
  const [view] = boardViews(airframe, airframe.nest!);
  const rests = restsOf(view!, 2, 60);
  expect(rests.length).toBeGreaterThan(0);
  for (const rest of rests) {
    for (const { shape } of view!.pieces) expect(regionArea(intersectionOf([rest], [shape.outer]))).toBe(0);
    expect(regionArea(intersectionOf([rest], [boardCorners(foam)]))).toBeCloseTo(polygonArea(rest), 1);
  }
});

test('round a plate in the midst of a board four rectangles are left, as large as they can be', () => {
  const base = airframeOf([plate(300, 200, 'a')]);
  const nest = {
    readHash: nestHash(base),
    seed: 1,
    tried: 1,
    unplaced: [],
    boards: [{ boardId: 'b1', placements: [{ pieceId: 'a', x: 200, y: 150, rotation: 0 }] }],
  };
  const [view] = boardViews({ ...base, nest }, nest);
  const rests = restsOf(view!, 2, 80);
  // Two across the whole board, 150 less clearances and the grid high, and two beside the plate, 200 wide.
  expect(rests).toHaveLength(4);
  for (const rest of rests) expect(regionArea(intersectionOf([rest], [view!.pieces[0]!.shape.outer]))).toBe(0);
  const area = rests.reduce((sum, rest) => sum + polygonArea(rest), 0);
  expect(area).toBeLessThan(700 * 500 - 300 * 200);
  expect(area).toBeGreaterThan(0.93 * (700 * 500 - 300 * 200));
});
