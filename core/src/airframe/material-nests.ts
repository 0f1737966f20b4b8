import { turnsToFit } from '../checks/index.ts';
import type { Point, Shape } from '../geometry/index.ts';
import {
  placedShape,
  type NestBoard,
  type NestInstance,
  type NestLayout,
  type NestPart,
  type Placement,
  type XY,
} from '../nesting/index.ts';
import { allowedTurns, blemishRing, liesAnyWay, type Board } from '../stock/index.ts';
import { defined } from '../units/index.ts';
import { gapBetweenParts, mayBeCutFrom, type Airframe, type PlacedPiece } from './airframe.ts';
import { piecesToNest } from './funnel.ts';
import type { Piece } from './piece.ts';

/** Flattening of parts for nesting, in mm; the clearance makes up for it. */
export const NEST_TOLERANCE_MM = 0.01;

/** One material of the airframe as a nest of its own. Boards whose grain runs up are turned so that grain runs along x. */
export interface MaterialNest {
  readonly material: string;
  readonly instance: NestInstance;
  readonly turned: ReadonlySet<string>;
  /** Boards of the instance that pieces stay lying on: the board that each is, its place in the kept nest, and the pieces. */
  readonly lying: ReadonlyMap<string, LyingPieces>;
  /** What is to be bettered. */
  readonly start?: NestLayout;
}

/** Pieces that stay where they lie on one board of the kept nest. */
export interface LyingPieces {
  /** The board's place in the kept nest. */
  readonly at: number;
  readonly board: Board;
  readonly placements: readonly PlacedPiece[];
}

/**
 * The nests that an airframe needs: one for each material that it has parts and boards of.
 * @param quantities how many of each piece, by its id, where not all are to be nested
 */
export function materialNests(airframe: Airframe, quantities?: ReadonlyMap<string, number>): readonly MaterialNest[] {
  const all = piecesToNest(airframe);
  const pieces = quantities
    ? all.flatMap((piece) => (quantities.get(piece.id) ? [{ ...piece, quantity: quantities.get(piece.id)! }] : []))
    : all;
  return [...new Set(pieces.map(({ part }) => part.material))].map((material) => {
    const own = pieces.filter(({ part }) => part.material === material),
      ids = new Set(own.map(({ id }) => id));
    const sideBySide = airframe.settings.nest.sideBySide?.flatMap(({ first, second }) =>
      ids.has(first) && ids.has(second) ? [[first, second] as const] : [],
    );
    const boards = airframe.boards.filter((board) => board.material === material && board.count > 0);
    const hasGrain = boards.some((board) => board.grain !== 'none');
    const turned = new Set(boards.filter((board) => board.grain === 'height').map((board) => board.id));
    return {
      material,
      turned,
      lying: new Map(),
      instance: {
        name: material,
        clearance: gapBetweenParts(airframe.settings.nest),
        edgeMargin: airframe.settings.nest.edgeMarginMm,
        boards: boards.map((board) => nestBoard(board, turned.has(board.id))),
        parts: own.map((piece) => nestPart(piece, hasGrain, airframe, boards)),
        ...(sideBySide?.length ? { sideBySide } : {}),
      },
    };
  });
}

/** A board as nests know it. */
export function nestBoard(board: Board, isTurned: boolean): NestBoard {
  const size = isTurned
    ? { width: board.heightMm, height: board.widthMm }
    : { width: board.widthMm, height: board.heightMm };
  const at = ({ x, y }: Point): XY => (isTurned ? [y, board.widthMm - x] : [x, y]);
  const holes = board.blemishes?.map((blemish) => blemishRing(blemish).map(at));
  return {
    id: board.id,
    ...size,
    count: board.count,
    price: board.price,
    ...defined({ polygon: board.outline?.map(at), holes: holes?.length ? holes : undefined }),
  };
}

function nestPart(
  { id, part, quantity }: Piece,
  hasGrain: boolean,
  airframe: Airframe,
  boards: readonly Board[],
): NestPart {
  const own = boards.filter((board) => mayBeCutFrom(airframe, part.id, board));
  const { turnStep, turnsFreely, edgeMarginMm } = airframe.settings.nest,
    boardGrain = hasGrain ? 'width' : 'none',
    listed = allowedTurns(part.grain, boardGrain, turnStep);
  const isFree = turnsFreely && liesAnyWay(part.grain, boardGrain);
  return {
    id,
    quantity,
    rotations: isFree ? [...listed, ...turnsToFit(part, own, part.grain, edgeMarginMm, turnStep)] : listed,
    ...(isFree ? { turnsFreely } : {}),
    polygon: part.outer.map(({ x, y }) => [x, y] as const),
    holes: part.holeRings.map((ring) => ring.map(({ x, y }) => [x, y] as const)),
    ...(own.length < boards.length ? { boards: own.map((board) => board.id) } : {}),
  };
}

/** A placement of a material's nest in its board's own frame. */
export function placedPiece(
  { partId, x, y, rotation }: Placement,
  { turned, instance }: MaterialNest,
  boardId: string,
): PlacedPiece {
  if (!turned.has(boardId)) return { pieceId: partId, x, y, rotation };
  const width = instance.boards.find((board) => board.id === boardId)!.height;
  return { pieceId: partId, x: width - y, y: x, rotation: (rotation + 90) % 360 };
}

/** A piece's place on a board as a placement of its material's nest. */
export function placementOf(
  { pieceId, x, y, rotation }: PlacedPiece,
  { turned }: MaterialNest,
  board: Board,
): Placement {
  if (!turned.has(board.id)) return { partId: pieceId, x, y, rotation };
  return { partId: pieceId, x: y, y: board.widthMm - x, rotation: (rotation + 270) % 360 };
}

/** Outline and holes of a piece where it lies. */
export function shapeOf(piece: Piece, placed: Pick<PlacedPiece, 'x' | 'y' | 'rotation'>): Shape {
  const { part } = piece;
  return placedShape(
    {
      polygon: part.outer.map(({ x, y }) => [x, y] as const),
      holes: part.holeRings.map((ring) => ring.map(({ x, y }) => [x, y] as const)),
    },
    placed,
  );
}
