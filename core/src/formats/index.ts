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
export {
  type DrawingKind,
  type KnownKind,
  MOST_DRAWING_BYTES,
  kindOfFile,
  readDrawing,
  textOfFile,
} from './read-drawing.ts';
export { stockCsv, stockFromCsv, type StockList } from './csv/stock-list.ts';
export { partsCsv } from './csv/tables.ts';
export { type KnownSheet, MOST_SHEET_BYTES, MOST_SHEET_PIXELS, type SheetFacts, sheetFacts } from './sheet-facts.ts';
export { clubZip } from './written/club-zip.ts';
export {
  type BundledFile,
  type UnpackedProject,
  isPacked,
  packProject,
  unpackProject,
} from './written/project-bundle.ts';
export { pageDrawing } from './written/draw-page.ts';
export { drawingPage } from './written/drawing-page.ts';
export { writeDxf } from './dxf/write-dxf.ts';
export { writeSvg } from './svg/write-svg.ts';
export { USUAL_WRITTEN, WIDE_LINES, type WrittenOptions, boardDrawing, partsDrawing } from './written/draw-parts.ts';
export { type LayerWork, workOfLayer } from './written/layer-names.ts';
export type { WrittenDrawing, WrittenLine } from './written/written-drawing.ts';
export { type PdfDocument, type PdfFontFiles, writePdf } from './write-pdf.ts';
