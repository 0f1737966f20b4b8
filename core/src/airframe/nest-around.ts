import type { Shape } from '../geometry/index.ts';
import { placementFaults, type NestBoard, type Placement, type TakenShape } from '../nesting/index.ts';
import { mayLieTurned, type Board } from '../stock/index.ts';
import {
  gapBetweenParts,
  mayBeCutFrom,
  type Airframe,
  type AirframeNest,
  type AirframeNestBoard,
  type PlacedPiece,
} from './airframe.ts';
import { nestHash, piecesOnBoards, piecesToNest } from './funnel.ts';
import type { Piece } from './piece.ts';
import {
  materialNests,
  NEST_TOLERANCE_MM,
  nestBoard,
  placementOf,
  shapeOf,
  type LyingPieces,
  type MaterialNest,
} from './material-nests.ts';

/** What of the kept nest a search goes on from. What is locked there stays where it lies in any case. */
export interface NestScope {
  /** Only this board of the kept nest is nested anew, by its place there; all boards when left out. */
  readonly board?: number;
  /** Whether a nest other than the kept one is looked for, rather than a better one. */
  readonly isAnother?: boolean;
}

/** What a board that pieces lie on is called in a nest; no board's own id has the sign. */
const lyingId = ({ id }: Board, at: number): string => `${id}@${at}`;

/** Whether a piece lies where a newer shape of it, or another of its board, leaves it. */
function isSound(airframe: Airframe, board: Board, pieces: readonly Piece[], lying: readonly PlacedPiece[]): boolean {
  const { nest } = airframe.settings;
  const shapes = lying.map((placed): Shape => shapeOf(pieceOf(pieces, placed)!, placed));
  const last = shapes.length - 1;
  const { part } = pieceOf(pieces, lying[last]!)!;
  return (
    part.material === board.material &&
    mayBeCutFrom(airframe, part.id, board) &&
    mayLieTurned(part.grain, board.grain, lying[last]!.rotation) &&
    placementFaults(nestBoard(board, false), shapes, last, gapBetweenParts(nest), nest.edgeMarginMm, NEST_TOLERANCE_MM)
      .length === 0
  );
}
const pieceOf = (pieces: readonly Piece[], { pieceId }: PlacedPiece): Piece | undefined =>
  pieces.find(({ id }) => id === pieceId);

/** What of the boards of a nest may stay: locked pieces that there still are, on boards that there still are, where they lie without fault. */
function stayingOn(airframe: Airframe, boards: readonly AirframeNestBoard[]): readonly LyingPieces[] {
  const pieces = piecesToNest(airframe);
  const left = new Map(pieces.map(({ id, quantity }) => [id, quantity]));
  const boardsLeft = new Map(airframe.boards.map(({ id, count }) => [id, count]));
  return boards.flatMap(({ boardId, placements, cutFrom }, at): readonly LyingPieces[] => {
    if (cutFrom) return [];
    const board = airframe.boards.find(({ id }) => id === boardId);
    if (!board || boardsLeft.get(boardId)! < 1) return [];
    const staying: PlacedPiece[] = [];
    for (const placed of placements) {
      if (!placed.isLocked || !left.get(placed.pieceId)) continue;
      if (!isSound(airframe, board, pieces, [...staying, placed])) continue;
      staying.push(placed);
      left.set(placed.pieceId, left.get(placed.pieceId)! - 1);
    }
    if (staying.length === 0) return [];
    boardsLeft.set(boardId, boardsLeft.get(boardId)! - 1);
    return [{ at, board, placements: staying }];
  });
}

/** Locked pieces of the kept nest. */
export const lockedCount = (nest: AirframeNest | undefined): number =>
  (nest?.boards ?? []).reduce((sum, { placements }) => sum + placements.filter(({ isLocked }) => isLocked).length, 0);

/**
 * The nests of an airframe around what is locked in its kept one, each with what it goes on from.
 * @param scope.board a board of a nest that still fits the airframe: just its pieces are nested, on it alone
 */
export function nestsAround(airframe: Airframe, { board: only, isAnother }: NestScope): readonly MaterialNest[] {
  const kept = airframe.nest;
  if (!kept) return materialNests(airframe);
  const staying = stayingOn(airframe, kept.boards).filter(({ at }) => only === undefined || at === only);
  const boards = kept.boards.flatMap((nested, at) =>
    !nested.cutFrom && (only === undefined || at === only) ? [{ nested, at }] : [],
  );
  const nests = only === undefined ? materialNests(airframe) : onBoardAlone(airframe, kept.boards[only]);
  const isBettered = !isAnother && kept.readHash === nestHash(airframe);
  return nests
    .map((nest) => around(nest, airframe, staying))
    .map((nest) => (isBettered ? startingFrom(nest, airframe, boards) : nest));
}

