import { materialsOf } from '../stock/index.ts';
import {
  withPartOnCleanBoards,
  type Airframe,
  type GuestPiece,
  type NestGuest,
  type NestSettings,
} from './airframe.ts';
import { ownPiecesToNest } from './funnel.ts';
import { pieceName, type Piece } from './piece.ts';
import { ringOf } from './plain-piece.ts';
import { mateOf, withMate } from './side-by-side.ts';

/** Most airframes that are nested together with one, and most pieces that each brings along: two of every part that an airframe may have. */
export const MOST_GUESTS = 3,
  MOST_GUEST_PIECES = 1000;

/** What of another airframe can be cut from the boards of one. */
export interface TakenAlong {
  readonly guest: NestGuest;
  /** Materials of its pieces that there are no boards of, and how many pieces stay behind for each. */
  readonly left: readonly { readonly material: string; readonly pieces: number }[];
  /** What its own airframe asks for its pieces, by the ids that they have here. */
  readonly rules: GuestRules;
}

/** Pairs of a guest's pieces that are cut side by side, and its pieces that lie on clean boards. */
export type GuestRules = Pick<NestSettings, 'sideBySide' | 'onCleanBoards'>;

/** Gives pieces ids of a guest: those that they had when it was taken before, by their names in turn, so that locks and clean boards stay theirs. */
function idsFor(id: string, before: readonly GuestPiece[]): (name: string) => string {
  const left = [...before];
  let number = Math.max(0, ...before.map((piece) => Number(piece.id.slice(id.length + 1)) || 0));
  return (name) => {
    const at = left.findIndex((piece) => piece.name === name);
    return at >= 0 ? left.splice(at, 1)[0]!.id : `${id}-${++number}`;
  };
}

/**
 * The pieces of another airframe that are still to be nested, as they are now, to be cut from the boards of a host.
 * @param id of the guest among those of the host, a word of letters and digits; its pieces' ids begin with it
 */
export function takenAlong(host: Airframe, other: Airframe, id: string): TakenAlong {
  const materials = new Set(materialsOf(host.boards));
  const pieces = ownPiecesToNest(other);
  const behind = pieces.filter(({ part }) => !materials.has(part.material));
  const idOf = idsFor(id, host.settings.nest.guests?.find((guest) => guest.id === id)?.pieces ?? []);
  const taken = pieces
    .filter(({ part }) => materials.has(part.material))
    .map((piece) => ({ piece, copy: copyOf(piece, idOf) }));
  return {
    guest: { id, airframeId: other.id, name: other.name, pieces: taken.map(({ copy }) => copy) },
    rules: rulesOf(other.settings.nest, taken),
    left: [...new Set(behind.map(({ part }) => part.material))].map((material) => ({
      material,
      pieces: behind.filter(({ part }) => part.material === material).reduce((sum, { quantity }) => sum + quantity, 0),
    })),
  };
}

function copyOf(piece: Piece, idOf: (name: string) => string): GuestPiece {
  const { part, quantity } = piece,
    name = pieceName(piece);
  return {
    id: idOf(name),
    name,
    material: part.material,
    quantity,
    grain: part.grain,
    outline: ringOf(part.outer),
    ...(part.holeRings.length > 0 ? { holes: part.holeRings.map(ringOf) } : {}),
  };
}

/** The rules of an airframe for those of its pieces that are taken along. */
function rulesOf(
  { sideBySide = [], onCleanBoards = [] }: NestSettings,
  taken: readonly { readonly piece: Piece; readonly copy: GuestPiece }[],
): GuestRules {
  const copies = new Map(taken.map(({ piece, copy }) => [piece.id, copy]));
  return {
    sideBySide: sideBySide.flatMap((pair) => {
      const [first, second] = [copies.get(pair.first), copies.get(pair.second)];
      // What is cut twice is a pair with itself only while there are two of it left.
      if (!first || !second || (first === second && first.quantity < 2)) return [];
      return [{ first: first.id, second: second.id }];
    }),
    onCleanBoards: taken
      .filter(({ piece }) => onCleanBoards.includes(piece.part.id))
      .map(({ copy }) => copy.id)
      .sort(),
  };
}

/**
 * Settings with a guest, in place of the one of its id where there is one. What was set here for its pieces stays; of the rules of its own
 * airframe come those that say nothing else of the same piece.
 */
export function withGuest(nest: NestSettings, guest: NestGuest, rules: GuestRules = {}): NestSettings {
  const guests = nest.guests ?? [];
  const isThere = guests.some(({ id }) => id === guest.id);
  const withIt: NestSettings = {
    ...nest,
    guests: isThere ? guests.map((one) => (one.id === guest.id ? guest : one)) : [...guests, guest],
  };
  const paired = (rules.sideBySide ?? [])
    .filter(({ first, second }) => mateOf(nest, first) === undefined && mateOf(nest, second) === undefined)
    .reduce((all, { first, second }) => withMate(all, first, second), withIt);
  return (rules.onCleanBoards ?? []).reduce((all, id) => withPartOnCleanBoards(all, id, true), paired);
}

/** Settings without a guest, and without what was kept to clean boards or side by side of it: its id may be another's later. */
export function withoutGuest(nest: NestSettings, id: string): NestSettings {
  const { guests = [], onCleanBoards = [], sideBySide = [], ...rest } = nest;
  const isOther = (pieceId: string): boolean => !pieceId.startsWith(`${id}-`);
  const others = guests.filter((one) => one.id !== id),
    clean = onCleanBoards.filter(isOther),
    pairs = sideBySide.filter(({ first, second }) => isOther(first) && isOther(second));
  return {
    ...rest,
    ...(pairs.length > 0 ? { sideBySide: pairs } : {}),
    ...(clean.length > 0 ? { onCleanBoards: clean } : {}),
    ...(others.length > 0 ? { guests: others } : {}),
  };
}

/** Whether boards that are cut hold pieces of a guest: it can be neither left out then nor taken anew. */
export const isGuestCut = ({ nest }: Pick<Airframe, 'nest'>, id: string): boolean =>
  (nest?.boards ?? []).some(
    ({ cutFrom, placements }) => cutFrom && placements.some(({ pieceId }) => pieceId.startsWith(`${id}-`)),
  );

/** An id that no guest, no part and no placed piece of an airframe begins its ids with. */
export function freshGuestId({ settings, parts, nest }: Airframe): string {
  const placed = (nest?.boards ?? []).flatMap(({ placements }) => placements.map(({ pieceId }) => pieceId));
  const taken = [...[...(settings.nest.guests ?? []), ...parts].map(({ id }) => id), ...placed];
  let number = 1;
  while (taken.some((id) => id === `guest${number}` || id.startsWith(`guest${number}-`))) number += 1;
  return `guest${number}`;
}
