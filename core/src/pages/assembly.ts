import { boundsCorners, distance, growBounds, type Bounds, type Point } from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import type { Page, PagePlan, Sheet } from './sheet.ts';

/** Two crosses of a joined sheet and how far apart they must lie, in mm; places count from the sheet's origin. */
export interface Diagonal {
  readonly from: Point;
  readonly to: Point;
  readonly lengthMm: number;
}

/** How the pages of a sheet are joined. */
export interface Assembly {
  /** Pages in the order that they are joined, row by row. */
  readonly rows: readonly (readonly string[])[];
  readonly seams: number;
  /** Length of all seams: so much is cut, laid and taped. */
  readonly tapeMm: number;
  readonly minutes: number;
  /** From corner to corner, to prove that it lies true. */
  readonly diagonals: readonly Diagonal[];
}

/** Minutes to trim a seam and lay it by its crosses, and to tape it, by length: what unhurried hands take. */
const MINUTES_A_SEAM = 0.8,
  MINUTES_A_METRE = 1.5;

/** Lengths of the seams that a page has with those on its right and below it. */
function seamLengths({ neighbours: { right, below } }: Page, { minX, minY, maxX, maxY }: Bounds): readonly number[] {
  return [...(right ? [maxY - minY] : []), ...(below ? [maxX - minX] : [])];
}

/** How a sheet of a plan is joined; one of a single page has no seams. */
export const assemblyOf = memo(
  (plan: PagePlan, sheet: Sheet): Assembly => {
    const pages = plan.pages.filter((page) => page.sheet === sheet.number),
      cellOf = ({ view }: Page): Bounds => growBounds(view, -plan.settings.overlapMm / 2),
      seams = pages.flatMap((page) => seamLengths(page, cellOf(page)));
    const tapeMm = seams.reduce((sum, length) => sum + length, 0);
    const rows = [...new Set(pages.map(({ row }) => row))]
      .sort((a, b) => b - a)
      .map((row) => pages.filter((page) => page.row === row).map(({ name }) => name));
    return {
      rows,
      seams: seams.length,
      tapeMm,
      minutes: seams.length * MINUTES_A_SEAM + (tapeMm / 1000) * MINUTES_A_METRE,
      diagonals: seams.length > 0 ? diagonalsOf(pages.map(cellOf).flatMap(boundsCorners), sheet.origin) : [],
    };
  },
  ({ number }) => number,
);

/** The crosses furthest apart along both diagonals. */
function diagonalsOf(crosses: readonly Point[], origin: Point): readonly Diagonal[] {
  const most = (by: (p: Point) => number): Point => crosses.reduce((best, p) => (by(p) > by(best) + 1e-6 ? p : best));
  const pairs = [
    [most(({ x, y }) => -x - y), most(({ x, y }) => x + y)],
    [most(({ x, y }) => y - x), most(({ x, y }) => x - y)],
  ] as const;
  return pairs.map(([from, to]) => ({
    from: { x: from.x - origin.x, y: from.y - origin.y },
    to: { x: to.x - origin.x, y: to.y - origin.y },
    lengthMm: distance(from, to),
  }));
}

/** All sheets of a plan together: what is cut and taped, and how long that takes. */
export function assemblyTotals(plan: PagePlan): { readonly tapeMm: number; readonly minutes: number } {
  const all = plan.sheets.map((sheet) => assemblyOf(plan, sheet));
  return {
    tapeMm: all.reduce((sum, { tapeMm }) => sum + tapeMm, 0),
    minutes: all.reduce((sum, { minutes }) => sum + minutes, 0),
  };
}
