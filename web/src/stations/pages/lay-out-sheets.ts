import type { Point } from '@grain-fold/core/geometry';
import type { Page, PagePlan, Sheet } from '@grain-fold/core/pages';

/** A sheet placed on the map: where its own origin comes to lie, and how large it is, in mm. */
export interface SheetOnMap {
  readonly sheet: Sheet;
  readonly origin: Point;
  readonly width: number;
  readonly height: number;
  /** What is added to sheet coordinates to come to the map. */
  readonly shift: Point;
  readonly pages: readonly (Page & { /** Upper left corner on the map. */ readonly label: Point })[];
}

/** Paper left between sheets on the map, in mm. */
const GAP_MM = 34;

/** Sheets side by side in rows about as wide as they are tall, hung from the top. */
export function layOutSheets(plan: PagePlan): readonly SheetOnMap[] {
  const sized = plan.sheets.map((sheet) => {
    const pages = plan.pages.filter((page) => page.sheet === sheet.number);
    const [minX, maxX] = [Math.min(...pages.map(({ view }) => view.minX)), Math.max(...pages.map(({ view }) => view.maxX))];
    const [minY, maxY] = [Math.min(...pages.map(({ view }) => view.minY)), Math.max(...pages.map(({ view }) => view.maxY))];
    return { sheet, pages, minX, minY, width: maxX - minX, height: maxY - minY };
  });
  const area = sized.reduce((sum, { width, height }) => sum + (width + GAP_MM) * (height + GAP_MM), 0);
  const rowWidth = Math.max(Math.sqrt(area) * 1.25, ...sized.map(({ width }) => width));
  let x = 0, top = 0, rowHeight = 0;
  return sized.map(({ sheet, pages, minX, minY, width, height }) => {
    if (x > 0 && x + width > rowWidth) [x, top, rowHeight] = [0, top - rowHeight - GAP_MM, 0];
    const origin = { x, y: top - height };
    const shift = { x: origin.x - minX, y: origin.y - minY };
    x += width + GAP_MM;
    rowHeight = Math.max(rowHeight, height);
    return { sheet, origin, width, height, shift, pages: pages.map((page) => ({ ...page, label: { x: page.view.minX + shift.x, y: page.view.maxY + shift.y } })) };
  });
}
