export {
  type MeasuredPrinter,
  type PrinterMeasures,
  correctionOf,
  measuredPrinter,
  printedAt,
  printerWords,
} from './correction.ts';
export {
  FURTHEST_LEAN,
  FURTHEST_OFF,
  MOST_PRINTERS,
  type Printer,
  type PrinterMap,
  TEST_ACROSS_MM,
  TEST_UP_MM,
  TRUE_MAP,
} from './printer.ts';
export { testCrosses, testPage } from './test-page.ts';
export { type ScannedSheet, findCross } from './find-cross.ts';
export { HOME_PRINTER, standInMap, type StandInPrinter } from './stand-in.ts';
