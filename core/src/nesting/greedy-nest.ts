import { BoardRows } from './board-rows.ts';
import {
  mayLieOn,
  type NestBoard,
  type NestInstance,
  type NestLayout,
  type NestedBoard,
  type Placement,
} from './instance.ts';
import { slabGrowth, type NestPiece, type Pose } from './nest-piece.ts';

/** How a greedy nest chooses among places: the lowest right + lean · top wins. */
export interface PlacingRule {
  readonly lean: number;
}

/** An empty board of each kind, made once and copied for every nest. */
export interface BoardKind {
  readonly board: NestBoard;
  readonly empty: BoardRows;
}

/** Board kinds in the order they are opened: free ones first, then by price, then as given. */
export function boardKinds(instance: NestInstance, pitchMm: number): readonly BoardKind[] {
  const inset = (instance.edgeMargin ?? instance.clearance) - slabGrowth(instance.clearance);
  return instance.boards
    .map((board, index) => ({ board, index }))
    .sort((a, b) => (a.board.price ?? 0) - (b.board.price ?? 0) || a.index - b.index)
    .map(({ board }) => ({ board, empty: BoardRows.empty(board, inset, pitchMm, instance.clearance) }));
}

interface OpenBoard {
  readonly kind: BoardKind;
  readonly rows: BoardRows;
  readonly placements: Placement[];
  /** Pieces that found no place on it: as it only fills, they never will. */
  readonly refused: Set<NestPiece>;
}
interface Place {
  readonly pose: Pose;
  readonly foot: number;
  readonly x: number;
  readonly score: number;
}

/** Pieces placed before a nest that is not whole yet is told. */
const PIECES_A_STEP = 200;

/**
 * Places pieces in the given order, each in the best free place of the first board that can hold it. Places are exact in x and
 * lie on slabs in y; shapes are compared by their true outlines. Of many pieces the nest is yielded as it grows, the rest without a place.
 * @param order pieces one by one, each as often as it is wanted
 */
export function* greedyNest(
  order: readonly NestPiece[],
  kinds: readonly BoardKind[],
  rule: PlacingRule,
): Generator<NestLayout, NestLayout> {
  const taken = kinds.filter(({ board }) => board.taken);
  const open = taken.map((kind): OpenBoard => ({ kind, rows: kind.empty.copy(), placements: [], refused: new Set() }));
  const left = new Map(kinds.map((kind) => [kind, kind.board.taken ? 0 : kind.board.count]));
  const homeless: NestPiece[] = [];
  const tooLarge = new Set<NestPiece>();
  for (const [at, piece] of order.entries()) {
    if (at > 0 && at % PIECES_A_STEP === 0) yield layoutOf(open, [...homeless, ...order.slice(at)]);
    const isPlaced =
      !tooLarge.has(piece) && (placeOnOpen(piece, open, rule) || placeOnNew(piece, kinds, left, open, rule));
    if (isPlaced) continue;
    tooLarge.add(piece);
    homeless.push(piece);
  }
  return layoutOf(open, homeless);
}

function layoutOf(open: readonly OpenBoard[], homeless: readonly NestPiece[]): NestLayout {
  const unplaced = new Map<string, number>();
  for (const { part } of homeless) unplaced.set(part.id, (unplaced.get(part.id) ?? 0) + 1);
  return {
    boards: open.map(({ kind, placements }): NestedBoard => ({ boardId: kind.board.id, placements: [...placements] })),
    unplaced: [...unplaced].map(([partId, quantity]) => ({ partId, quantity })),
    seconds: 0,
  };
}

function placeOnOpen(piece: NestPiece, open: readonly OpenBoard[], rule: PlacingRule): boolean {
  for (const board of open) {
    if (board.refused.has(piece) || !mayLieOn(piece.part, board.kind.board)) continue;
    const place = bestPlace(piece, board.rows, rule);
    if (!place) board.refused.add(piece);
    else {
      put(piece, place, board);
      return true;
    }
  }
  return false;
}

function placeOnNew(
  piece: NestPiece,
  kinds: readonly BoardKind[],
  left: Map<BoardKind, number>,
  open: OpenBoard[],
  rule: PlacingRule,
): boolean {
  for (const kind of kinds) {
    if ((left.get(kind) ?? 0) < 1 || !mayLieOn(piece.part, kind.board)) continue;
    const place = bestPlace(piece, kind.empty, rule);
    if (!place) continue;
    left.set(kind, left.get(kind)! - 1);
    const board: OpenBoard = { kind, rows: kind.empty.copy(), placements: [], refused: new Set() };
    open.push(board);
    put(piece, place, board);
    return true;
  }
  return false;
}

function bestPlace(piece: NestPiece, rows: BoardRows, rule: PlacingRule): Place | undefined {
  let best: Place | undefined;
  for (const pose of piece.poses) {
    const width = pose.slabs.bounds.maxX - pose.slabs.bounds.minX;
    const height = pose.slabs.rows.length,
      highest = rows.maxY - (pose.slabs.bounds.maxY - pose.slabs.bounds.minY) + 1e-9;
    for (let foot = 0; rows.minY + foot * rows.pitchMm <= highest; foot++) {
      const topScore = rule.lean * (foot + height) * rows.pitchMm;
      const upTo = Math.min(rows.maxX - width + 1e-9, best ? best.score - topScore - width : Infinity);
      if (upTo < rows.minX) continue;
      const x = rows.leftmost(pose.slabs, foot, upTo);
      if (x === undefined) continue;
      const score = x + width + topScore;
      if (!best || score < best.score - 1e-9) best = { pose, foot, x, score };
    }
  }
  return best;
}

function put(piece: NestPiece, place: Place, board: OpenBoard): void {
  const { bounds } = place.pose.slabs;
  board.rows.take(place.pose.slabs, place.foot, place.x);
  board.placements.push({
    partId: piece.part.id,
    x: place.x - bounds.minX,
    y: board.rows.minY + place.foot * board.rows.pitchMm - bounds.minY,
    rotation: place.pose.rotation,
    ...(place.pose.mirrored ? { mirrored: true } : {}),
  });
}
