import { createWriteStream, readFileSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { finished } from 'node:stream/promises';
import PDFDocument from 'pdfkit';
import type { PaperPage } from '@grain-fold/core/airframe';
import { plainFont, writePdf, type PdfDocument } from '@grain-fold/core/formats';
import { CliError } from './cli-error.ts';

const font = (file: string): Uint8Array =>
  plainFont(readFileSync(createRequire(import.meta.url).resolve(`@fontsource/${file}.woff`)));

/** Writes a PDF beside its name first and moves it there when it is whole, so that a cut-off run leaves no half file. */
export async function writePdfFile(file: string, pages: Iterable<PaperPage>, title: string): Promise<void> {
  const half = `${file}.part`;
  const stream = createWriteStream(half);
  try {
    const document = new PDFDocument({
      autoFirstPage: false,
      info: { Title: title, Producer: 'Grain Fold', Creator: 'Grain Fold' },
    });
    document.pipe(stream);
    writePdf(document as unknown as PdfDocument, pages, {
      text: font('barlow/files/barlow-latin-400-normal'),
      figure: font('barlow-condensed/files/barlow-condensed-latin-500-normal'),
      bold: font('barlow-condensed/files/barlow-condensed-latin-600-normal'),
    });
    await finished(stream);
    await rename(half, file);
  } catch (error) {
    await rm(half, { force: true });
    throw new CliError('FILE', `${file} cannot be written: ${(error as Error).message}`);
  }
}
