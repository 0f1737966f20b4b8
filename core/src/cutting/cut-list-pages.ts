import { boundsHeight, boundsWidth, translation } from '../geometry/index.ts';
import type { OperationKind } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { countOf, formatLengthWithUnit, formatRunLength, worded, type LengthUnit } from '../units/index.ts';
import {
  legendSample,
  legendWords,
  lineInk,
  moveInk,
  partPicture,
  stateWords,
  textInk,
  wrapped,
  type DocumentTitle,
  type Ink,
} from '../ink/index.ts';
import { boardNumbers, type CutList, type CutPart } from './cut-list.ts';
import { titleRow, workRow, type SetRow } from './cut-table.ts';
import { CUT_COLUMN_NOTES, orderWords, sizeWords } from './cut-words.ts';

/** Size of the paper that the list is set on, in mm. */
export interface ListPaper {
  readonly widthMm: number;
  readonly heightMm: number;
}

const MARGIN_MM = 14;
const PICTURE = { widthMm: 58, heightMm: 30 } as const;
const LINE_MM = 4.2;
/** Letters of running text of 3 mm in a line of so many mm. */
const lettersIn = (widthMm: number): number => Math.floor(widthMm / 1.4);

/** Rows set one below the other on as many pages as they take. */
function flow(title: DocumentTitle, paper: ListPaper) {
  const pages: Ink[][] = [];
  let y = 0;
  const open = (): void => {
    pages.push([...heading(title, paper, pages.length + 1)]);
    y = paper.heightMm - MARGIN_MM - 14;
  };
  open();
  return {
    pages,
    /** Opens a page when what comes does not fit on this one, and would on an empty one. @returns whether it did */
    keep: (heightMm: number): boolean => {
      const isFull = y - heightMm < MARGIN_MM && y < paper.heightMm - MARGIN_MM - 14;
      if (isFull) open();
      return isFull;
    },
    set: ({ inks, heightMm }: SetRow): void => {
      if (y - heightMm < MARGIN_MM) open();
      const down = translation(0, y);
      pages.at(-1)!.push(...inks.map((ink) => moveInk(ink, down)));
      y -= heightMm;
    },
  };
}

/** The cut list set on pages, each part with its picture in the line code and every line of work in titled columns. */
export function cutListPages(list: CutList, title: DocumentTitle, paper: ListPaper): readonly (readonly Ink[])[] {
  const { unit } = title;
  const width = paper.widthMm - 2 * MARGIN_MM;
  const { pages, keep, set } = flow(title, paper);
  for (const words of summary(list, unit))
    for (const line of wrapped(words, lettersIn(width)))
      set({ inks: [textInk({ x: MARGIN_MM, y: -3.4 }, line, 3.2, { weight: 'figure' })], heightMm: 4.6 });
  set({ inks: [], heightMm: 2 });
  for (const { number, label, alikeTo, parts } of list.boards) {
    const names = wrapped(
      alikeTo === undefined
        ? parts
            .map(({ part, quantity }) => `${quantity} ${part.name}${part.side === 'single' ? '' : ` ${part.side}`}`)
            .join(', ')
        : `Cut just as board ${alikeTo}.`,
      lettersIn(width),
    );
    set({
      inks: [
        textInk({ x: MARGIN_MM, y: -3.6 }, `Board ${number} · ${label}`, 3.6, { weight: 'bold' }),
        ...names.map((line, index) => textInk({ x: MARGIN_MM, y: -3.6 - (index + 1) * LINE_MM }, line, 3)),
      ],
      heightMm: 6 + names.length * LINE_MM,
    });
  }
  for (const part of list.parts) {
    const head = partHead(part, unit, width);
    const titles = titleRow(MARGIN_MM, width);
    const rows = part.lines.map((line) => workRow(line, unit, MARGIN_MM, width));
    keep([head, titles, ...rows].reduce((sum, { heightMm }) => sum + heightMm, 0));
    set(head);
    set(titles);
    for (const row of rows) {
      // Columns that go on overleaf are titled again there.
      if (keep(row.heightMm)) set(titles);
      set(row);
    }
    set({ inks: [], heightMm: 3 });
  }
  const kinds = [...new Set(list.parts.flatMap((part) => part.part.strokes.map((stroke) => stroke.kind)))];
  set({ inks: legend(kinds), heightMm: 8 + kinds.length * 5 });
  return pages;
}

