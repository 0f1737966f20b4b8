import { boundsOf, differenceOf, type Region } from '../geometry/index.ts';
import type { Room } from './arrangement.ts';
import { usableRegion } from './board-rows.ts';
import { takenRegion } from './nest-piece.ts';
import type { NestBoard, NestInstance } from './instance.ts';

/** Where grown shapes may lie on a board of one kind. */
export interface BoardRoom {
  readonly board: NestBoard;
  readonly room: Room;
  /** What within the room cannot be used, standing one row below its foot; empty on a whole rectangular board. */
  readonly blocked: Region;
}

/**
 * The rooms of an instance's kinds of boards, in their order.
 * @param growthMm by how much the shapes that lie there are grown; where that is more than the margin, rooms reach over the edge
 */
export function boardRooms(
  { boards, clearance, edgeMargin = clearance }: NestInstance,
  pitchMm: number,
  growthMm: number,
): readonly BoardRoom[] {
  const inset = edgeMargin - growthMm;
  return boards.map((board) => {
    const room = { minX: inset, minY: inset, maxX: board.width - inset, maxY: board.height - inset };
    const isTooNarrow = room.maxX <= room.minX || room.maxY <= room.minY;
    if (isTooNarrow || (!board.polygon && !board.holes?.length && !board.taken?.length))
      return { board, room, blocked: [] };
    const [left, right, low, high] = [room.minX - 1, room.maxX + 1, room.minY - pitchMm, room.maxY + pitchMm];
    const frame = [
      { x: left, y: low },
      { x: right, y: low },
      { x: right, y: high },
      { x: left, y: high },
    ];
    const usable = usableRegion(board, inset);
    const free = board.taken?.length ? differenceOf(usable, takenRegion(board.taken, clearance)) : usable;
    const blocked = differenceOf([frame], free);
    // The frame's foot and left side are always out of bounds, so that what is blocked begins there.
    const bounds = boundsOf(blocked.flat());
    if (Math.abs(bounds.minY - low) > 1e-3 || Math.abs(bounds.minX - left) > 1e-3)
      throw new Error(`the blocked places of board "${board.id}" do not begin at its frame`);
    return { board, room, blocked };
  });
}
