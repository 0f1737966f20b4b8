import {
  applyTransform,
  boundsHeight,
  boundsOf,
  boundsWidth,
  compose,
  rotation,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { CoreError } from '../units/index.ts';
import { inkOf, packSmall, tiledSheets, type PageRoom, type TiledSheet } from './pack-sheets.ts';
import { pageFrame, shortenedFrame, type PageFrame, type PageSettings, type PageWay } from './paper.ts';
import { planSheet, rollSheet } from './plan-sheet.ts';
import type { Page, PlacedTemplate, Sheet } from './sheet.ts';
import { templateBounds, type Template } from './template.ts';
import { bestLattice, cellWindow } from './tile-lattice.ts';

/** Pages of one set at most: more is no set to join by hand, and takes minutes to lay out. */
export const MOST_PAGES = 3000;
/** Room that packing needs round a template that just fits, in mm. */
const FIT_RESERVE_MM = 3;
/** White above what is on a sheet off a roll, in mm. */
const ROLL_END_MM = 5;

/** A board with the templates of the pieces that lie on it. */
export interface BoardOfTemplates {
  readonly words: string;
  readonly ring: Polygon;
  readonly placed: readonly PlacedTemplate[];
}

/** A section of a set of pages with what it prints. */
export interface SectionContent {
  readonly id: string;
  readonly way: PageWay;
  /** All of its templates, those on boards too. */
  readonly templates: readonly Template[];
  /** The boards that some of them lie on; read only where that is the way. */
  readonly boards?: readonly BoardOfTemplates[];
  /** With the section's own paper. */
  readonly settings: PageSettings;
}

/** A sheet with its pages. */
export interface SheetWithPages {
  readonly sheet: Sheet;
  readonly pages: readonly Page[];
}

/** Where sheets come from: their paper, and the section that they belong to. */
interface SheetSource {
  readonly frame: PageFrame;
  readonly room: PageRoom;
  readonly sectionId: string;
}

/** Lays out a section whose settings can print. @param first number of its first sheet */
export function laySection(section: SectionContent, first: number): readonly SheetWithPages[] {
  const { settings, templates, way } = section,
    frame = pageFrame(settings),
    room: PageRoom = {
      width: boundsWidth(frame.window),
      height: boundsHeight(frame.window),
      overlapMm: settings.overlapMm,
    },
    source: SheetSource = { frame, room, sectionId: section.id };
  const boards = way === 'boards' ? (section.boards ?? []).filter(({ placed }) => placed.length > 0) : [],
    onBoards = new Set(boards.flatMap(({ placed }) => placed.map(({ template }) => template))),
    others = templates.filter((template) => !onBoards.has(template));
  const laid: SheetWithPages[] = [];
  const add = (make: (number: number) => SheetWithPages): void => {
    laid.push(make(first + laid.length));
    refuseCount(laid.reduce((sum, { pages }) => sum + pages.length, 0));
  };
  for (const board of boards) add((number) => boardSheet(board, number, source));
  if (others.length > 0) {
    if (way === 'plan') {
      refuseTooMany(others, room);
      add((number) => pagesOfTiled(planSheet(others, room), number, source));
    } else {
      const onRoll = settings.paper === 'roll' ? rollSheet(others, room) : undefined;
      const { tiled, singles } = onRoll
        ? { tiled: [], singles: [onRoll] }
        : looseSheets(others, room, settings.packing ?? 0);
      for (const sheet of tiled) add((number) => pagesOfTiled(sheet, number, source));
      for (const placed of singles) add((number) => singlePage(placed, number, source));
    }
  }
  return settings.paper === 'roll' ? laid.map(cutOff) : laid;
}

/** What fits a page packed with others by true shape, what does not tiled. */
function looseSheets(templates: readonly Template[], room: PageRoom, packing: number): ReturnType<typeof packSmall> {
  const fits = (template: Template): boolean => {
    const box = templateBounds(template);
    const [w, h] = [boundsWidth(box), boundsHeight(box)];
    return (
      (w <= room.width - FIT_RESERVE_MM && h <= room.height - FIT_RESERVE_MM) ||
      (h <= room.width - FIT_RESERVE_MM && w <= room.height - FIT_RESERVE_MM)
    );
  };
  const large = templates.filter((template) => !fits(template));
  refuseTooMany(large, room);
  return packSmall(templates.filter(fits), tiledSheets(large, room, packing), room);
}

/** Refuses before anything is laid out: what the parts' rectangles would take. */
function refuseTooMany(templates: readonly Template[], { width, height, overlapMm }: PageRoom): void {
  const along = (sizeMm: number, roomMm: number): number =>
    Math.max(1, Math.ceil((sizeMm - overlapMm) / (roomMm - overlapMm)));
  const count = templates.reduce((sum, template) => {
    const box = templateBounds(template),
      [w, h] = [boundsWidth(box), boundsHeight(box)];
    return sum + Math.min(along(w, width) * along(h, height), along(h, width) * along(w, height));
  }, 0);
  refuseCount(count);
}

/** @throws CoreError OUT_OF_RANGE for more pages than one set may have */
export function refuseCount(count: number): void {
  if (count > MOST_PAGES)
    throw new CoreError(
      'OUT_OF_RANGE',
      `These parts would take up to ${count} pages; at most ${MOST_PAGES} are laid out. Choose a larger paper, a smaller scale or fewer parts.`,
      { count },
    );
}

/** A board with its templates as they lie on it, cut into pages to be glued down whole. */
function boardSheet({ words, ring, placed }: BoardOfTemplates, number: number, source: SheetSource): SheetWithPages {
  const { width, height, overlapMm } = source.room,
    lattice = bestLattice(inkOf(placed), width, height, overlapMm, [0, 90]);
  const turn = rotation(lattice.turnDegrees),
    turned = placed.map(({ template, transform }) => ({ template, transform: compose(transform, turn) }));
  const edge = ring.map((p) => applyTransform(turn, p)),
    { minX, minY } = boundsOf(edge);
  const { sheet, pages } = pagesOfTiled({ lattice, placed: turned }, number, source);
  // Crosses count from the board's corner, where paper and board are laid together.
  return { sheet: { ...sheet, origin: { x: minX, y: minY }, board: { ring: edge, words } }, pages };
}

/** A page of its own for templates that lie on it together. */
function singlePage(
  placed: readonly PlacedTemplate[],
  number: number,
  { frame, room: { width, height }, sectionId }: SheetSource,
): SheetWithPages {
  return {
    sheet: { number, columns: 1, rows: 1, cells: [[0, 0]], origin: { x: 0, y: 0 }, placed, frame, sectionId },
    pages: [
      {
        name: String(number),
        sheet: number,
        column: 0,
        row: 0,
        view: { minX: 0, minY: 0, maxX: width, maxY: height },
        neighbours: {},
      },
    ],
  };
}

/** Columns by letters: A to Z, then AA. */
const columnName = (column: number): string =>
  (column >= 26 ? columnName(Math.floor(column / 26) - 1) : '') + String.fromCharCode(65 + (column % 26));

function pagesOfTiled(
  { lattice, placed }: TiledSheet,
  number: number,
  { frame, room: { width, height, overlapMm }, sectionId }: SheetSource,
): SheetWithPages {
  const inked = new Set(lattice.cells.map(([column, row]) => `${column}/${row}`));
  const nameOf = (column: number, row: number): string =>
    lattice.cells.length === 1
      ? String(number)
      : `${number}${columnName(column)}${lattice.rows > 1 ? lattice.rows - row : ''}`;
  const has = (column: number, row: number): string | undefined =>
    inked.has(`${column}/${row}`) ? nameOf(column, row) : undefined;
  const pages = [...lattice.cells]
    .sort(([c1, r1], [c2, r2]) => r2 - r1 || c1 - c2)
    .map(([column, row]): Page => ({
      name: nameOf(column, row),
      sheet: number,
      column,
      row,
      view: cellWindow(lattice, column, row, width, height, overlapMm),
      neighbours: {
        left: has(column - 1, row),
        right: has(column + 1, row),
        above: has(column, row + 1),
        below: has(column, row - 1),
      },
    }));
  return {
    sheet: {
      number,
      columns: lattice.columns,
      rows: lattice.rows,
      placed,
      cells: lattice.cells,
      origin: { x: lattice.originX, y: lattice.originY },
      frame,
      sectionId,
    },
    pages,
  };
}

/** A sheet off a roll, cut off above what is on it. One that takes several pages up the roll is left whole. */
function cutOff({ sheet, pages }: SheetWithPages): SheetWithPages {
  if (sheet.rows > 1) return { sheet, pages };
  const ink = inkOf(sheet.placed).flatMap(({ points }): readonly Point[] => points),
    top = boundsOf(ink).maxY + ROLL_END_MM;
  const byMm = Math.max(0, pages[0]!.view.maxY - top);
  return {
    sheet: { ...sheet, frame: shortenedFrame(sheet.frame, byMm) },
    pages: pages.map((page) => ({ ...page, view: { ...page.view, maxY: page.view.maxY - byMm } })),
  };
}
