import { expose } from 'comlink';
import { readProjectFile } from '@grain-fold/contract';
import type { Airframe } from '@grain-fold/core/airframe';
import {
  kindOfFile,
  pdfFault,
  readDrawing,
  readPdfPages,
  textOfFile,
  type DrawingKind,
  type LeftOut,
  type ReadDrawing,
  type ReadPage,
  type ReadUnit,
} from '@grain-fold/core/formats';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import {
  caughtMove,
  drawingBounds,
  intoParts,
  joinPages,
  likelyBoard,
  lineClasses,
  proposeWorks,
  shownDrawing,
  shownIntake,
  takeIn,
  type ClassWorks,
  type Gap,
  type Intake,
  type IntakeOptions,
  type JoinedPages,
  type LineClass,
  type MadeParts,
  type PageLayout,
  type ShownIntake,
  type ShownLines,
} from '@grain-fold/core/intake';
import { openPdf } from './open-pdf.ts';
import type { Failed } from './worked.ts';

/** Pages of a drawing that was cut into pages, as they lie. */
export interface ShownPages {
  readonly count: number;
  readonly chosen: readonly number[];
  readonly layout: PageLayout;
  readonly corners: readonly Point[];
  readonly window: Bounds;
  readonly meetings: number;
}

/** A drawing that is on the desk. */
export interface OpenedDrawing {
  readonly ok: true;
  readonly kind: Exclude<DrawingKind, 'project'>;
  readonly unit: ReadUnit;
  readonly leftOut: readonly LeftOut[];
  readonly classes: readonly LineClass[];
  readonly works: ClassWorks;
  /** In mm at the size that the file says. */
  readonly bounds: Bounds;
  readonly shown: Readonly<Record<string, ShownLines>>;
  readonly pages?: ShownPages;
}
/** An airframe, of which parts may be taken. */
export interface OpenedProject {
  readonly ok: true;
  readonly kind: 'project';
  readonly airframe: Airframe;
}

/** What a drawing gives with some options. */
export interface TakenDrawing {
  readonly ok: true;
  readonly parts: readonly {
    readonly name: string;
    readonly quantity: number;
    readonly areaMm2: number;
    readonly holes: number;
    readonly slots: number;
    readonly works: number;
  }[];
  readonly shown: ShownIntake;
  readonly looseCount: number;
  readonly gaps: readonly Gap[];
  readonly told: readonly LeftOut[];
  readonly likelyBoardMm: number | undefined;
  /** Whether a rectangle round everything was left out; undefined where there is none. */
  readonly isFrameLeftOut: boolean | undefined;
}

let drawing: ReadDrawing | undefined, pages: readonly ReadPage[] | undefined, joined: JoinedPages | undefined;
let chosen: readonly number[] = [];
let intake: Intake | undefined;

const fail = (message: string): Failed => ({ ok: false, message });

function opened(kind: OpenedDrawing['kind'], read: ReadDrawing): OpenedDrawing | Failed {
  if (read.lines.length === 0) return fail('It holds no line that could be read.');
  drawing = read;
  intake = undefined;
  const { minX, minY, maxX, maxY } = drawingBounds(read),
    k = read.unit.mmPerUnit;
  return {
    ok: true,
    kind,
    unit: read.unit,
    leftOut: read.leftOut,
    classes: lineClasses(read),
    works: proposeWorks(read),
    bounds: { minX: minX * k, minY: minY * k, maxX: maxX * k, maxY: maxY * k },
    shown: shownDrawing(read),
    ...(pages && joined
      ? {
          pages: {
            count: pages.length,
            chosen,
            layout: joined.layout,
            corners: joined.corners,
            window: joined.window,
            meetings: joined.meetings,
          },
        }
      : {}),
  };
}

const chosenPages = (): readonly ReadPage[] => chosen.map((number) => pages![number - 1]!);

function arranged(layout?: PageLayout, moved?: Readonly<Record<number, Point>>): OpenedDrawing | Failed {
  joined = joinPages(chosenPages(), layout, moved);
  return opened('pdf', joined.drawing);
}

