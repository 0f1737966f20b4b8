import fs from 'node:fs';
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { writeProjectFile } from '@grain-fold/contract';
import {
  cutListDocument,
  cutListOf,
  pagesDocument,
  planDrawingDocument,
  planViewDocument,
  printerTestDocument,
  standingPicture,
  type Airframe,
  type PaperPage,
  type PrintedSet,
} from '@grain-fold/core/airframe';
import { cutListCsv } from '@grain-fold/core/cutting';
import {
  boardDrawing,
  clubZip,
  drawingPage,
  pageDrawing,
  partsCsv,
  partsDrawing,
  plainFont,
  stockCsv,
  writeDxf,
  writePdf,
  writeSvg,
  type PdfDocument,
  type PdfFontFiles,
  type WrittenDrawing,
} from '@grain-fold/core/formats';
import type { PlanView } from '@grain-fold/core/plan';
import type { Printer } from '@grain-fold/core/printers';
import { CoreError, defined, type CoreErrorCode } from '@grain-fold/core/units';
import type { TakenOut } from './taken-out.ts';

/** A document to make of an airframe. */
export interface DocumentJob {
  readonly kind: 'pages' | 'cut-list' | 'cut-list-table' | 'picture' | 'plan' | 'printer-test' | TakenOut['kind'];
  /** The view of the plan that is printed at full size; all of it on one page when undefined. */
  readonly view?: PlanView;
  readonly airframe: Airframe;
  readonly version: number;
  readonly date: string;
  /** Pages are made however many there are: that was asked for. */
  readonly isMany?: boolean;
  /** What of the pages is printed; all when undefined. */
  readonly printed?: Pick<PrintedSet, 'isChanged' | 'pages'>;
  readonly takenOut?: TakenOut;
  /** That pages are corrected for. */
  readonly printer?: Printer;
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
    case 'plan':
      return makePlan(job);
    case 'printer-test':
      return makePrinterTest(job);
    case 'pages':
    case 'cut-list':
      return makeDocument(job);
    default:
      return takenOut(job);
  }
}

/** Parts or a board as a drawing, the tables, or all of it packed. */
function takenOut({ airframe, version, date, takenOut: wanted }: DocumentJob): Uint8Array | Promise<Uint8Array> {
  if (!wanted) throw new CoreError('OUT_OF_RANGE', 'It is not said what is to be taken out.');
  const text = (words: string): Uint8Array => new TextEncoder().encode(words);
  const drawing = (): WrittenDrawing => {
    if (wanted.page !== undefined) return pageDrawing(airframe, wanted.page, version, date);
    return wanted.board === undefined
      ? partsDrawing(airframe, wanted.partIds, wanted.options)
      : boardDrawing(airframe, wanted.board, wanted.options);
  };
  switch (wanted.kind) {
    case 'drawing-svg':
      return text(writeSvg(drawing()));
    case 'drawing-dxf':
      return text(writeDxf(drawing()));
    case 'drawing-pdf': {
      const drawn = drawing();
      return pdfOf([drawingPage(drawn)], drawn.title);
    }
    case 'parts-table':
      return text(partsCsv(airframe));
    case 'stock-table':
      return text(stockCsv(airframe));
    case 'everything':
      return clubZip(airframe, writeProjectFile(airframe), wanted.options);
  }
}

const makeTable = ({ airframe }: DocumentJob): Uint8Array =>
  new TextEncoder().encode(cutListCsv(cutListOf(airframe), airframe.settings.unit));

/** The airframe as it stands; nothing while nothing stands. */
const makePicture = ({ airframe }: DocumentJob): Uint8Array =>
  new TextEncoder().encode(standingPicture(airframe) ?? '');

/** Makes the PDF of a job. Runs on a worker thread, since packing pages and drawing them takes longer than a request may block. */
function makeDocument({ kind, airframe, version, date, isMany, printed, printer }: DocumentJob): Promise<Uint8Array> {
  const pages =
    kind === 'pages'
      ? pagesDocument(airframe, version, date, {
          ...printed,
          ...defined({ printer }),
          ...(isMany ? {} : { mostPages: MANY_PAGES }),
        })
      : cutListDocument(airframe, version, date);
  return pdfOf(pages, `${airframe.name} · ${kind === 'pages' ? 'pages' : 'cut list'}`);
}

/** The page that a printer is measured by, corrected as it is known by now. */
function makePrinterTest({ airframe, date, printer }: DocumentJob): Promise<Uint8Array> {
  if (!printer) throw new CoreError('OUT_OF_RANGE', 'It is not said which printer is tested.');
  return pdfOf([printerTestDocument(airframe, printer, date)], `${printer.name} · test`);
}

function makePlan({ airframe, version, date, view }: DocumentJob): Promise<Uint8Array> {
  const pages = view ? planViewDocument(airframe, view, version, date) : planDrawingDocument(airframe, version, date);
  return pdfOf(pages, `${airframe.name} · plan`);
}

function pdfOf(pages: Iterable<PaperPage>, title: string): Promise<Uint8Array> {
  const fonts: PdfFontFiles = {
    text: fontFile('@fontsource/barlow', 'barlow-latin-400-normal'),
    figure: fontFile('@fontsource/barlow-condensed', 'barlow-condensed-latin-500-normal'),
    bold: fontFile('@fontsource/barlow-condensed', 'barlow-condensed-latin-600-normal'),
  };
  const document = new PDFDocument({
    autoFirstPage: false,
    info: {
      Title: title,
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
