import { foldsInOrder } from '../folds/index.ts';
import { boundsCorners } from '../geometry/index.ts';
import { placementTransform } from '../nesting/index.ts';
import {
  assemblyTotals,
  planSet,
  type BoardOfTemplates,
  type PagePlan,
  type PageSection,
  type SectionContent,
  type Template,
} from '../pages/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { decalsOf } from './decals.ts';
import { piecesOfAirframe } from './funnel.ts';
import type { Piece } from './piece.ts';
import { boardViews, nestToGoBy } from './nest-airframe.ts';

/** What is printed where nothing else is said: every part by itself. */
export const USUAL_SECTIONS: readonly PageSection[] = [{ id: 's1', way: 'loose' }];

const foldsOf = memo((part: ResolvedPart): readonly string[] =>
  foldsInOrder(part).map(({ operationId }) => operationId),
);
const templateOf = ({ part }: Piece, pieces: number): Template => ({ part, pieces, folds: foldsOf(part) });

/** The sections of an airframe's pages, with the pieces that each has: a piece belongs to the first that names its part, and its decals to every section of decals that does. */
export function sectionPieces(
  airframe: Airframe,
): readonly { readonly section: PageSection; readonly pieces: readonly Piece[] }[] {
  const sections = airframe.settings.pages.sections ?? USUAL_SECTIONS,
    // Decals are printed beside the templates of their parts.
    ofParts = sections.filter(({ way }) => way !== 'decals'),
    named = new Map(ofParts.toReversed().flatMap(({ id, partIds }) => (partIds ?? []).map((part) => [part, id]))),
    rest = ofParts.find(({ partIds }) => partIds === undefined)?.id;
  const pieces = piecesOfAirframe(airframe);
  return sections.map((section) => ({
    section,
    pieces: pieces.filter(({ part }) =>
      section.way === 'decals'
        ? section.partIds?.includes(part.id) !== false
        : (named.get(part.id) ?? rest) === section.id,
    ),
  }));
}

/** The boards of the nest with a template for every piece of a section that lies on them. */
function boardTemplates(airframe: Airframe, pieces: readonly Piece[]): readonly BoardOfTemplates[] {
  const wanted = new Set(pieces.map(({ id }) => id));
  return boardViews(airframe, nestToGoBy(airframe).nest).map(({ number, board, pieces: placed }) => ({
    words: `Board ${number} · ${board.name}`,
    ring: board.outline ?? boundsCorners({ minX: 0, minY: 0, maxX: board.widthMm, maxY: board.heightMm }),
    placed: placed
      .filter(({ piece, placed: { isScrap } }) => !isScrap && wanted.has(piece.id))
      .map(({ piece, placed: placement }) => ({
        template: templateOf(piece, 1),
        transform: placementTransform(placement),
      })),
  }));
}

/** What a section prints: of pieces on boards one template each, of what the boards have no place for as of loose ones. */
function sectionContent(airframe: Airframe, section: PageSection, pieces: readonly Piece[]): SectionContent {
  const { pages } = airframe.settings,
    settings = { ...pages, ...section.paper };
  const loose = (piece: Piece, quantity: number): readonly Template[] =>
    quantity <= 0
      ? []
      : pages.templates === 'every-piece'
        ? Array.from({ length: quantity }, () => templateOf(piece, 1))
        : [templateOf(piece, quantity)];
  if (section.way === 'decals') {
    const wanted = new Set(pieces.map(({ part }) => part.id));
    return {
      id: section.id,
      way: 'loose',
      settings,
      templates: decalsOf(airframe, (id) => wanted.has(id), section.isMirrored === true),
    };
  }
  if (section.way !== 'boards')
    return {
      id: section.id,
      way: section.way,
      settings,
      templates: pieces.flatMap((piece) => loose(piece, piece.quantity)),
    };
  const boards = boardTemplates(airframe, pieces),
    onBoards = boards.flatMap(({ placed }) => placed.map(({ template }) => template));
  const count = new Map<ResolvedPart, number>();
  for (const { part } of onBoards) count.set(part, (count.get(part) ?? 0) + 1);
  return {
    id: section.id,
    way: 'boards',
    settings,
    boards,
    templates: [...onBoards, ...pieces.flatMap((piece) => loose(piece, piece.quantity - (count.get(piece.part) ?? 0)))],
  };
}

/**
 * The pages that an airframe prints; those of all its pieces are remembered by it.
 * @param only ids of the pieces that are printed; all when undefined
 * @throws CoreError OUT_OF_RANGE when its page settings cannot print
 */
export const pagesOf = (airframe: Airframe, only?: ReadonlySet<string>): PagePlan =>
  only ? laidOut(airframe, only) : allPages(airframe);
const allPages = memo((airframe: Airframe): PagePlan => laidOut(airframe));

/** Fewer pages are better, then less tape. */
export function takesLess(one: PagePlan, than: PagePlan): boolean {
  const more = one.pages.length - than.pages.length;
  return more < 0 || (more === 0 && assemblyTotals(one).tapeMm < assemblyTotals(than).tapeMm - 1e-6);
}

/** The packing that a search found best may be none any more for parts that were changed since: the usual one is laid out too. */
function laidOut(airframe: Airframe, only?: ReadonlySet<string>): PagePlan {
  const usual = pagesByPacking(airframe, 0, only),
    { packing = 0 } = airframe.settings.pages;
  if (packing === 0) return usual;
  const found = pagesByPacking(airframe, packing, only);
  return takesLess(found, usual) ? found : usual;
}

/** The pages of an airframe by the packing of a number. */
export function pagesByPacking(airframe: Airframe, packing: number, only?: ReadonlySet<string>): PagePlan {
  const sections = sectionPieces(airframe)
    .map(({ section, pieces }) =>
      sectionContent(airframe, section, only ? pieces.filter(({ id }) => only.has(id)) : pieces),
    )
    .map((content) => ({ ...content, settings: { ...content.settings, packing } }));
  return planSet(sections, airframe.settings.pages);
}
