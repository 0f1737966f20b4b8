import type { BoardView } from '@grain-fold/core/airframe';
import { hangInRows, boundsOf, type Bounds, type Point } from '@grain-fold/core/geometry';

/** A nested board on the mat: where its own lower left corner comes to lie, in mm. */
export interface BoardOnMat {
  readonly view: BoardView;
  readonly origin: Point;
}

/** Mat left between boards, and above each for its caption, in mm. */
const GAP_MM = 40;
const CAPTION_MM = 70;

/** Boards in rows, as large as the mat shows them. */
export function layOutBoards(views: readonly BoardView[]): readonly BoardOnMat[] {
  const origins = hangInRows(
    views.map(({ board }) => ({ width: board.widthMm, height: board.heightMm })),
    GAP_MM,
    CAPTION_MM,
  );
  return views.map((view, index) => ({ view, origin: origins[index]! }));
}

/** The room that laid-out boards take, captions included. */
export function boardsBounds(boards: readonly BoardOnMat[]): Bounds {
  if (boards.length === 0) return { minX: 0, minY: -500, maxX: 700, maxY: 0 };
  const corners = boards.flatMap(({ view, origin }) => [
    origin,
    { x: origin.x + view.board.widthMm, y: origin.y + view.board.heightMm + CAPTION_MM * 0.4 },
  ]);
  return boundsOf(corners);
}
