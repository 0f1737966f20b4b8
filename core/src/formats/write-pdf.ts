import type { Transform } from '../geometry/index.ts';
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
  pages: Iterable<{
    readonly inks: readonly Ink[];
    readonly widthMm: number;
    readonly heightMm: number;
    readonly label?: string;
    readonly correction?: Transform;
  }>,
  fonts: PdfFontFiles,
): void {
  document._root.data.ViewerPreferences = document.ref({ PrintScaling: 'None', PickTrayByPDFSize: true });
  for (const name of PDF_FONTS) document.registerFont(name, fonts[name]);
  const labels: string[] = [];
  for (const { inks, widthMm, heightMm, label, correction } of pages) {
    paintPdfPage(document, inks, widthMm, heightMm, correction);
    labels.push(label ?? String(labels.length + 1));
  }
  if (labels.length > 0) document._root.data.PageLabels = pageLabels(labels);
  else document.addPage({ size: [595.28, 841.89], margin: 0 });
  document.end();
}

/** Names of pages as viewers list them. pdfkit writes a text as a name, and a String object as a text. @source ISO 32000-1, 12.4.2 */
const pageLabels = (labels: readonly string[]): Record<string, unknown> => ({
  Nums: labels.flatMap((label, index) => [index, { P: Object(label) as unknown }]),
});
