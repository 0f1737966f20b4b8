import type { ReadResult } from './drawing.ts';
import { readDxf } from './dxf/read-dxf.ts';
import { readPoints } from './points/read-points.ts';
import { readSection } from './points/read-section.ts';
import { readSvg } from './svg/read-svg.ts';

/** Kinds of file that a drawing comes in. */
export type DrawingKind = 'svg' | 'dxf' | 'pdf' | 'section' | 'points' | 'project';
/** Files beyond this are not read, in bytes. */
export const MOST_DRAWING_BYTES = 64 * 1024 * 1024;

/** The kind of a file, or why it is none that is read. */
export type KnownKind =
  { readonly ok: true; readonly kind: DrawingKind } | { readonly ok: false; readonly message: string };

const refuse = (message: string): KnownKind => ({ ok: false, message });
const known = (kind: DrawingKind): KnownKind => ({ ok: true, kind });

/**
 * Tells the kind of a file by what it holds; its name helps only with lists of numbers.
 * @param head its first bytes, 4096 are enough
 * @param size of the whole file in bytes
 */
export function kindOfFile(name: string, head: Uint8Array, size: number): KnownKind {
  if (size === 0) return refuse(`${name} is empty.`);
  if (size > MOST_DRAWING_BYTES)
    return refuse(
      `${name} is ${Math.round(size / 1024 / 1024)} MB large; files up to ${MOST_DRAWING_BYTES / 1024 / 1024} MB are read. Save the part of it that you need.`,
    );
  const text = String.fromCharCode(...head.slice(0, 4096));
  if (text.slice(0, 1024).includes('%PDF-')) return known('pdf');
  if (text.startsWith('PK') || (head[0] === 0x1f && head[1] === 0x8b))
    return refuse(`${name} is packed. Unpack it first, and bring in what it holds.`);
  // The mark of a binary DXF: 18 letters, a new line, an end of file, a zero.
  if (head[18] === 0x0d && head[19] === 0x0a && head[20] === 0x1a && head[21] === 0)
    return refuse(`${name} is a binary DXF, which is not read. Save it as an ASCII DXF.`);
  if (text.includes('\0')) return refuse(`${name} is neither SVG, DXF, PDF nor a list of points.`);
  if (/<(?:\w+:)?svg[\s>]/.test(text) || /^\s*(?:\xef\xbb\xbf)?<(\?xml|!DOCTYPE|!--)/.test(text)) return known('svg');
  if (/^\s*(?:\xef\xbb\xbf)?\{/.test(text)) return known('project');
  if (/^\s*(?:\xef\xbb\xbf)?(?:999[^\n]*\n[^\n]*\n\s*)*0\s*\n\s*SECTION/.test(text)) return known('dxf');
  if (/\.dat$/i.test(name)) return known('section');
  if (/\.(csv|txt|tsv)$/i.test(name)) return known('points');
  return refuse(`${name} is neither SVG, DXF, PDF, a section nor a list of points.`);
}

/** The text of a file: UTF-8 or, where it is none, the old Western letters that drawings were written in before. */
export function textOfFile(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

const READERS = { svg: readSvg, dxf: readDxf, section: readSection, points: readPoints } as const;

/** Reads a drawing that is text. */
export const readDrawing = (kind: keyof typeof READERS, text: string): ReadResult => READERS[kind](text);
