import { boundsOf, distance, intersectionOf, point3, polygonArea, type Point } from '../../geometry/index.ts';
import type { Part } from '../../part/index.ts';
import { madePart, placeOf, roomOnPiece, type MadeCorner, type MadeHole } from '../form/index.ts';
import type { DeckSheet, DeckSite } from './deck-site.ts';
import { underRuling } from './deck-strip.ts';

/** Room for glue between a former and the deck, in mm. */
const GLUE_FILM_MM = 0.1;
/** A window narrower than this is none, in mm. */
const LEAST_WINDOW_MM = 6;
/** Corners of a window nearer to each other than this are one, in mm. */
const ONE_CORNER_MM = 0.2;

/** The starboard half of a line within the deck across it, so far under its outside, from beside the top to the sill: y and z. */
function halfWithin({ lines }: DeckSheet, x: number, depthMm: number): readonly Point[] {
  return lines.map((line) => {
    const { y, z } = underRuling(line, x, depthMm);
    return { x: y, y: z };
  });
}

/** A ring of both halves, from the starboard sill over the top to the port one: counter-clockwise as seen from the tail. */
const bothHalves = (half: readonly Point[]): readonly Point[] => [
  ...[...half].reverse(),
  ...half.map(({ x, y }) => ({ x: -x, y })),
];

/** Where a former stands: its fore face. The first stands behind its section, the last before it, others half way in it. */
export function formerAft({ sections }: DeckSite['deck'], index: number, thicknessMm: number): number {
  const { aftMm } = sections[index]!;
  return index === 0 ? aftMm : index === sections.length - 1 ? aftMm - thicknessMm : aftMm - thicknessMm / 2;
}

/** A former as it is cut: its ring, y to starboard and z up, and its window. */
export interface CutFormer {
  readonly foreMm: number;
  readonly ring: readonly Point[];
  readonly window: readonly Point[] | undefined;
}

/** A ring that begins at its starboard sill, so that its last edge is its foot. */
function fromStarboardSill(ring: readonly Point[]): readonly Point[] {
  const lowest = Math.min(...ring.map(({ y }) => y)),
    start = ring.reduce(
      (best, p, index) => (p.y < lowest + ONE_CORNER_MM && (best < 0 || p.x > ring[best]!.x) ? index : best),
      -1,
    );
  return [...ring.slice(start), ...ring.slice(0, start)];
}

/** How a former is cut to the inside of the deck: square, as large as has room at both of its faces. */
export function cutFormer(site: DeckSite, index: number): CutFormer {
  const { deck, board } = site,
    { thicknessMm } = site.boardOf(deck.formerMaterial ?? deck.material),
    foreMm = formerAft(deck, index, thicknessMm);
  const sheetAt = (x: number): DeckSheet => site.sheets.find(({ aft }) => x <= aft.aftMm + 1e-9) ?? site.sheets.at(-1)!;
  const roomWithin = (depthMm: number): readonly Point[] => {
    const rings = [foreMm, foreMm + thicknessMm].map((x) => bothHalves(halfWithin(sheetAt(x), x, depthMm)));
    const shared = intersectionOf([rings[0]!], [rings[1]!]);
    return shared.reduce((best, one) => (polygonArea(one) > polygonArea(best) ? one : best), shared[0] ?? []);
  };
  const depth = board.thicknessMm + GLUE_FILM_MM,
    ring = fromStarboardSill(roomWithin(depth));
  return {
    foreMm,
    ring,
    window: deck.rimMm > 0 ? windowOf(roomWithin(depth + deck.rimMm), ring[0]!.y + deck.rimMm) : undefined,
  };
}

/** A window within a former: what of the room within its rim lies over its lower rim. */
function windowOf(room: readonly Point[], lowest: number): readonly Point[] | undefined {
  if (room.length < 3) return undefined;
  const { minX, maxX, maxY } = boundsOf(room);
  if (maxX - minX < LEAST_WINDOW_MM || maxY - lowest < LEAST_WINDOW_MM) return undefined;
  const over: readonly Point[] = [
    { x: minX, y: lowest },
    { x: maxX, y: lowest },
    { x: maxX, y: maxY + 1 },
    { x: minX, y: maxY + 1 },
  ];
  const [window] = intersectionOf([room], [over]);
  return window?.filter((p, index, all) => distance(p, all.at(index - 1)!) > ONE_CORNER_MM);
}

function formerPart(site: DeckSite, index: number): Part {
  const { form, deck } = site,
    { foreMm, ring, window } = cutFormer(site, index),
    { x, y, z } = form.place.at;
  const outline = ring.map((at, corner): MadeCorner => ({
    at,
    edge: corner === ring.length - 1 ? 'foot' : `rim-${corner + 1}`,
  }));
  const holes: readonly MadeHole[] = window ? [{ name: 'window', sizing: 'scaled', corners: window }] : [];
  return madePart({
    formId: form.id,
    role: `former-${deck.sections[index]!.id}`,
    name: `${form.name} former ${index + 1}`,
    group: form.name,
    material: deck.formerMaterial ?? deck.material,
    handed: 'single',
    grain: { directionDegrees: 90, rule: 'any' },
    outline,
    holes,
    place: placeOf(
      { x: point3(0, 1, 0), y: point3(0, 0, 1), z: point3(1, 0, 0), origin: point3(x + foreMm, y, z) },
      roomOnPiece(ring, outline, holes),
    ),
  });
}

/** The formers under a deck. */
export const formerParts = (site: DeckSite): readonly Part[] =>
  site.deck.hasFormers ? site.deck.sections.map((_, index) => formerPart(site, index)) : [];
