import { distanceToEdge, type Polygon } from '../geometry/index.ts';
import { resolve, type ResolvedPart } from '../resolve/index.ts';
import type { Board } from '../stock/index.ts';
import { identityOf, memo } from '../units/index.ts';
import type { Airframe, AirframeNest, CutPiece, GuestPiece } from './airframe.ts';
import { contextOf } from './made-at-scale.ts';
import { pieceName, type Piece } from './piece.ts';
import { cornersOf, plainPart, ringOf } from './plain-piece.ts';

/** What a knife does not follow, in mm: outlines that are nowhere farther apart are the same. */
const SAME_MM = 0.1;

/** Pieces as they are now, each once, to be remembered with the board that they are cut from. */
export const cutPiecesOf = (pieces: readonly Piece[]): readonly CutPiece[] =>
  [...new Map(pieces.map((piece) => [piece.id, piece])).values()].map((piece) => {
    const { id, part } = piece;
    const holes = part.holeRings.map(ringOf);
    return { id, name: pieceName(piece), outline: ringOf(part.outer), ...(holes.length > 0 ? { holes } : {}) };
  });

const asPlain = memo(
  ({ id, name, outline, holes }: CutPiece, material: string): GuestPiece => ({
    id: id.replace(':', '-'),
    name,
    material,
    quantity: 1,
    grain: { directionDegrees: 0, rule: 'any' },
    outline,
    ...(holes ? { holes } : {}),
  }),
  (material) => material,
);

/** A piece as it was cut, for drawing: its outline and holes. */
export function pieceAsCut(airframe: Airframe, cut: CutPiece, { material }: Board): Piece {
  const drawn = plainPart(asPlain(cut, material));
  return { id: cut.id, part: resolve(drawn, contextOf(airframe, drawn)), quantity: 1 };
}

/** Whether a piece is still what was cut of it from a board. */
export const isAsCut = ({ part }: Piece, cut: CutPiece, { material }: Pick<Board, 'material'>): boolean =>
  part.material === material && isSameShape(part, cut);

const isSameShape = memo(
  ({ outer, holeRings }: ResolvedPart, { outline, holes = [] }: CutPiece): boolean =>
    holeRings.length === holes.length &&
    [outer, ...holeRings].every((ring, at) => isSameRing(ring, cornersOf([outline, ...holes][at]!))),
  (cut) => identityOf(cut),
);

function isSameRing(a: Polygon, b: Polygon): boolean {
  const liesOn = (corners: Polygon, ring: Polygon): boolean => corners.every((p) => distanceToEdge(p, ring) <= SAME_MM);
  return liesOn(a, b) && liesOn(b, a);
}

/**
 * A nest with pieces of cut boards that came to nothing, so that others are cut, or that are good after all.
 * @param indices of pieces on the board
 */
export const scrapped = (
  nest: AirframeNest,
  board: number,
  indices: readonly number[],
  isScrap: boolean,
): AirframeNest => ({
  ...nest,
  boards: nest.boards.map((one, at) =>
    at !== board || !one.cutFrom
      ? one
      : {
          ...one,
          placements: one.placements.map(({ isScrap: was, ...placed }, index) => {
            const now = indices.includes(index) ? isScrap : was;
            return now ? { ...placed, isScrap: true } : placed;
          }),
        },
  ),
});