function heading(title: DocumentTitle, paper: ListPaper, number: number): readonly Ink[] {
  const top = paper.heightMm - MARGIN_MM;
  return [
    textInk({ x: MARGIN_MM, y: top - 5 }, `${title.airframe} · cut list`, 5.4, { weight: 'bold' }),
    textInk({ x: paper.widthMm - MARGIN_MM, y: top - 5 }, `${stateWords(title)} · ${title.date} · page ${number}`, 3, {
      align: 'right',
      weight: 'figure',
    }),
    lineInk({ x: MARGIN_MM, y: top - 8 }, { x: paper.widthMm - MARGIN_MM, y: top - 8 }, 0.4),
  ];
}

/** How many pieces there are, and how many of them have a place on how many boards. */
export function placedWords({ totals: { pieces }, boards, unplaced }: CutList): string {
  if (boards.length === 0) return countOf(pieces, 'piece');
  const left = unplaced.reduce((sum, { quantity }) => sum + quantity, 0);
  return left === 0
    ? `${countOf(pieces, 'piece')} on ${countOf(boards.length, 'board')}`
    : `${countOf(pieces, 'piece')}, ${pieces - left} of them on ${countOf(boards.length, 'board')}`;
}

function summary(list: CutList, unit: LengthUnit): readonly string[] {
  const { totals } = list;
  const length = (mm: number): string => formatRunLength(mm, unit);
  const boards = [
    ...new Set(list.parts.map(({ part }) => `${formatLengthWithUnit(part.thicknessMm, unit)} ${part.material}`)),
  ];
  return [
    `${placedWords(list)} · cut through ${length(totals.throughMm)} · grooves ${length(totals.grooveMm)} · bevels ${length(totals.bevelMm)} · trenches ${length(totals.trenchMm)}${totals.tapeMm > 0 ? ` · tape on folds ${length(totals.tapeMm)}` : ''} · ${countOf(totals.pockets, 'pocket')}`,
    ...(boards.length > 0 ? [`Boards as measured: ${boards.join(', ')}. ${CUT_COLUMN_NOTES}`] : []),
    ...list.unplaced.map(
      ({ part, quantity, words }) =>
        `No place: ${quantity} ${part.name}${part.side === 'single' ? '' : ` ${part.side}`}. ${words}`,
    ),
    ...(list.boards.length === 0
      ? ['Not nested yet: nest the parts on the Boards station to see them board by board.']
      : []),
  ];
}

/** A part's picture with its name, size and number, what it is joined to and the order of its folds. */
function partHead(cut: CutPart, unit: LengthUnit, width: number): SetRow {
  const { part, quantity, boards, folds, joins } = cut;
  const textX = MARGIN_MM + PICTURE.widthMm + 6;
  const side = part.side === 'single' ? '' : ` · ${part.side}`;
  const where = boards.length > 0 ? ` · board ${boardNumbers(boards)}` : '';
  const told = [...(folds.length > 1 ? [`${orderWords(folds)}.`] : []), ...joins.map((words) => worded(words, unit))]
    .flatMap((words) => wrapped(words, lettersIn(width - PICTURE.widthMm - 6)))
    .map((line, index) => textInk({ x: textX, y: -17 - index * LINE_MM }, line, 3));
  const inks = [
    lineInk({ x: MARGIN_MM, y: -1 }, { x: MARGIN_MM + width, y: -1 }, 0.1),
    ...partPicture(part, {
      minX: MARGIN_MM + 1,
      maxX: MARGIN_MM + PICTURE.widthMm,
      minY: -3 - pictureHeight(part),
      maxY: -3,
    }),
    textInk({ x: textX, y: -6.4 }, `${part.name}${side}`, 3.8, { weight: 'bold' }),
    textInk({ x: MARGIN_MM + width, y: -6.4 }, `${quantity} off`, 3.8, { weight: 'bold', align: 'right' }),
    textInk(
      { x: textX, y: -11.2 },
      `${sizeWords(cut, unit)} · ${formatLengthWithUnit(part.thicknessMm, unit)} ${part.material}${where}`,
      3,
      { weight: 'figure' },
    ),
    ...told,
  ];
  return { inks, heightMm: Math.max(pictureHeight(part) + 6, 15 + told.length * LINE_MM) };
}

/** As tall as the part needs at the picture's width, up to the most a picture may have. */
const pictureHeight = ({ bounds }: ResolvedPart): number =>
  Math.min(PICTURE.heightMm, Math.max(4, (PICTURE.widthMm * boundsHeight(bounds)) / Math.max(1, boundsWidth(bounds))));

const legend = (kinds: readonly OperationKind[]): readonly Ink[] =>
  kinds.flatMap((kind, index) => [
    ...legendSample(kind, { x: MARGIN_MM, y: -4 - index * 5 }),
    textInk({ x: MARGIN_MM + 13, y: -5 - index * 5 }, legendWords(kind), 3),
  ]);
