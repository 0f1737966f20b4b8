import * as pdfjs from 'pdfjs-dist';
import type { PdfSource } from '@grain-fold/core/formats';

/** A document that is open, and how to close it. */
export interface OpenPdf {
  readonly source: PdfSource;
  readonly codes: Readonly<Record<string, number>>;
  readonly close: () => Promise<void>;
}

/** Opens a PDF within this worker: no worker of its own, no script, no font of the system, nothing fetched. */
export async function openPdf(bytes: Uint8Array): Promise<OpenPdf> {
  // Found there, pdf.js works in this thread.
  (globalThis as { pdfjsWorker?: unknown }).pdfjsWorker ??= await import('pdfjs-dist/build/pdf.worker.mjs');
  const task = pdfjs.getDocument({
    data: bytes,
    isEvalSupported: false,
    enableXfa: false,
    disableFontFace: true,
    useSystemFonts: false,
    useWorkerFetch: false,
    stopAtErrors: false,
    verbosity: 0,
  });
  const document = await task.promise;
  return {
    source: document as unknown as PdfSource,
    codes: pdfjs.OPS as unknown as Readonly<Record<string, number>>,
    close: () => task.destroy(),
  };
}
