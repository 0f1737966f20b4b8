import { emptyPart, IdSource, type Contour, type Part } from '../part/index.ts';
import { pathFromDraft, polygonDraft } from '../paths/index.ts';
import { resolve, type ResolvedPart } from '../resolve/index.ts';
import type { Polygon } from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import type { Airframe, GuestPiece, GuestRing, NestGuest } from './airframe.ts';
import type { Piece } from './piece.ts';
import { contextOf } from './made-at-scale.ts';

const cornersOf = ({ corners }: GuestRing): Polygon =>
  Array.from({ length: Math.floor(corners.length / 2) }, (_, at) => ({ x: corners[2 * at]!, y: corners[2 * at + 1]! }));

/** What bounds less than this is no piece, in mm². */
const LEAST_MM2 = 0.01;

/** The plain part that a guest's piece is: its outline and holes as they were taken, which keep their size at every scale. */
const partOf = memo((piece: GuestPiece): Part => {
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

/** A part with the airframe it belongs to before its name: the same object each time, so that what is worked out of it is remembered. */
const ofAirframe = memo(
  (part: ResolvedPart, airframe: string): ResolvedPart => ({
    ...part,
    name: `${airframe}: ${part.name}`,
    group: airframe,
  }),
  (airframe) => airframe,
);

/** The pieces of other airframes that are cut from the same boards, made exact. */
export const guestPieces = (airframe: Airframe): readonly Piece[] =>
  (airframe.settings.nest.guests ?? []).flatMap((guest: NestGuest) =>
    guest.pieces.flatMap((piece): readonly Piece[] => {
      const drawn = partOf(piece),
        part = ofAirframe(resolve(drawn, contextOf(airframe, drawn)), guest.name);
      // Of a file that was written by hand a ring may bound nothing.
      return part.areaMm2 > LEAST_MM2 ? [{ id: piece.id, part, quantity: piece.quantity, guest: guest.name }] : [];
    }),
  );
