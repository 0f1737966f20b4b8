import { distanceToEdge, isInside, type Point, type Polygon } from '../geometry/index.ts';
import type { Blemish, Board } from './board.ts';
import { boardCorners } from './offcut.ts';

/** Corners of the ring that stands for a blemish. */
const RING_CORNERS = 32;

/** A ring round a blemish, counter-clockwise: nowhere within its reach. */
export function blemishRing({ x, y, radiusMm }: Blemish): Polygon {
  const reach = radiusMm / Math.cos(Math.PI / RING_CORNERS);
  return Array.from({ length: RING_CORNERS }, (_, corner) => {
    const angle = (2 * Math.PI * corner) / RING_CORNERS;
    return { x: x + reach * Math.cos(angle), y: y + reach * Math.sin(angle) };
  });
}

/** The blemishes that reach into a piece of a board, from the piece's own corner. @param corner of the piece's rectangle on the board */
export function blemishesOn(
  blemishes: readonly Blemish[],
  corner: Point,
  piece: Pick<Board, 'outline' | 'widthMm' | 'heightMm'>,
): readonly Blemish[] {
  const outline = boardCorners(piece);
  return blemishes
    .map((blemish) => ({ ...blemish, x: blemish.x - corner.x, y: blemish.y - corner.y }))
    .filter((blemish) => isInside(blemish, outline) || distanceToEdge(blemish, outline) < blemish.radiusMm);
}

/**
 * Boards in stock with one of a kind blemished: it becomes a kind of its own where there are more, for the others are sound.
 * @param id that no board has
 */
export function markedApart(
  boards: readonly Board[],
  board: Board,
  blemishes: readonly Blemish[],
  id: string,
): readonly Board[] {
  const { blemishes: _before, ...sound } = board;
  const marked: Board = blemishes.length > 0 ? { ...sound, blemishes } : sound;
  if (board.count < 2 || board.blemishes) return boards.map((one) => (one === board ? marked : one));
  return boards.flatMap((one) =>
    one === board
      ? [
          { ...board, count: board.count - 1 },
          { ...marked, id, count: 1, name: `${board.name}, marked`.slice(-80) },
        ]
      : [one],
  );
}