/** One board and the pieces that lie on it, as a nest. */
function onBoardAlone(airframe: Airframe, nested: AirframeNestBoard | undefined): readonly MaterialNest[] {
  const quantities = new Map<string, number>();
  for (const { pieceId } of nested?.placements ?? []) quantities.set(pieceId, (quantities.get(pieceId) ?? 0) + 1);
  const boards = airframe.boards.filter(({ id }) => id === nested?.boardId).map((board) => ({ ...board, count: 1 }));
  return materialNests({ ...airframe, boards }, quantities);
}

/** A material's nest with the pieces that stay lying on boards of their own. */
function around(nest: MaterialNest, airframe: Airframe, staying: readonly LyingPieces[]): MaterialNest {
  const own = staying.filter(({ board }) => board.material === nest.material);
  if (own.length === 0) return nest;
  const lying = new Map(own.map((one) => [lyingId(one.board, one.at), one]));
  const pieces = piecesOnBoards(airframe);
  const countOn = (id: string): number => own.filter(({ board }) => board.id === id).length;
  const stays = (partId: string): number =>
    own.reduce((sum, { placements }) => sum + placements.filter(({ pieceId }) => pieceId === partId).length, 0);
  const lyingLike = (boards: readonly string[]): readonly string[] =>
    [...lying].flatMap(([id, { board }]) => (boards.includes(board.id) ? [id] : []));
  const takenBoards = [...lying].map(([id, { board, placements }]): NestBoard => ({
    ...nestBoard(board, nest.turned.has(board.id)),
    id,
    count: 1,
    taken: placements.map((placed) => takenShape(nest, board, pieceOf(pieces, placed)!, placed)),
  }));
  return {
    ...nest,
    lying,
    turned: new Set([
      ...nest.turned,
      ...[...lying].flatMap(([id, { board }]) => (nest.turned.has(board.id) ? [id] : [])),
    ]),
    instance: {
      ...nest.instance,
      boards: [
        ...takenBoards,
        ...nest.instance.boards
          .map((board) => ({ ...board, count: board.count - countOn(board.id) }))
          .filter(({ count }) => count > 0),
      ],
      parts: nest.instance.parts
        .map((part) => ({
          ...part,
          quantity: part.quantity - stays(part.id),
          ...(part.boards ? { boards: [...part.boards, ...lyingLike(part.boards)] } : {}),
        }))
        .filter(({ quantity }) => quantity > 0),
    },
  };
}

function takenShape(nest: MaterialNest, board: Board, piece: Piece, placed: PlacedPiece): TakenShape {
  const { outer, holes } = shapeOf(piece, placementOf(placed, nest, board));
  const ring = (points: Shape['outer']): readonly (readonly [number, number])[] => points.map(({ x, y }) => [x, y]);
  return { polygon: ring(outer), holes: holes.map(ring) };
}

/** A nest that goes on from how boards are laid out now; what was turned by hand may stay turned so. */
function startingFrom(
  nest: MaterialNest,
  airframe: Airframe,
  boards: readonly { readonly nested: AirframeNestBoard; readonly at: number }[],
): MaterialNest {
  const staying = new Set([...nest.lying.values()].flatMap(({ placements }) => placements));
  const laid = boards.flatMap(({ nested, at }) => {
    const board = airframe.boards.find(({ id, material }) => id === nested.boardId && material === nest.material);
    if (!board) return [];
    const own = lyingId(board, at);
    return [
      {
        boardId: nest.lying.has(own) ? own : board.id,
        placements: nested.placements
          .filter((placed) => !staying.has(placed))
          .map((placed) => placementOf(placed, nest, board)),
      },
    ];
  });
  const placements = laid.flatMap((one) => one.placements);
  const lie = (partId: string): Placement[] => placements.filter((placed) => placed.partId === partId);
  return {
    ...nest,
    instance: {
      ...nest.instance,
      parts: nest.instance.parts.map((part) => ({
        ...part,
        rotations: [...new Set([...part.rotations, ...lie(part.id).map(({ rotation }) => rotation)])],
      })),
    },
    start: {
      boards: laid,
      unplaced: nest.instance.parts
        .map(({ id, quantity }) => ({ partId: id, quantity: quantity - lie(id).length }))
        .filter(({ quantity }) => quantity > 0),
      seconds: 0,
    },
  };
}
