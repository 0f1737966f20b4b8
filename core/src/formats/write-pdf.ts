import type { Transform } from '../geometry/index.ts';
import type { Ink, PaperPen } from '../ink/index.ts';
import { defined } from '../units/index.ts';
import { PdfLayers, type LayeredPdf } from './pdf-layers.ts';
import { paintPdfPage, PDF_FONTS, type PdfCanvas } from './paint-pdf.ts';

/** What a PDF document of pdfkit offers beyond its canvas. */
export interface PdfDocument extends PdfCanvas, LayeredPdf {
  registerFont(name: string, font: string | Uint8Array): unknown;
  end(): void;
}

/** Fonts of the document, by the names the painter uses: files, or what they hold. */
export type PdfFontFiles = Readonly<Record<(typeof PDF_FONTS)[number], string | Uint8Array>>;

/**
 * Paints pages into an empty PDF document and ends it. Viewers are told to print without scaling, on one side, on paper of the pages' size.
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
    readonly pen?: PaperPen;
  }>,
  fonts: PdfFontFiles,
): void {
  document._root.data.ViewerPreferences = document.ref({
    PrintScaling: 'None',
    PickTrayByPDFSize: true,
    // A template on the back of another is lost when one of them is cut out.
    Duplex: 'Simplex',
  });
  for (const name of PDF_FONTS) document.registerFont(name, fonts[name]);
  const labels: string[] = [];
  const layers = new PdfLayers(document);
  for (const { inks, widthMm, heightMm, label, correction, pen } of pages) {
    paintPdfPage(document, inks, widthMm, heightMm, defined({ correction, pen, layers }));
    labels.push(label ?? String(labels.length + 1));
  }
  if (labels.length > 0) document._root.data.PageLabels = pageLabels(labels);
  else document.addPage({ size: [595.28, 841.89], margin: 0 });
  layers.end();
  document.end();
}

/** Names of pages as viewers list them. pdfkit writes a text as a name, and a String object as a text. @source ISO 32000-1, 12.4.2 */
const pageLabels = (labels: readonly string[]): Record<string, unknown> => ({
  Nums: labels.flatMap((label, index) => [index, { P: Object(label) as unknown }]),
});
