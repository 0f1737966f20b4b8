import { boundsHeight, boundsWidth, polygonArea, type Bounds, type Polygon, type Shape } from '../geometry/index.ts';
import { largestRest, restShapes, type NestBoard } from '../nesting/index.ts';
import { boardCorners, offcutShape, withEvent, type Board } from '../stock/index.ts';
import { memo } from '../units/index.ts';
import { gapBetweenParts, type Airframe } from './airframe.ts';
import { cutPiecesOf } from './as-cut.ts';
import { nestHash } from './funnel.ts';
import { keptOffcut } from './kept-offcuts.ts';
import { boardViews, type BoardView } from './nest-airframe.ts';

/** A grid on which a rest is measured, in mm. */
const REST_PITCH_MM = 4;

/** Most rectangles that are cut from round a part that stands in the midst of a rest. */
const MOST_RECTANGLES = 6;

/**
 * The rests of a nested board that are worth keeping, the largest first: each with its true outline, or, round a part that stands in the midst of one, as
 * rectangles.
 * @param leastMm a rest counts when a rectangle with both sides so long fits into it
 */
export const restsOf = memo(
  (view: BoardView, clearanceMm: number, leastMm: number): readonly Polygon[] => {
    const shapes = view.pieces.map(({ shape }) => shape);
    const whole = restShapes(boardCorners(view.board), shapes, clearanceMm).filter((corners) => {
      const shape = offcutShape(corners);
      return shape.ok && leastSide(largestRest(asNestBoard(shape), [], REST_PITCH_MM)) >= leastMm - 2 * REST_PITCH_MM;
    });
    const rests = [...whole, ...rectanglesBeside(view, [...shapes, ...whole.map(asShape)], clearanceMm, leastMm)];
    return rests.sort((a, b) => polygonArea(b) - polygonArea(a));
  },
  (clearanceMm, leastMm) => `${clearanceMm}/${leastMm}`,
);

const leastSide = (box: Bounds): number => Math.min(boundsWidth(box), boundsHeight(box));
const asShape = (outer: Polygon): Shape => ({ outer, holes: [] });
const asNestBoard = (size: Pick<Board, 'widthMm' | 'heightMm' | 'outline'>): NestBoard => ({
  id: '',
  width: size.widthMm,
  height: size.heightMm,
  count: 1,
  polygon: boardCorners(size).map(({ x, y }) => [x, y] as const),
});

/** Rectangles of a board that no shape takes, one beside the other, the largest first. */
function rectanglesBeside(
  { board }: BoardView,
  shapes: readonly Shape[],
  clearMm: number,
  leastMm: number,
): readonly Polygon[] {
  const found: Polygon[] = [];
  while (found.length < MOST_RECTANGLES) {
    const box = largestRest(asNestBoard(board), [...shapes, ...found.map(asShape)], REST_PITCH_MM);
    const [minX, minY, maxX, maxY] = [box.minX + clearMm, box.minY + clearMm, box.maxX - clearMm, box.maxY - clearMm];
    if (leastSide({ minX, minY, maxX, maxY }) < leastMm) break;
    found.push([
      { x: minX, y: minY },
      { x: maxX, y: minY },
      { x: maxX, y: maxY },
      { x: minX, y: maxY },
    ]);
  }
  return found;
}

/** The rests of each board of the kept nest, none of those that are cut. Takes a tenth of a second a board: not for the interface's thread. */
export function restsOfBoards(airframe: Airframe, leastMm: number): readonly (readonly Polygon[])[] {
  const { nest, settings } = airframe;
  if (!nest) return [];
  const views = boardViews(airframe, nest);
  return nest.boards.map((_, at) => {
    const view = views.find(({ number }) => number === at + 1);
    return view && !view.isCut ? restsOf(view, gapBetweenParts(settings.nest), leastMm) : [];
  });
}

/** An airframe whose board is cut, and the rests that came of it. */
export interface AfterCut {
  readonly airframe: Airframe;
  readonly rests: readonly Board[];
}

/**
 * Marks a board of the kept nest as cut: it leaves stock, its rests come in, each counted once, and its pieces are nested no
 * more. The rest of the nest still stands.
 * @param at the board's place in the nest
 * @param corners of its rests, as restsOfBoards has them
 * @param date of the day, as 2026-01-02: the rests remember when they were cut, and from what
 * @returns undefined where there is no such board, or it is cut already
 */
export function cutBoard(
  airframe: Airframe,
  at: number,
  corners: readonly Polygon[],
  freshId: () => string,
  date: string,
): AfterCut | undefined {
  const { nest } = airframe;
  const nested = nest?.boards[at];
  const board = airframe.boards.find(({ id }) => id === nested?.boardId);
  const view = nest && boardViews(airframe, nest).find(({ number }) => number === at + 1);
  if (!nest || !nested || nested.cutFrom || !board || !view || board.count < 1) return undefined;
  let stock: Airframe = {
    ...airframe,
    boards: airframe.boards.map((one) => (one === board ? { ...board, count: board.count - 1 } : one)),
  };
  const rests: Board[] = [];
  for (const edge of corners) {
    const offcut = keptOffcut(stock, view, freshId(), edge);
    if (!offcut) continue;
    rests.push(withEvent({ ...offcut, count: 1 }, { date, kind: 'cut', from: board.name, airframe: airframe.name }));
    stock = { ...stock, boards: [...stock.boards, rests.at(-1)!] };
  }
  const cutFrom = { ...board, count: 1 },
    cutPieces = cutPiecesOf(view.pieces.map(({ piece }) => piece));
  const cut: Airframe = {
    ...stock,
    nest: { ...nest, boards: nest.boards.map((one, index) => (index === at ? { ...one, cutFrom, cutPieces } : one)) },
  };
  return { airframe: { ...cut, nest: { ...cut.nest!, readHash: nestHash(cut) } }, rests };
}
