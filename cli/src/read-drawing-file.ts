import { readFile, stat } from 'node:fs/promises';
import path from 'node:path';
import {
  kindOfFile,
  MOST_DRAWING_BYTES,
  pdfFault,
  readDrawing,
  readPdfPages,
  textOfFile,
  type ReadDrawing,
} from '@grain-fold/core/formats';
import { joinPages } from '@grain-fold/core/intake';
import { CliError } from './cli-error.ts';
import { openPdf } from './open-pdf.ts';

/** Reads a drawing of any kind; pages of a PDF are joined. @throws CliError FILE saying what is wrong with it */
export async function readDrawingFile(file: string): Promise<ReadDrawing> {
  const name = path.basename(file),
    bytes = await bytesOf(file);
  const known = kindOfFile(name, bytes.subarray(0, 4096), bytes.length);
  if (!known.ok) throw new CliError('FILE', known.message);
  if (known.kind === 'project') throw new CliError('USAGE', `${name} is a project file already.`);
  if (known.kind === 'pdf') return pdfDrawing(name, bytes);
  const read = readDrawing(known.kind, textOfFile(bytes));
  if (!read.ok) throw new CliError('FILE', `${name} could not be read. ${read.message}`);
  return read.drawing;
}

async function bytesOf(file: string): Promise<Uint8Array> {
  try {
    const { size } = await stat(file);
    // One that is too large is told so without being read.
    return size > MOST_DRAWING_BYTES ? new Uint8Array(MOST_DRAWING_BYTES + 1) : await readFile(file);
  } catch (error) {
    throw new CliError('FILE', `${file} cannot be read: ${(error as Error).message}`);
  }
}

async function pdfDrawing(name: string, bytes: Uint8Array): Promise<ReadDrawing> {
  try {
    const pdf = await openPdf(new Uint8Array(bytes));
    const pages = await readPdfPages(pdf.source, pdf.codes);
    await pdf.close();
    return joinPages(pages).drawing;
  } catch (error) {
    throw new CliError('FILE', `${name}: ${pdfFault(error)}`);
  }
}
