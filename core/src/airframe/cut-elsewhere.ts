import type { Airframe, CutElsewhere, NestSettings } from './airframe.ts';
import { piecesOfAirframe } from './funnel.ts';
import { pieceName } from './piece.ts';

/** A piece by its name, and how often it is there. */
export interface NamedPieces {
  readonly name: string;
  readonly quantity: number;
}

/** What another airframe, the host, has of one on its boards. */
export interface OnHost {
  readonly id: string;
  readonly name: string;
  /** How many pieces it took along. */
  readonly pieces: number;
  /** Those of them that lie on boards that are cut. */
  readonly cut: readonly NamedPieces[];
}

/** What a host has taken along of an airframe, and what of it is cut; undefined where it took nothing. */
export function onHost(
  host: Pick<Airframe, 'id' | 'name' | 'settings' | 'nest'>,
  airframeId: string,
): OnHost | undefined {
  const guests = (host.settings.nest.guests ?? []).filter((guest) => guest.airframeId === airframeId);
  if (guests.length === 0) return undefined;
  const placed = (host.nest?.boards ?? []).flatMap(({ cutFrom, placements }) =>
    cutFrom ? placements.flatMap(({ pieceId, isScrap }) => (isScrap ? [] : [pieceId])) : [],
  );
  const pieces = guests.flatMap((guest) => guest.pieces);
  return {
    id: host.id,
    name: host.name,
    pieces: pieceCount(pieces),
    cut: pieces
      .map(({ id, name }) => ({ name, quantity: placed.filter((pieceId) => pieceId === id).length }))
      .filter(({ quantity }) => quantity > 0),
  };
}

/** Airframes whose boards may have held pieces of one, at most. */
export const MOST_HOSTS = 50;

/** How many pieces are meant. */
export const pieceCount = (pieces: readonly { readonly quantity: number }[]): number =>
  pieces.reduce((sum, { quantity }) => sum + quantity, 0);

/** What is to be counted as cut from the boards of a host: its cut pieces by their ids here; those whose name is nobody's here are left out. */
export function countedFrom(airframe: Airframe, { id, name, cut }: OnHost): CutElsewhere {
  const left = piecesOfAirframe(airframe).map((piece) => ({ id: piece.id, name: pieceName(piece) }));
  const pieces = cut.flatMap(({ name: wanted, quantity }) => {
    const at = left.findIndex((piece) => piece.name === wanted);
    return at < 0 ? [] : [{ id: left.splice(at, 1)[0]!.id, quantity }];
  });
  return { airframeId: id, name, pieces };
}

/** Settings with what was cut from the boards of one host, in place of what was counted from it before; of nothing it is left out. */
export function withCutElsewhere(nest: NestSettings, counted: CutElsewhere): NestSettings {
  const { cutElsewhere = [], ...rest } = nest;
  const others = cutElsewhere.filter(({ airframeId }) => airframeId !== counted.airframeId),
    all = counted.pieces.length > 0 ? [...others, counted] : others;
  return all.length > 0 ? { ...rest, cutElsewhere: all } : rest;
}
