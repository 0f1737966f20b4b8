import { boundsHeight, boundsOf, boundsWidth, polygonArea, type Polygon } from '../geometry/index.ts';
import { restShape } from '../nesting/index.ts';
import { blemishesOn, boardCorners, offcutShape, SHORTEST_BOARD_MM, type Board } from '../stock/index.ts';
import type { Airframe } from './airframe.ts';
import type { BoardView } from './nest-airframe.ts';

/** A whole shape is worth offering beside the rectangle in it when it is larger by this share. */
const WORTH_SHARE = 1.1;

const rectangleOf = ({ rest: { minX, minY, maxX, maxY } }: BoardView): Polygon => [
  { x: minX, y: minY },
  { x: maxX, y: minY },
  { x: maxX, y: maxY },
  { x: minX, y: maxY },
];
const restArea = ({ rest }: BoardView): number => boundsWidth(rest) * boundsHeight(rest);

/** The nested board with the largest free rectangle of all; none when no rest is as large as a board may be small. */
export function largestRestOf(views: readonly BoardView[]): BoardView | undefined {
  const isUsable = ({ rest }: BoardView): boolean =>
    Math.min(boundsWidth(rest), boundsHeight(rest)) >= SHORTEST_BOARD_MM;
  return views
    .filter(isUsable)
    .reduce<BoardView | undefined>((best, view) => (best && restArea(best) >= restArea(view) ? best : view), undefined);
}

/** The rest of a nested board in one piece with its true outline, where it is a good deal more than the rectangle in it. */
export function wholeRestOf(view: BoardView, clearanceMm: number): Polygon | undefined {
  const shape = restShape(
    boardCorners(view.board),
    view.pieces.map(({ shape }) => shape),
    view.rest,
    clearanceMm,
  );
  return shape && polygonArea(shape) > WORTH_SHARE * restArea(view) ? shape : undefined;
}

/**
 * The rest of a nested board as an offcut of its material. It counts none until the board is cut, so that no nest uses what is not there yet.
 * @param id that no board has
 * @param corners the outline that is kept; the free rectangle when left out
 */
export function keptOffcut(airframe: Airframe, view: BoardView, id: string, corners?: Polygon): Board | undefined {
  const edge = corners ?? rectangleOf(view);
  const shape = offcutShape(edge);
  if (!shape.ok) return undefined;
  const { ok: _ok, ...size } = shape;
  const { outline: _outline, blemishes = [], ...like } = view.board;
  const { minX, minY } = boundsOf(edge);
  const kept = blemishesOn(blemishes, { x: minX, y: minY }, size);
  const head = `Offcut of board ${view.number}`,
    taken = airframe.boards.filter(({ name }) => name.startsWith(`${head},`) || name.startsWith(`${head} (`)).length;
  return {
    ...like,
    ...size,
    ...(kept.length > 0 ? { blemishes: kept } : {}),
    id,
    // The number first: it is what sets them apart, and names are cut off at their ends.
    name: `${head}${taken > 0 ? ` (${taken + 1})` : ''}, ${like.name}`.slice(0, 80),
    count: 0,
    price: 0,
  };
}
