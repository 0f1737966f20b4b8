import type { Ink } from '../ink/index.ts';
import { paintPdfPage, PDF_FONTS, type PdfCanvas } from './paint-pdf.ts';

/** What a PDF document of pdfkit offers beyond its canvas. */
export interface PdfDocument extends PdfCanvas {
  registerFont(name: string, font: string | Uint8Array): unknown;
  ref(data: Record<string, unknown>): unknown;
  end(): void;
  /** The document's catalogue, where viewer preferences are kept. */
  readonly _root: { readonly data: Record<string, unknown> };
}

/** Fonts of the document, by the names the painter uses: files, or what they hold. */
export type PdfFontFiles = Readonly<Record<(typeof PDF_FONTS)[number], string | Uint8Array>>;

/**
 * Paints pages into an empty PDF document and ends it. Viewers are told to print without scaling, on paper of the pages' size.
 * No page at all gives one blank page, since a PDF needs one.
 */
export function writePdf(
  document: PdfDocument,
  pages: Iterable<{ readonly inks: readonly Ink[]; readonly widthMm: number; readonly heightMm: number }>,
  fonts: PdfFontFiles,
): void {
  document._root.data.ViewerPreferences = document.ref({ PrintScaling: 'None', PickTrayByPDFSize: true });
  for (const name of PDF_FONTS) document.registerFont(name, fonts[name]);
  let isEmpty = true;
  for (const { inks, widthMm, heightMm } of pages) {
    paintPdfPage(document, inks, widthMm, heightMm);
    isEmpty = false;
  }
  if (isEmpty) document.addPage({ size: [595.28, 841.89], margin: 0 });
  document.end();
}
