import type { Point, Transform } from '../geometry/index.ts';
import { degrees, formatAngle, formatLengthWithUnit, type LengthUnit } from '../units/index.ts';
import {
  FURTHEST_LEAN,
  FURTHEST_OFF,
  SHRUNK_OFF,
  TEST_ACROSS_MM,
  TEST_UP_MM,
  TRUE_MAP,
  type PrinterMap,
} from './printer.ts';

/** What was measured between the crosses of a test page, in mm. Without the diagonals it is taken not to lean. */
export interface PrinterMeasures {
  /** From the lower left to the lower right cross. */
  readonly acrossMm: number;
  /** From the lower left to the upper left one. */
  readonly upMm: number;
  /** From the lower left to the upper right one. */
  readonly risingMm?: number;
  /** From the upper left to the lower right one. */
  readonly fallingMm?: number;
}

/** What measures come to: a printer's map, or why they cannot be. */
export type MeasuredPrinter =
  | {
      readonly ok: true;
      readonly map: PrinterMap;
      /** What is to be asked before it is taken. */ readonly doubt?: string;
    }
  | { readonly ok: false; readonly message: string };

/** Sides and diagonals of a parallelogram that differ by more than this were not measured on one sheet, in mm. */
const FIT_MM = 1.5;

/**
 * A printer by the measures of its test page.
 * @param before its map as it was corrected for when the page was printed
 * @source the lean of a parallelogram with sides a and b and diagonals e and f: sin = (e² − f²)/(4ab)
 */
export function measuredPrinter(
  { acrossMm, upMm, risingMm, fallingMm }: PrinterMeasures,
  unit: LengthUnit,
  before: PrinterMap = TRUE_MAP,
): MeasuredPrinter {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit, unit === 'mm' ? 1 : 3);
  const sides = [
    ['Across', acrossMm, TEST_ACROSS_MM],
    ['Up', upMm, TEST_UP_MM],
  ] as const;
  for (const [word, mm, trueMm] of sides)
    if (!(Math.abs(mm / trueMm - 1) <= FURTHEST_OFF))
      return {
        ok: false,
        message: `${word}: ${Number.isFinite(mm) ? length(mm) : 'no number'}. The crosses stand ${length(trueMm)} apart: from ${length(trueMm * (1 - FURTHEST_OFF))} to ${length(trueMm * (1 + FURTHEST_OFF))} can be. Measure from cross to cross, not from the paper's edge.`,
      };
  let sine = 0;
  if (risingMm !== undefined && fallingMm !== undefined) {
    const off = Math.sqrt((risingMm ** 2 + fallingMm ** 2) / 2) - Math.hypot(acrossMm, upMm);
    if (!(Math.abs(off) <= FIT_MM))
      return {
        ok: false,
        message: `The diagonals do not go with the sides: by those they would be about ${length(Math.hypot(acrossMm, upMm))}. Measure all four on one sheet.`,
      };
    sine = (risingMm ** 2 - fallingMm ** 2) / (4 * acrossMm * upMm);
    if (!(Math.abs(sine) <= FURTHEST_LEAN))
      return {
        ok: false,
        message: `The diagonals say that it leans by ${formatAngle(degrees(Math.asin(Math.max(-1, Math.min(1, sine)))))}. No printer does: the paper was fed askew, or a diagonal is wrong. Print the test page again.`,
      };
  }
  const residual: PrinterMap = {
    across: acrossMm / TEST_ACROSS_MM,
    up: (upMm / TEST_UP_MM) * Math.sqrt(1 - sine * sine),
    lean: (upMm / TEST_UP_MM) * sine,
  };
  // The page was corrected already: what the printer itself does is what is left of that.
  const map: PrinterMap = {
    across: residual.across * before.across,
    up: residual.up * before.up,
    lean: residual.across * before.lean + residual.lean * before.up,
  };
  const off = Math.max(Math.abs(map.across - 1), Math.abs(map.up - 1));
  return {
    ok: true,
    map,
    ...(off > SHRUNK_OFF
      ? {
          doubt: `It prints at ${percent(map.across)} across and ${percent(map.up)} up: a dialog that shrinks the page to fit looks like that. Print at actual size first.`,
        }
      : {}),
  };
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

/** What a printer does, in words. */
export function printerWords({ across, up, lean }: PrinterMap): string {
  const leans = degrees(Math.atan2(lean, up));
  return `${percentFine(across)} across, ${percentFine(up)} up, ${Math.abs(leans) < 0.005 ? 'square' : `leans ${Math.abs(leans).toFixed(2)}° to the ${leans > 0 ? 'right' : 'left'}`}`;
}
const percentFine = (share: number): string => `${(100 * share).toFixed(2)} %`;

/** Where a printer puts a place of a page, in mm, about the page's middle. */
export const printedAt = ({ across, up, lean }: PrinterMap, { x, y }: Point, middle: Point): Point => ({
  x: middle.x + across * (x - middle.x) + lean * (y - middle.y),
  y: middle.y + up * (y - middle.y),
});

/** The map of a page that undoes what a printer makes of it, about the page's middle, in mm. */
export function correctionOf({ across, up, lean }: PrinterMap, widthMm: number, heightMm: number): Transform {
  const [cx, cy] = [widthMm / 2, heightMm / 2],
    aside = -lean / (across * up);
  return { a: 1 / across, b: 0, c: aside, d: 1 / up, e: cx - cx / across - aside * cy, f: cy - cy / up };
}
