import type { SheetKind } from '../plan/index.ts';
import { kindOfFile } from './read-drawing.ts';

/** Largest file that is kept beside an airframe to be traced, in bytes, and the most pixels of a picture. */
export const MOST_SHEET_BYTES = 40 * 1024 * 1024;
export const MOST_SHEET_PIXELS = 100_000_000;

/** A picture or drawing by what it holds. */
export interface SheetFacts {
  readonly ok: true;
  readonly kind: SheetKind;
  /** Of pictures; drawings are as large as they are drawn. */
  readonly widthPx?: number;
  readonly heightPx?: number;
  /** What its name says otherwise. */
  readonly note?: string;
}
export type KnownSheet = SheetFacts | { readonly ok: false; readonly message: string };

const refuse = (message: string): KnownSheet => ({ ok: false, message });
const ENDINGS: Readonly<Record<SheetKind, RegExp>> = {
  png: /\.png$/i,
  jpeg: /\.jpe?g$/i,
  svg: /\.svg$/i,
  dxf: /\.dxf$/i,
  pdf: /\.pdf$/i,
};
const WORDS: Readonly<Record<SheetKind, string>> = {
  png: 'a PNG',
  jpeg: 'a JPEG',
  svg: 'an SVG',
  dxf: 'a DXF',
  pdf: 'a PDF',
};

/**
 * Tells what a file to trace is by its content, whatever its name says: a picture that is cut off or too large is refused here, before anything
 * opens it.
 */
export function sheetFacts(name: string, bytes: Uint8Array): KnownSheet {
  if (bytes.length === 0) return refuse(`${name} is empty.`);
  if (bytes.length > MOST_SHEET_BYTES)
    return refuse(
      `${name} is ${Math.ceil(bytes.length / 1024 / 1024)} MB large; ${MOST_SHEET_BYTES / 1024 / 1024} MB are kept. Save it smaller, or as a JPEG.`,
    );
  if (isPng(bytes)) return picture(name, 'png', pngSize(bytes), isPngWhole(bytes));
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return picture(name, 'jpeg', jpegSize(bytes), isJpegWhole(bytes));
  const drawing = kindOfFile(name, bytes.subarray(0, 4096), bytes.length);
  if (!drawing.ok || (drawing.kind !== 'svg' && drawing.kind !== 'dxf' && drawing.kind !== 'pdf'))
    return refuse(`${name} is neither a picture (PNG, JPEG) nor a drawing (SVG, DXF, PDF).`);
  return { ok: true, kind: drawing.kind, ...noteOf(name, drawing.kind) };
}

function noteOf(name: string, kind: SheetKind): Pick<SheetFacts, 'note'> {
  return ENDINGS[kind].test(name) ? {} : { note: `${name} is ${WORDS[kind]} by what it holds, and is read as one.` };
}

function picture(name: string, kind: 'png' | 'jpeg', size: Size | undefined, isWhole: boolean): KnownSheet {
  if (!size || !(size.width > 0 && size.height > 0))
    return refuse(`${name} begins like ${WORDS[kind]} but has no size: it is damaged.`);
  if (size.width * size.height > MOST_SHEET_PIXELS)
    return refuse(
      `${name} has ${size.width} × ${size.height} pixels; up to ${MOST_SHEET_PIXELS / 1e6} million are read. Save it smaller.`,
    );
  if (!isWhole) return refuse(`${name} is cut off: its end is missing. Copy or scan it again.`);
  return { ok: true, kind, widthPx: size.width, heightPx: size.height, ...noteOf(name, kind) };
}

interface Size {
  readonly width: number;
  readonly height: number;
}
const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
const isPng = (bytes: Uint8Array): boolean => PNG.every((byte, index) => bytes[index] === byte);
const view = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
const word = (bytes: Uint8Array, at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));

/** @source PNG specification: the first chunk is IHDR, width and height its first eight bytes */
function pngSize(bytes: Uint8Array): Size | undefined {
  if (bytes.length < 33 || word(bytes, 12) !== 'IHDR') return undefined;
  return { width: view(bytes).getUint32(16), height: view(bytes).getUint32(20) };
}
/** A PNG is whole when its chunks lead to the one that ends it. */
function isPngWhole(bytes: Uint8Array): boolean {
  for (let at = 8; at + 12 <= bytes.length;) {
    const length = view(bytes).getUint32(at);
    if (at + 12 + length > bytes.length) return false;
    if (word(bytes, at + 4) === 'IEND') return true;
    at += 12 + length;
  }
  return false;
}

/** @source JPEG (ITU-T T.81): markers follow each other by their lengths up to the frame header, which has height and width */
function jpegSize(bytes: Uint8Array): Size | undefined {
  for (let at = 2; at + 9 < bytes.length;) {
    if (bytes[at] !== 0xff) return undefined;
    const marker = bytes[at + 1]!;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    const isFrame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (isFrame) return { height: view(bytes).getUint16(at + 5), width: view(bytes).getUint16(at + 7) };
    at += 2 + view(bytes).getUint16(at + 2);
  }
  return undefined;
}
/** A JPEG is whole when its end stands in its last bytes; cameras write a little behind it. */
function isJpegWhole(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 2; at >= Math.max(2, bytes.length - 65_536); at--)
    if (bytes[at] === 0xff && bytes[at + 1] === 0xd9) return true;
  return false;
}
