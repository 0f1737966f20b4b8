import {
  applyTransform,
  boundsHeight,
  boundsWidth,
  flattenOpenPath,
  runsInside,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import type { OperationKind } from '../operations/index.ts';
import { CoreError, worded } from '../units/index.ts';
import { packSmall, tiledSheets, type PageRoom, type TiledSheet } from './pack-sheets.ts';
import { pageFrame, pageSettingsFault, type PageSettings } from './paper.ts';
import type { Page, PagePlan, Sheet } from './sheet.ts';
import { templateBounds, type Template } from './template.ts';
import { cellWindow } from './tile-lattice.ts';

/** How finely a line is looked at to tell whether a page shows it, in mm. */
const LEGEND_TOLERANCE_MM = 0.3;
/** Pages of one set at most: more is no set to join by hand, and takes minutes to lay out. */
export const MOST_PAGES = 3000;
/** Room that packing needs round a template that just fits, in mm. */
const FIT_RESERVE_MM = 3;

/**
 * Lays templates out on as few pages as it can: what fits a page is packed with others by true shape and
 * crosses no seam, what does not is tiled. Pages without ink are left out. Every template is on paper exactly once.
 * @throws CoreError OUT_OF_RANGE when the settings cannot print, or when it would take more than {@link MOST_PAGES}; BROKEN_PLAN when a template would be on no sheet or on several
 */
export function planPages(templates: readonly Template[], settings: PageSettings): PagePlan {
  const fault = pageSettingsFault(settings);
  if (fault) throw new CoreError('OUT_OF_RANGE', worded(fault, 'mm'), { settings });
  const frame = pageFrame(settings);
  const drawn = templates.filter((template) => template.part.outer.length > 0);
  const width = boundsWidth(frame.window),
    height = boundsHeight(frame.window);
  const fits = (template: Template): boolean => {
    const box = templateBounds(template);
    const [w, h] = [boundsWidth(box), boundsHeight(box)];
    return (
      (w <= width - FIT_RESERVE_MM && h <= height - FIT_RESERVE_MM) ||
      (h <= width - FIT_RESERVE_MM && w <= height - FIT_RESERVE_MM)
    );
  };
  const room: PageRoom = { width, height, overlapMm: settings.overlapMm };
  refuseTooMany(
    drawn.filter((template) => !fits(template)),
    room,
  );
  const packed = packSmall(
    drawn.filter(fits),
    tiledSheets(
      drawn.filter((template) => !fits(template)),
      room,
    ),
    room,
  );
  const all = [
    ...packed.tiled.map((sheet, index) => pagesOfTiled(sheet, index + 1, room)),
    ...packed.singles.map((sheet) => singleSheet(sheet, width, height)),
  ];
  const plan = { settings, frame, sheets: all.map(({ sheet }) => sheet), pages: all.flatMap(({ pages }) => pages) };
  refuseLost(drawn, plan);
  return plan;
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
  if (count > MOST_PAGES)
    throw new CoreError(
      'OUT_OF_RANGE',
      `These parts would take up to ${count} pages; at most ${MOST_PAGES} are laid out. Choose a larger paper, a smaller scale or fewer parts.`,
      { count },
    );
}

/** A plan that leaves a part out would be found out after cutting: it is none. */
function refuseLost(templates: readonly Template[], { sheets, pages }: PagePlan): void {
  const printed = new Set(pages.map(({ sheet }) => sheet));
  const times = new Map<Template, number>();
  for (const { number, placed } of sheets)
    for (const { template } of placed) if (printed.has(number)) times.set(template, (times.get(template) ?? 0) + 1);
  const lost = templates.find((template) => times.get(template) !== 1);
  if (lost)
    throw new CoreError(
      'BROKEN_PLAN',
      `${lost.part.name} would be printed ${times.get(lost) ?? 0} times. Choose another paper or margin.`,
      { part: lost.part.name },
    );
}

interface SheetWithPages {
  readonly sheet: Sheet;
  readonly pages: readonly Page[];
}

function singleSheet(sheet: Sheet, width: number, height: number): SheetWithPages {
  return {
    sheet,
    pages: [
      {
        name: String(sheet.number),
        sheet: sheet.number,
        column: 0,
        row: 0,
        view: { minX: 0, minY: 0, maxX: width, maxY: height },
        neighbours: {},
      },
    ],
  };
}

function pagesOfTiled(
  { lattice, placed }: TiledSheet,
  number: number,
  { width, height, overlapMm }: PageRoom,
): SheetWithPages {
  const has = (column: number, row: number): string | undefined =>
    lattice.cells.some(([c, r]) => c === column && r === row) ? nameOf(column, row) : undefined;
  const nameOf = (column: number, row: number): string =>
    lattice.cells.length === 1
      ? String(number)
      : `${number}${String.fromCharCode(65 + column)}${lattice.rows > 1 ? lattice.rows - row : ''}`;
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
    },
    pages,
  };
}

/** The kinds of stroke that a page shows, for its legend: those with a line or an area on it. */
export function kindsOnPage(plan: PagePlan, page: Page): readonly OperationKind[] {
  const sheet = plan.sheets.find((one) => one.number === page.sheet);
  const { minX, minY, maxX, maxY } = page.view;
  const view: Polygon = [
    { x: minX, y: minY },
    { x: maxX, y: minY },
    { x: maxX, y: maxY },
    { x: minX, y: maxY },
  ];
  const isShown = (line: readonly Point[]): boolean => runsInside(line, [view]).length > 0;
  const kinds = (sheet?.placed ?? []).flatMap(({ template, transform }) =>
    template.part.strokes
      .filter(({ paths, area }) =>
        [
          ...paths.map((path) => flattenOpenPath(path, LEGEND_TOLERANCE_MM)),
          ...area.map((ring) => [...ring, ring[0]!]),
        ].some((line) => isShown(line.map((p) => applyTransform(transform, p)))),
      )
      .map(({ kind }) => kind),
  );
  return [...new Set(kinds)];
}
