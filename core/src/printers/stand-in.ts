import { radians } from '../units/index.ts';
import type { PrinterMap } from './printer.ts';

/** A printer that is made believe: what a home printer does to a page. */
export interface StandInPrinter {
  /** What its dialog makes of the page, as a share: below 1 it shrinks to fit. */
  readonly size: number;
  /** What its rollers make of lengths up the page beyond that, as a share. */
  readonly feed: number;
  /** How far what lies up the page leans to the right. */
  readonly leanDegrees: number;
  /** Edge that it leaves white, in mm. */
  readonly marginMm: number;
  /** By how much ink spreads round a line, in mm. */
  readonly spreadMm: number;
  /** How far the paper slips half way up, in mm. */
  readonly slipMm: number;
}

/** As a printer at home is: a dialog that shrinks to fit, a feed that drags and leans. */
export const HOME_PRINTER: StandInPrinter = {
  size: 0.97,
  feed: 0.996,
  leanDegrees: 0.4,
  marginMm: 4,
  spreadMm: 0.08,
  slipMm: 0,
};

/** What the stand-in makes of a page, slip left out. */
export const standInMap = ({ size, feed, leanDegrees }: StandInPrinter): PrinterMap => ({
  across: size,
  up: size * feed * Math.cos(radians(leanDegrees)),
  lean: size * feed * Math.sin(radians(leanDegrees)),
});
