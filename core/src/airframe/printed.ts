import type { PrintedPages } from '../pages/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { memo, stableHash } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { piecesOfAirframe } from './funnel.ts';
import type { Piece } from './piece.ts';

/** Nothing finer is seen on paper, in mm and degrees: a form that is made anew differs in its last digits. */
const SEEN = 1e-4;
const asSeen = (shape: unknown): unknown =>
  JSON.parse(
    JSON.stringify(shape, (_, value: unknown) =>
      typeof value === 'number' ? Math.round(value / SEEN) * SEEN || 0 : value,
    ),
  ) as unknown;

/** Fingerprint of all that paper shows of a shape. */
const paperHash = memo((part: ResolvedPart): string =>
  stableHash(
    asSeen([
      part.name,
      part.side,
      part.material,
      part.thicknessMm,
      part.grain,
      part.outline,
      part.holes,
      part.strokes,
      part.dimensions,
    ]),
  ),
);
const hashOf = ({ part, quantity }: Piece): string => stableHash([paperHash(part), quantity]);

/** Ids of the pieces whose templates are not as they were printed last; of all where nothing was. */
export function changedPieces(airframe: Airframe): readonly string[] {
  const printed = new Map(
    (airframe.settings.pages.printed?.pieces ?? []).map(({ pieceId, readHash }) => [pieceId, readHash]),
  );
  return piecesOfAirframe(airframe)
    .filter((piece) => printed.get(piece.id) !== hashOf(piece))
    .map(({ id }) => id);
}

/** What is kept of a printing: the templates of these pieces as they are; those of others as they were printed before. */
export function printedPages(airframe: Airframe, ids: ReadonlySet<string>, date: string): PrintedPages {
  const before = airframe.settings.pages.printed?.pieces ?? [],
    pieces = piecesOfAirframe(airframe),
    there = new Set(pieces.map(({ id }) => id));
  return {
    date,
    pieces: [
      ...before.filter(({ pieceId }) => there.has(pieceId) && !ids.has(pieceId)),
      ...pieces.filter(({ id }) => ids.has(id)).map((piece) => ({ pieceId: piece.id, readHash: hashOf(piece) })),
    ],
  };
}
