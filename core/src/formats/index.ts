export {
  DRAWING_UNITS,
  type LeftOut,
  type ReadDrawing,
  type ReadLine,
  type ReadResult,
  type ReadText,
  type ReadUnit,
} from './drawing.ts';
export { clippedToBox } from './pdf/clip-path.ts';
export type { ReadPage } from './pdf/read-page.ts';
export { MOST_PDF_PAGES, type PdfSource, pdfFault, readPdfPages } from './pdf/read-pdf.ts';
export { plainFont } from './plain-font.ts';
export { type DrawingKind, type KnownKind, MOST_DRAWING_BYTES, kindOfFile, readDrawing } from './read-drawing.ts';
export { type PdfDocument, type PdfFontFiles, writePdf } from './write-pdf.ts';
