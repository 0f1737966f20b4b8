import { withoutFlatCorners, type Polygon } from '../geometry/index.ts';
import { emptyPart, IdSource, MOST_NODES, type Contour, type Part } from '../part/index.ts';
import { pathFromDraft, polygonDraft } from '../paths/index.ts';
import { memo } from '../units/index.ts';
import type { GuestPiece, GuestRing } from './airframe.ts';

/** Corners that stand out less than this are left out where a ring has too many, in mm. */
const FLAT_MM = 0.02;
/** Corners are kept to a thousandth of a millimetre, without a sign on nought: files have none. */
const rounded = (value: number): number => Math.round(value * 1000) / 1000 + 0;

/** A ring as files keep it. */
export function ringOf(ring: Polygon): GuestRing {
  const corners = ring.length > MOST_NODES ? (withoutFlatCorners([ring], FLAT_MM)[0] ?? ring) : ring;
  return { corners: corners.flatMap(({ x, y }) => [rounded(x), rounded(y)]) };
}

/** The corners of a ring from a file. */
export const cornersOf = ({ corners }: GuestRing): Polygon =>
  Array.from({ length: Math.floor(corners.length / 2) }, (_, at) => ({ x: corners[2 * at]!, y: corners[2 * at + 1]! }));

/** The plain part that a piece is of which no more is kept: its outline and holes, which keep their size at every scale. */
export const plainPart = memo((piece: GuestPiece): Part => {
  const empty = emptyPart(piece.id, piece.name, piece.material),
    ids = new IdSource(empty);
  const contour = (ring: GuestRing, role: Contour['role']): Contour => ({
    ...pathFromDraft(polygonDraft(cornersOf(ring)), ids, 'c'),
    role,
    sizing: 'fixed',
  });
  const contours = [contour(piece.outline, 'outer'), ...(piece.holes ?? []).map((hole) => contour(hole, 'hole'))];
  return { ...empty, quantity: piece.quantity, grain: piece.grain, sizing: 'fixed', contours, lastId: ids.lastId };
});
