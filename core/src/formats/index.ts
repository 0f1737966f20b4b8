export { type PdfDocument, type PdfFontFiles, writePdf } from './write-pdf.ts';