/** Takes drawings in off the interface's thread; one drawing is on the desk at a time. */
const desk = {
  async open(
    name: string,
    buffer: ArrayBuffer,
    onProgress: (done: number, of: number) => void,
  ): Promise<OpenedDrawing | OpenedProject | Failed> {
    const bytes = new Uint8Array(buffer);
    const known = kindOfFile(name, bytes.subarray(0, 4096), bytes.length);
    pages = joined = drawing = intake = undefined;
    if (!known.ok) return known;
    if (known.kind === 'project') {
      const read = readProjectFile(textOfFile(bytes));
      return read.ok ? { ok: true, kind: 'project', airframe: read.airframe } : fail(`${name}: ${read.message}`);
    }
    if (known.kind === 'pdf') return this.openPdf(name, bytes, onProgress);
    const read = readDrawing(known.kind, textOfFile(bytes));
    if (!read.ok) return fail(`${name} could not be read. ${read.message}`);
    const answer = opened(known.kind, read.drawing);
    return answer.ok ? answer : fail(`${name}: ${answer.message} ${leftOutWords(read.drawing.leftOut)}`.trim());
  },

  async openPdf(
    name: string,
    bytes: Uint8Array,
    onProgress: (done: number, of: number) => void,
  ): Promise<OpenedDrawing | Failed> {
    const pdf = await openPdf(bytes).catch((error: unknown) => fail(`${name}: ${pdfFault(error)}`));
    if ('ok' in pdf) return pdf;
    try {
      pages = await readPdfPages(pdf.source, pdf.codes, (done, of) => {
        onProgress(done, of);
        return true;
      });
    } catch (error) {
      return fail(`${name}: ${pdfFault(error)}`);
    } finally {
      await pdf.close();
    }
    chosen = pages.map((_, index) => index + 1);
    const scanned = pages.flatMap(({ pictureShare, lines }, index) =>
      pictureShare > 0.5 && lines.length < 10 ? [index + 1] : [],
    );
    if (scanned.length === pages.length)
      return fail(
        `${name} is a scanned picture: there are no lines on ${scanned.length === 1 ? 'it' : 'its pages'} to bring in.`,
      );
    const answer = arranged();
    return answer.ok
      ? answer
      : fail(`${name}: ${answer.message} ${leftOutWords(pages.flatMap(({ leftOut }) => leftOut))}`.trim());
  },

  /** Lays chosen pages of the PDF on the desk anew. @param numbers from 1 */
  arrange(
    numbers: readonly number[],
    layout: PageLayout | undefined,
    moved: Readonly<Record<number, Point>>,
  ): OpenedDrawing | Failed {
    if (!pages) return fail('There is no PDF on the desk.');
    chosen = numbers;
    return arranged(layout, moved);
  },

  /** Where a page that was moved by hand catches. @param page its place among the chosen ones */
  catchMove(page: number, moved: Point, movedBefore: Point): Point {
    return joined ? caughtMove(chosenPages(), joined, page, moved, movedBefore) : moved;
  },

  take(options: IntakeOptions): TakenDrawing | Failed {
    if (!drawing) return fail('There is no drawing on the desk.');
    intake = takeIn(drawing, options);
    const { parts, loose, gaps, told, isFrameLeftOut } = intake;
    return {
      ok: true,
      parts: parts.map(({ name, quantity, areaMm2, holes, works }) => ({
        name,
        quantity,
        areaMm2,
        holes: holes.length,
        slots: holes.filter(({ isSlot }) => isSlot).length,
        works: works.length,
      })),
      shown: shownIntake(intake),
      looseCount: loose.length,
      gaps,
      told,
      isFrameLeftOut,
      likelyBoardMm: likelyBoard(parts.flatMap((part) => part.holes.map(({ path }) => path))),
    };
  },

  /** Makes parts of the airframe. @param which of those that came in, each with its name and how many */
  make(
    which: readonly { readonly index: number; readonly name: string; readonly quantity: number }[],
    material: string,
  ): MadeParts {
    if (!intake) return { parts: [], refused: [] };
    const { parts } = intake;
    return intoParts(
      which.map(({ index, name, quantity }) => ({ ...parts[index]!, name, quantity })),
      material,
      () => `p${crypto.randomUUID().slice(0, 8)}`,
    );
  },
};
export type IntakeDesk = typeof desk;

const leftOutWords = (leftOut: readonly LeftOut[]): string =>
  leftOut.length === 0 ? '' : `Left out: ${leftOut.map(({ what, count }) => `${count} ${what}`).join(', ')}.`;

expose(desk);
