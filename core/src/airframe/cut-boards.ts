import { boundsHeight, boundsWidth, type Polygon } from '../geometry/index.ts';
import { largestRest, restShapes } from '../nesting/index.ts';
import { boardCorners, offcutShape, type Board } from '../stock/index.ts';
import type { Airframe } from './airframe.ts';
import { nestHash } from './funnel.ts';
import { keptOffcut } from './kept-offcuts.ts';
import { boardViews, type BoardView } from './nest-airframe.ts';

/** A grid on which a rest is measured, in mm. */
const REST_PITCH_MM = 4;

/**
 * The rests of a nested board that are worth keeping, each with its true outline, the largest first.
 * @param leastMm a rest counts when a rectangle with both sides so long fits into it
 */
export function restsOf(view: BoardView, clearanceMm: number, leastMm: number): readonly Polygon[] {
  const shapes = view.pieces.map(({ shape }) => shape);
  return restShapes(boardCorners(view.board), shapes, clearanceMm).filter((corners) => {
    const shape = offcutShape(corners);
    if (!shape.ok) return false;
    const polygon = (shape.outline ?? boardCorners(shape)).map(({ x, y }) => [x, y] as const);
    const inside = largestRest(
      { id: '', width: shape.widthMm, height: shape.heightMm, count: 1, polygon },
      [],
      REST_PITCH_MM,
    );
    return Math.min(boundsWidth(inside), boundsHeight(inside)) >= leastMm - 2 * REST_PITCH_MM;
  });
}

/** An airframe whose board is cut, and the rests that came of it. */
export interface AfterCut {
  readonly airframe: Airframe;
  readonly rests: readonly Board[];
}

/**
 * Marks a board of the kept nest as cut: it leaves stock, its rests worth keeping come in, each counted once, and its pieces are nested no
 * more. The rest of the nest still stands.
 * @param at the board's place in the nest
 * @param leastMm as restsOf has it
 * @returns undefined where there is no such board, or it is cut already
 */
export function cutBoard(airframe: Airframe, at: number, leastMm: number, freshId: () => string): AfterCut | undefined {
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
  for (const corners of restsOf(view, airframe.settings.nest.clearanceMm, leastMm)) {
    const offcut = keptOffcut(stock, view, freshId(), corners);
    if (!offcut) continue;
    rests.push({ ...offcut, count: 1 });
    stock = { ...stock, boards: [...stock.boards, rests.at(-1)!] };
  }
  const cutFrom = { ...board, count: 1 };
  const cut: Airframe = {
    ...stock,
    nest: { ...nest, boards: nest.boards.map((one, index) => (index === at ? { ...one, cutFrom } : one)) },
  };
  return { airframe: { ...cut, nest: { ...cut.nest!, readHash: nestHash(cut) } }, rests };
}
