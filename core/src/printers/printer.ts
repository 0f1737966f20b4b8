import type { PaperPen } from '../ink/index.ts';

/**
 * What a printer makes of a page: lengths across and up are these shares of what they should be, and what lies up the page leans to the
 * right by so much of its height. 1, 1 and 0 for one that prints true.
 */
export interface PrinterMap {
  readonly across: number;
  readonly up: number;
  readonly lean: number;
}

/** A printer of the workshop, as its test page was measured. */
export interface Printer {
  readonly id: string;
  readonly name: string;
  readonly map: PrinterMap;
  /** Day of the last measures, as YYYY-MM-DD; never measured when undefined. */
  readonly measuredOn?: string;
  /** Edge that it leaves white whatever it is sent, in mm; not known when undefined. */
  readonly marginMm?: number;
  /** How its ink comes on paper; grey and of usual weight when undefined. */
  readonly pen?: PaperPen;
}

export const TRUE_MAP: PrinterMap = { across: 1, up: 1, lean: 0 };
/** Printers of one workshop at most. */
export const MOST_PRINTERS = 20;

/** Between the crosses of a test page, in mm: as much as A4 and Letter hold inside any printer's margins. */
export const TEST_ACROSS_MM = 170;
export const TEST_UP_MM = 230;
/** Off true by more than this no printer is: a wrong number was typed. As a share. */
export const FURTHEST_OFF = 0.25;
/** Over this a dialog has shrunk the page to fit. As a share. */
export const SHRUNK_OFF = 0.08;
/** Leans further than this are a crooked feed, not the printer, as a share. */
export const FURTHEST_LEAN = 0.05;
