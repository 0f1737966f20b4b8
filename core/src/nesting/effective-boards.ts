import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import type { NestBoard, NestInstance, NestLayout, NestedBoard } from './instance.ts';
import { largestRest } from './largest-rest.ts';
import { placedShape, takenShapes } from './nest-piece.ts';

/** Grid on which the free rectangle of a board is looked for, in mm. */
const REST_PITCH_MM = 2;

/** How good a nest is: everything placed, then cost, then boards, the last without its free rectangle. */
export interface NestScore {
  /** Area of what found no place, in mm². */
  readonly unplacedMm2: number;
  readonly cost: number;
  /** Boards used, less the share of the last one that is left as one rectangle. */
  readonly effectiveBoards: number;
}

/** A nest with its boards in order, and how good it is. */
export interface ScoredLayout {
  readonly layout: NestLayout;
  readonly score: NestScore;
}

export function isBetter(a: NestScore, b: NestScore): boolean {
  if (a.unplacedMm2 !== b.unplacedMm2) return a.unplacedMm2 < b.unplacedMm2;
  if (a.cost !== b.cost) return a.cost < b.cost;
  return a.effectiveBoards < b.effectiveBoards - 1e-9;
}

/** Puts the board with the most left of it last, among those that cost most, and scores the nest. */
export function scored(
  instance: NestInstance,
  layout: NestLayout,
  areaMm2Of: ReadonlyMap<string, number>,
): ScoredLayout {
  const kinds = new Map(instance.boards.map((board) => [board.id, board]));
  const priceOf = ({ boardId }: NestedBoard): number => kinds.get(boardId)!.price ?? 0;
  const dearest = Math.max(0, ...layout.boards.map(priceOf));
  const shares = layout.boards.map((board) =>
    priceOf(board) === dearest ? restShare(instance, kinds.get(board.boardId)!, board) : -1,
  );
  const share = Math.max(0, ...shares);
  const last = shares.lastIndexOf(share);
  const boards = last < 0 ? layout.boards : [...layout.boards.toSpliced(last, 1), layout.boards[last]!];
  return {
    layout: { ...layout, boards },
    score: {
      unplacedMm2: layout.unplaced.reduce((sum, { partId, quantity }) => sum + quantity * areaMm2Of.get(partId)!, 0),
      cost: layout.boards.reduce((sum, board) => sum + priceOf(board), 0),
      effectiveBoards: layout.boards.length - share,
    },
  };
}

/** Share of a board that its largest free rectangle takes, 0 to 1. */
function restShare(instance: NestInstance, board: NestBoard, { placements }: NestedBoard): number {
  const parts = new Map(instance.parts.map((part) => [part.id, part]));
  const shapes = [
    ...placements.map((placement) => placedShape(parts.get(placement.partId)!, placement)),
    ...takenShapes(board),
  ];
  const rest = largestRest(board, shapes, REST_PITCH_MM);
  return (boundsWidth(rest) * boundsHeight(rest)) / (board.width * board.height);
}
