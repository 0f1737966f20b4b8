import { resolve, type ResolvedPart } from '../resolve/index.ts';
import { memo } from '../units/index.ts';
import type { Airframe, NestGuest } from './airframe.ts';
import type { Piece } from './piece.ts';
import { contextOf } from './made-at-scale.ts';
import { plainPart } from './plain-piece.ts';

/** What bounds less than this is no piece, in mm². */
const LEAST_MM2 = 0.01;

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
      const drawn = plainPart(piece),
        part = ofAirframe(resolve(drawn, contextOf(airframe, drawn)), guest.name);
      // Of a file that was written by hand a ring may bound nothing.
      return part.areaMm2 > LEAST_MM2 ? [{ id: piece.id, part, quantity: piece.quantity, guest: guest.name }] : [];
    }),
  );
