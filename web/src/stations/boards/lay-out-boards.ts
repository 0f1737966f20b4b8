import { boundsOf, type Bounds, type Point } from '@grain-fold/core/geometry';
import type { BoardView } from '@grain-fold/core/airframe';

/** A nested board on the mat: where its own lower left corner comes to lie, in mm. */
export interface BoardOnMat { readonly view: BoardView; readonly origin: Point }

/** Mat left between boards, and above each for its caption, in mm. */
const GAP_MM = 40;
const CAPTION_MM = 70;

/** Boards in rows, two abreast or as many as keep the whole about as wide as it is tall, hung from the top. */
export function layOutBoards(views: readonly BoardView[]): readonly BoardOnMat[] {
  const widest = Math.max(0, ...views.map(({ board }) => board.widthMm));
  const columns = Math.max(1, Math.min(views.length, Math.round(Math.sqrt(views.length * 0.9))));
  const rowWidth = columns * widest + (columns - 1) * GAP_MM;
  let x = 0, top = 0, rowHeight = 0;
  return views.map((view) => {
    const { widthMm, heightMm } = view.board;
    if (x > 0 && x + widthMm > rowWidth + 1) [x, top, rowHeight] = [0, top - rowHeight - CAPTION_MM, 0];
    const origin = { x, y: top - heightMm };
    x += widthMm + GAP_MM;
    rowHeight = Math.max(rowHeight, heightMm);
    return { view, origin };
  });
}

/** The room that laid-out boards take, captions included. */
export function boardsBounds(boards: readonly BoardOnMat[]): Bounds {
  if (boards.length === 0) return { minX: 0, minY: -500, maxX: 700, maxY: 0 };
  const corners = boards.flatMap(({ view, origin }) => [origin, { x: origin.x + view.board.widthMm, y: origin.y + view.board.heightMm + CAPTION_MM * 0.4 }]);
  return boundsOf(corners);
}
