import { boundsOf, hangInRows, type Point } from '@grain-fold/core/geometry';
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

/** Sheets in rows, hung from the top, as large as the mat shows them. */
export function layOutSheets(plan: PagePlan): readonly SheetOnMap[] {
  const sized = plan.sheets.map((sheet) => {
    const pages = plan.pages.filter((page) => page.sheet === sheet.number);
    // The board that it is glued to may reach beyond its pages.
    const { minX, minY, maxX, maxY } = boundsOf([
      ...pages.flatMap(({ view }) => [
        { x: view.minX, y: view.minY },
        { x: view.maxX, y: view.maxY },
      ]),
      ...(sheet.board?.ring ?? []),
    ]);
    return { sheet, pages, minX, minY, width: maxX - minX, height: maxY - minY };
  });
  const origins = hangInRows(sized, GAP_MM, GAP_MM);
  return sized.map(({ sheet, pages, minX, minY, width, height }, index) => {
    const origin = origins[index]!;
    const shift = { x: origin.x - minX, y: origin.y - minY };
    return {
      sheet,
      origin,
      width,
      height,
      shift,
      pages: pages.map((page) => ({ ...page, label: { x: page.view.minX + shift.x, y: page.view.maxY + shift.y } })),
    };
  });
}
