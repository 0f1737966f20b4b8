import { partFaults, wordedFaults, type Fault } from '../checks/index.ts';
import type { Part } from '../part/index.ts';
import {
  existsIn,
  expandKey,
  resolve,
  starboardTwin,
  type ResolveContext,
  type ResolvedPart,
} from '../resolve/index.ts';
import { fitStep, withoutHistory } from '../stock/index.ts';
import { stableHash, memo, identityOf } from '../units/index.ts';
import { setsOf, type Airframe } from './airframe.ts';
import { guestPieces } from './guests.ts';
import type { Piece } from './piece.ts';
import { contextOf, partAtScale, partsInVariant } from './made-at-scale.ts';
import { strayFaults } from './stray-faults.ts';
import { twiceDrawn } from './twice-drawn.ts';

/** A part at the airframe's scale, made exact. */
export const resolveIn = (airframe: Airframe, part: Part): ResolvedPart =>
  resolve(partAtScale(airframe, part), contextOf(airframe, part, airframe.settings.scale));

const twinOf = memo(starboardTwin);

/** Every shape of the airframe's variant with a closed outline, and how often it is cut. */
export function piecesOfAirframe(airframe: Airframe): readonly Piece[] {
  return partsInVariant(airframe).flatMap((part): readonly Piece[] => {
    const resolved = resolveIn(airframe, part);
    if (resolved.outer.length === 0) return [];
    const port = { id: part.id, part: resolved, quantity: part.quantity };
    return part.handed === 'pair'
      ? [port, { id: `${part.id}:starboard`, part: twinOf(resolved), quantity: part.quantity }]
      : [port];
  });
}

/** Every shape that may lie on the boards of an airframe: its own and those of its guests. */
export const piecesOnBoards = (airframe: Airframe): readonly Piece[] =>
  airframe.settings.nest.guests
    ? [...piecesOfAirframe(airframe), ...guestPieces(airframe)]
    : piecesOfAirframe(airframe);

/** The pieces that are still to be nested, of every set and of guests: what is cut already, here or elsewhere, is there. */
export const piecesToNest = (airframe: Airframe): readonly Piece[] =>
  ownPiecesToNest(airframe).concat(airframe.settings.nest.guests ? uncut(airframe, 1, guestPieces(airframe)) : []);
/** The same without those of guests. */
export const ownPiecesToNest = (airframe: Airframe): readonly Piece[] =>
  uncut(airframe, setsOf(airframe), piecesOfAirframe(airframe));

function uncut(airframe: Airframe, sets: number, pieces: readonly Piece[]): readonly Piece[] {
  const cut = new Map<string, number>();
  for (const { cutFrom, placements } of airframe.nest?.boards ?? [])
    for (const { pieceId, isScrap } of cutFrom ? placements : [])
      if (!isScrap) cut.set(pieceId, (cut.get(pieceId) ?? 0) + 1);
  for (const { pieces: elsewhere } of airframe.settings.nest.cutElsewhere ?? [])
    for (const { id, quantity } of elsewhere) cut.set(id, (cut.get(id) ?? 0) + quantity);
  if (cut.size === 0 && sets === 1) return pieces;
  return pieces.flatMap((piece) => {
    const quantity = piece.quantity * sets - (cut.get(piece.id) ?? 0);
    return quantity > 0 ? [{ ...piece, quantity }] : [];
  });
}

/** The pieces that fly: what a form makes to build by, jigs and gauges, has no place in the airframe. */
export const flyingPieces = (airframe: Airframe): readonly Piece[] =>
  piecesOfAirframe({ ...airframe, parts: airframe.parts.filter(({ source, place }) => !source || place) });

/** Faults of one part by itself, remembered while nothing that they depend on changes. */
const ownFaults = memo(
  (part: Part, airframe: Airframe, context: ResolveContext): readonly Fault[] => {
    const { boards, settings } = airframe;
    const { scale, nest, variants = [] } = settings;
    return partFaults(partAtScale(airframe, part), resolveIn(airframe, part), context, {
      boards,
      scale,
      edgeMarginMm: nest.edgeMarginMm,
      turnStep: fitStep(nest),
      variants,
    });
  },
  ({ boards, forms, settings: { scale, nest, variants } }, context) =>
    `${scale === 1 ? '' : identityOf(forms)}/${identityOf(boards)}/${scale}/${identityOf(nest)}/${identityOf(variants)}/${expandKey(context)}`,
);

/** What is wrong with one part, at the airframe's scale and on its boards; nothing while the variant leaves it out. */
export function faultsIn(airframe: Airframe, part: Part): readonly Fault[] {
  const { variant, scale, unit } = airframe.settings;
  if (!existsIn(part, variant)) return [];
  const own = wordedFaults(ownFaults(part, airframe, contextOf(airframe, part, scale)), unit);
  const others = [
    ...(twiceDrawn(airframe.parts).get(part.id) ?? []),
    ...(part.joints || part.seams ? strayFaults(airframe, part) : []),
  ];
  return others.length > 0 ? [...own, ...others] : own;
}

/** Fingerprint of what a nest needs of a shape: its outline, its holes and how its grain runs. */
const shapeHash = memo((part: ResolvedPart): string =>
  stableHash([part.outline, part.holes, part.grain, part.material]),
);

/** Fingerprint of all that a nest depends on: shapes, quantities, boards and distances. */
export function nestHash(airframe: Airframe): string {
  // What guests bring along is among the pieces, and what was cut elsewhere is not.
  const { seed: _seed, guests: _guests, cutElsewhere: _cut, ...distances } = airframe.settings.nest;
  return stableHash([
    piecesToNest(airframe).map(({ id, part, quantity }) => [id, shapeHash(part), quantity]),
    // Boards that are not there hold nothing.
    airframe.boards.filter(({ count }) => count > 0).map(withoutHistory),
    distances,
  ]);
}
