import type { PdfSource } from '@grain-fold/core/formats';

/** A document that is open, with the numbers of its drawing orders. */
export interface OpenPdf {
  readonly source: PdfSource;
  readonly codes: Readonly<Record<string, number>>;
  readonly close: () => Promise<void>;
}

/** Opens a PDF: no script, no font of the system, nothing fetched. Its reader is loaded when there is a PDF. */
export async function openPdf(bytes: Uint8Array): Promise<OpenPdf> {
  const pdfjs = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const task = pdfjs.getDocument({
    data: bytes,
    isEvalSupported: false,
    enableXfa: false,
    disableFontFace: true,
    useSystemFonts: false,
    verbosity: 0,
  });
  const document = await task.promise;
  return {
    source: document as unknown as PdfSource,
    codes: pdfjs.OPS as unknown as Readonly<Record<string, number>>,
    close: () => task.destroy(),
  };
}
