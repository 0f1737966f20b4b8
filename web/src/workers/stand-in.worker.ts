import { expose, transfer } from 'comlink';
import type { Point } from '@grain-fold/core/geometry';
import { findCross, standInMap, type ScannedSheet, type StandInPrinter } from '@grain-fold/core/printers';
import { openPdf } from './open-pdf.ts';

/** A sheet that the stand-in printed, as it lies there to be measured. */
export interface PrintedSheet {
  readonly bitmap: ImageBitmap;
  readonly widthMm: number;
  readonly heightMm: number;
}

const DOTS_AN_INCH = 300;
const MM_PER_INCH = 25.4;
const MM_PER_POINT = MM_PER_INCH / 72;
/** Longer side of any paper that it prints on, in mm. */
const LONGEST_MM = 500;
let sheet: ScannedSheet | undefined;

/** A printer that is made believe, and a scanner for what it prints. */
const standIn = {
  /** Prints the first page of a PDF. */
  async print(bytes: Uint8Array, printer: StandInPrinter): Promise<PrintedSheet> {
    const { draw, close } = await openPdf(bytes);
    try {
      const rough = await draw(1, 200, MM_PER_POINT),
        longMm = Math.max(rough.bitmap.width, rough.bitmap.height) * rough.mmPerPx;
      if (longMm > LONGEST_MM) throw new Error('A home printer takes no paper as large as that.');
      const { bitmap, mmPerPx } = await draw(1, Math.round((longMm / MM_PER_INCH) * DOTS_AN_INCH), MM_PER_POINT);
      return printed(bitmap, mmPerPx, printer);
    } finally {
      await close();
    }
  },
  /** The cross nearest to a place of the sheet, in mm from its lower left corner. */
  cross: (near: Point): Point | undefined => sheet && findCross(sheet, near),
};

function printed(page: ImageBitmap, mmPerPx: number, printer: StandInPrinter): PrintedSheet {
  const { width, height } = page,
    canvas = new OffscreenCanvas(width, height),
    pen = canvas.getContext('2d', { willReadFrequently: true })!;
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, width, height);
  const { across, up, lean } = standInMap(printer);
  const margin = printer.marginMm / mmPerPx,
    spread = printer.spreadMm / 2 / mmPerPx;
  pen.globalCompositeOperation = 'darken';
  // The paper slips once its lower half is out.
  for (const [from, slipMm] of [
    [0, 0],
    [0.5, printer.slipMm],
  ] as const) {
    pen.save();
    pen.beginPath();
    pen.rect(margin, Math.max(margin, from * height), width - 2 * margin, height / 2 - (from === 0 ? margin : margin));
    pen.clip();
    const around: readonly (readonly [number, number])[] =
      spread > 0
        ? [
            [0, 0],
            [spread, 0],
            [-spread, 0],
            [0, spread],
            [0, -spread],
          ]
        : [[0, 0]];
    for (const [dx, dy] of around) {
      // About the middle of the paper; on the canvas up is down.
      pen.setTransform(
        across,
        0,
        -lean,
        up,
        width / 2 - (across * width) / 2 + (lean * height) / 2 + dx,
        height / 2 - (up * height) / 2 + dy + slipMm / mmPerPx,
      );
      pen.drawImage(page, 0, 0);
    }
    pen.restore();
  }
  const { data } = pen.getImageData(0, 0, width, height),
    lightness = new Uint8ClampedArray(width * height);
  for (let index = 0; index < lightness.length; index++) lightness[index] = data[4 * index + 1]!;
  sheet = { widthPx: width, heightPx: height, mmPerPx, lightness };
  const bitmap = canvas.transferToImageBitmap();
  return transfer({ bitmap, widthMm: width * mmPerPx, heightMm: height * mmPerPx }, [bitmap]);
}
export type StandInDesk = typeof standIn;

expose(standIn);
