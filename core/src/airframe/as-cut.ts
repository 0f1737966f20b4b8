import { distance, distanceToEdge, type Polygon } from '../geometry/index.ts';
import { resolve, type ResolvedPart } from '../resolve/index.ts';
import type { Board } from '../stock/index.ts';
import { identityOf, memo } from '../units/index.ts';
import type { Airframe, AirframeNest, CutPiece, GuestPiece, PlacedPiece } from './airframe.ts';
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
  // A part that is made anew without a change has the same corners: nothing has to be looked for.
  if (a.length === b.length && a.every((p, at) => distance(p, b[at]!) <= SAME_MM)) return true;
  const liesOn = (corners: Polygon, ring: Polygon): boolean => corners.every((p) => distanceToEdge(p, ring) <= SAME_MM);
  return liesOn(a, b) && liesOn(b, a);
}

/**
 * A nest with pieces of cut boards that came to nothing, so that others are cut, or that are good after all.
 * @param pieces as they stand in the nest: a board may hold some that are not shown any more
 */
export const scrapped = (nest: AirframeNest, pieces: readonly PlacedPiece[], isScrap: boolean): AirframeNest => ({
  ...nest,
  boards: nest.boards.map((board) =>
    !board.cutFrom || !board.placements.some((placed) => pieces.includes(placed))
      ? board
      : {
          ...board,
          placements: board.placements.map((placed) => {
            if (!pieces.includes(placed)) return placed;
            const { isScrap: _before, ...rest } = placed;
            return isScrap ? { ...rest, isScrap } : rest;
          }),
        },
  ),
});
