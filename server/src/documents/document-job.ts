import fs from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { cutListDocument, cutListOf, pagesDocument, standingPicture, type Airframe } from '@grain-fold/core/airframe';
import { cutListCsv } from '@grain-fold/core/cutting';
import { plainFont, writePdf, type PdfDocument, type PdfFontFiles } from '@grain-fold/core/formats';
import { CoreError, type CoreErrorCode } from '@grain-fold/core/units';

/** A document to make of an airframe. */
export interface DocumentJob {
  readonly kind: 'pages' | 'cut-list' | 'cut-list-table' | 'picture';
  readonly airframe: Airframe;
  readonly version: number;
  readonly date: string;
  /** Pages are made however many there are: that was asked for. */
  readonly isMany?: boolean;
}

/** A set of more pages is made only when all of them are asked for. */
const MANY_PAGES = 500;

const require = createRequire(import.meta.url);
const fontFile = (family: string, file: string): Uint8Array =>
  plainFont(fs.readFileSync(require.resolve(`${family}/files/${file}.woff`)));

/** What came of a job: the document, or an error of core by its code, which would be lost on its way between threads. */
export type DocumentResult =
  | { readonly ok: true; readonly bytes: Uint8Array }
  | { readonly ok: false; readonly code: CoreErrorCode; readonly message: string };

/** Runs a job and tells an error of core as a value. */
export default async function runJob(job: DocumentJob): Promise<DocumentResult> {
  try {
    return { ok: true, bytes: await made(job) };
  } catch (error) {
    if (error instanceof CoreError) return { ok: false, code: error.code, message: error.message };
    throw error;
  }
}

function made(job: DocumentJob): Uint8Array | Promise<Uint8Array> {
  switch (job.kind) {
    case 'picture':
      return makePicture(job);
    case 'cut-list-table':
      return makeTable(job);
    case 'pages':
    case 'cut-list':
      return makeDocument(job);
  }
}

const makeTable = ({ airframe }: DocumentJob): Uint8Array =>
  new TextEncoder().encode(cutListCsv(cutListOf(airframe), airframe.settings.unit));

/** The airframe as it stands; nothing while nothing stands. */
const makePicture = ({ airframe }: DocumentJob): Uint8Array =>
  new TextEncoder().encode(standingPicture(airframe) ?? '');

/** Makes the PDF of a job. Runs on a worker thread, since packing pages and drawing them takes longer than a request may block. */
function makeDocument({ kind, airframe, version, date, isMany }: DocumentJob): Promise<Uint8Array> {
  const pages =
    kind === 'pages'
      ? pagesDocument(airframe, version, date, isMany ? Infinity : MANY_PAGES)
      : cutListDocument(airframe, version, date);
  const fonts: PdfFontFiles = {
    text: fontFile('@fontsource/barlow', 'barlow-latin-400-normal'),
    figure: fontFile('@fontsource/barlow-condensed', 'barlow-condensed-latin-500-normal'),
    bold: fontFile('@fontsource/barlow-condensed', 'barlow-condensed-latin-600-normal'),
  };
  const document = new PDFDocument({
    autoFirstPage: false,
    info: {
      Title: `${airframe.name} · ${kind === 'pages' ? 'pages' : 'cut list'}`,
      Producer: 'Grain Fold',
      Creator: 'Grain Fold',
    },
  });
  const chunks: Uint8Array[] = [];
  return new Promise((resolve, reject) => {
    document.on('data', (chunk: Uint8Array) => chunks.push(chunk));
    document.once('end', () => resolve(Buffer.concat(chunks)));
    document.once('error', reject);
    writePdf(document as unknown as PdfDocument, pages, fonts);
  });
}
