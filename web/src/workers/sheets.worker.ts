import { expose, transfer } from 'comlink';
import { readDrawing, sheetFacts, textOfFile, type ReadDrawing } from '@grain-fold/core/formats';
import { boundsOf, flattenOpenPath, scaling, transformPath, type Point } from '@grain-fold/core/geometry';
import type { SheetKind } from '@grain-fold/core/plan';
import { openPdf } from './open-pdf.ts';

/** A sheet that was opened: its pixels, and how large one is where the file says so. */
export interface OpenedSheet {
  readonly ok: true;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Of drawings and of paper; pictures do not say. */
  readonly mmPerPx?: number;
  readonly pages?: number;
}
export type SheetAnswer = OpenedSheet | { readonly ok: false; readonly message: string };

/** Longer side of a drawing or a page of paper as it is drawn, in pixels. */
const DRAWN_PX = 6000;
const MM_PER_POINT = 25.4 / 72;
export const TILE_PX = 512;

/** A picture, and the same at half, a quarter and so on of its size, made when they are first asked for. */
interface Pyramid {
  readonly levels: (ImageBitmap | undefined)[];
}
const open = new Map<string, Pyramid>();

/** Each level is made of the one before it: smooth, and quick. */
async function levelOf(pyramid: Pyramid, level: number): Promise<ImageBitmap> {
  const known = pyramid.levels[level];
  if (known) return known;
  const larger = await levelOf(pyramid, level - 1);
  const made = await createImageBitmap(larger, {
    resizeWidth: Math.max(1, Math.ceil(larger.width / 2)),
    resizeHeight: Math.max(1, Math.ceil(larger.height / 2)),
    resizeQuality: 'medium',
  });
  return (pyramid.levels[level] ??= made);
}

async function pictureOf(bytes: Uint8Array<ArrayBuffer>): Promise<ImageBitmap> {
  return createImageBitmap(new Blob([bytes]));
}

/** A drawing's lines in ink on paper. */
function drawnLines({
  lines,
  unit,
}: ReadDrawing): { readonly bitmap: ImageBitmap; readonly mmPerPx: number } | undefined {
  const runs = lines.map(({ path }) => flattenOpenPath(transformPath(scaling(unit.mmPerUnit), path), 0.1));
  const points = runs.flat();
  if (points.length === 0) return undefined;
  const { minX, minY, maxX, maxY } = boundsOf(points),
    room = 0.02 * Math.max(maxX - minX, maxY - minY, 1),
    [width, height] = [maxX - minX + 2 * room, maxY - minY + 2 * room];
  const perMm = DRAWN_PX / Math.max(width, height);
  const canvas = new OffscreenCanvas(Math.ceil(width * perMm), Math.ceil(height * perMm)),
    pen = canvas.getContext('2d')!;
  pen.fillStyle = '#fffdf7';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.strokeStyle = '#1d2a2f';
  pen.lineWidth = DRAWN_PX / 900;
  const at = ({ x, y }: Point): [number, number] => [(x - minX + room) * perMm, (maxY + room - y) * perMm];
  pen.beginPath();
  for (const run of runs) run.forEach((p, index) => (index === 0 ? pen.moveTo(...at(p)) : pen.lineTo(...at(p))));
  pen.stroke();
  return { bitmap: canvas.transferToImageBitmap(), mmPerPx: 1 / perMm };
}

/** A page of a PDF, drawn. */
async function drawnPage(
  bytes: Uint8Array,
  page: number,
): Promise<{ readonly bitmap: ImageBitmap; readonly mmPerPx: number; readonly pages: number }> {
  const { draw, close } = await openPdf(bytes);
  try {
    return await draw(page, DRAWN_PX, MM_PER_POINT);
  } finally {
    await close();
  }
}

async function made(
  kind: SheetKind,
  bytes: Uint8Array<ArrayBuffer>,
  page: number,
): Promise<{ readonly bitmap: ImageBitmap; readonly mmPerPx?: number; readonly pages?: number } | string> {
  switch (kind) {
    case 'png':
    case 'jpeg':
      return { bitmap: await pictureOf(bytes) };
    case 'pdf':
      return drawnPage(bytes, page);
    case 'svg':
    case 'dxf': {
      const read = readDrawing(kind, textOfFile(bytes));
      return read.ok ? (drawnLines(read.drawing) ?? 'There is no line in it.') : read.message;
    }
  }
}

/** Sheets to trace, each opened once: their tiles are cut here, so that the page never waits for a picture. */
const desk = {
  async open(key: string, name: string, buffer: ArrayBuffer, page: number): Promise<SheetAnswer> {
    const bytes = new Uint8Array(buffer),
      facts = sheetFacts(name, bytes);
    if (!facts.ok) return facts;
    try {
      const result = await made(facts.kind, bytes, page);
      if (typeof result === 'string') return { ok: false, message: `${name}: ${result}` };
      const { bitmap, ...told } = result;
      open.set(key, { levels: [bitmap] });
      return { ok: true, widthPx: bitmap.width, heightPx: bitmap.height, ...told };
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      return {
        ok: false,
        message: `${name} cannot be opened: it is damaged, or of a kind that no browser reads. ${why}`,
      };
    }
  },
  /** A tile of a level, as a picture that is given away; undefined where there is none. */
  async tile(key: string, level: number, column: number, row: number): Promise<ImageBitmap | undefined> {
    const pyramid = open.get(key);
    if (!pyramid) return undefined;
    const bitmap = await levelOf(pyramid, level),
      [x, y] = [column * TILE_PX, row * TILE_PX];
    if (x >= bitmap.width || y >= bitmap.height) return undefined;
    const cut = await createImageBitmap(
      bitmap,
      x,
      y,
      Math.min(TILE_PX, bitmap.width - x),
      Math.min(TILE_PX, bitmap.height - y),
    );
    return transfer(cut, [cut]);
  },
  forget(key: string): void {
    for (const bitmap of open.get(key)?.levels ?? []) bitmap?.close();
    open.delete(key);
  },
};
export type SheetsDesk = typeof desk;

expose(desk);
