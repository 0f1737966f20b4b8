import * as pdfjs from 'pdfjs-dist';
import type { PdfSource } from '@grain-fold/core/formats';

/** A page as it was drawn, how large a pixel of it is, and how many pages there are. */
export interface DrawnPdfPage {
  readonly bitmap: ImageBitmap;
  readonly mmPerPx: number;
  readonly pages: number;
}

/** Canvases of a worker, where there is no page to make them. */
class WorkerCanvases {
  create(
    width: number,
    height: number,
  ): { canvas: OffscreenCanvas | null; context: OffscreenCanvasRenderingContext2D | null } {
    const canvas = new OffscreenCanvas(width, height);
    return { canvas, context: canvas.getContext('2d') };
  }
  reset(pair: { canvas: OffscreenCanvas }, width: number, height: number): void {
    pair.canvas.width = width;
    pair.canvas.height = height;
  }
  destroy(pair: { canvas: OffscreenCanvas | null; context: OffscreenCanvasRenderingContext2D | null }): void {
    pair.canvas = pair.context = null;
  }
}
/** Filters need a page: what is drawn goes without them. */
class NoFilters {
  addFilter = (): string => 'none';
  addHCMFilter = (): string => 'none';
  addAlphaFilter = (): string => 'none';
  addLuminosityFilter = (): string => 'none';
  addHighlightHCMFilter = (): string => 'none';
  destroy(): void {
    // Nothing was made.
  }
}

/** A document that is open, and how to close it. */
export interface OpenPdf {
  readonly source: PdfSource;
  readonly codes: Readonly<Record<string, number>>;
  /**
   * Draws a page on white paper.
   * @param page from 1
   * @param longerPx length of its longer side
   * @param mmPerPoint how large a point of the document is
   */
  readonly draw: (page: number, longerPx: number, mmPerPoint: number) => Promise<DrawnPdfPage>;
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
    CanvasFactory: WorkerCanvases,
    FilterFactory: NoFilters,
  });
  const document = await task.promise;
  return {
    source: document as unknown as PdfSource,
    codes: pdfjs.OPS as unknown as Readonly<Record<string, number>>,
    draw: async (number, longerPx, mmPerPoint) => {
      const page = await document.getPage(Math.max(1, Math.min(document.numPages, number))),
        plain = page.getViewport({ scale: 1 }),
        scale = longerPx / Math.max(plain.width, plain.height),
        viewport = page.getViewport({ scale });
      const canvas = new OffscreenCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
      await page.render({
        canvas: null,
        canvasContext: canvas.getContext('2d') as unknown as CanvasRenderingContext2D,
        viewport,
        background: '#ffffff',
      }).promise;
      return { bitmap: canvas.transferToImageBitmap(), mmPerPx: mmPerPoint / scale, pages: document.numPages };
    },
    close: () => task.destroy(),
  };
}
