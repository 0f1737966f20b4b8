import fs from 'node:fs';
import path from 'node:path';
import {
  kindOfFile,
  readDrawing,
  readPdfPages,
  type PdfSource,
  type ReadDrawing,
  type ReadPage,
} from '../src/formats/index.ts';

const DRAWINGS = path.resolve(import.meta.dirname, 'drawings'),
  PLANS = path.resolve(import.meta.dirname, '../../demo/plans');

/** A drawing that the tests read, or a plan that ships with the program. */
export const fileBytes = (name: string): Uint8Array => {
  const own = path.join(DRAWINGS, name);
  return new Uint8Array(fs.readFileSync(fs.existsSync(own) ? own : path.join(PLANS, name)));
};

/** Reads a drawing that is text. @throws Error with what the reader said */
export function readText(name: string): ReadDrawing {
  const bytes = fileBytes(name),
    known = kindOfFile(name, bytes.subarray(0, 4096), bytes.length);
  if (!known.ok || known.kind === 'pdf' || known.kind === 'project')
    throw new Error(known.ok ? known.kind : known.message);
  const read = readDrawing(known.kind, new TextDecoder().decode(bytes));
  if (!read.ok) throw new Error(read.message);
  return read.drawing;
}

/** Reads the pages of a PDF by pdf.js. */
export async function readPdf(bytes: Uint8Array): Promise<readonly ReadPage[]> {
  const pdfjs = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const task = pdfjs.getDocument({
    data: bytes,
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    verbosity: 0,
  });
  try {
    const document = (await task.promise) as unknown as PdfSource;
    return await readPdfPages(document, pdfjs.OPS as unknown as Readonly<Record<string, number>>);
  } finally {
    await task.destroy();
  }
}
