import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import {
  legendSample,
  lineInk,
  textInk,
  type Ink,
  partPicture,
  stateWords,
  type DocumentTitle,
  legendWords,
} from '../ink/index.ts';
import { traitsOf, type OperationKind } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { countOf, formatAngle, formatLengthWithUnit, formatRunLength, type LengthUnit } from '../units/index.ts';
import type { CutList, CutPart, CutWork } from './cut-list.ts';

/** Size of the paper that the list is set on, in mm. */
export interface ListPaper {
  readonly widthMm: number;
  readonly heightMm: number;
}

const MARGIN_MM = 14;
const PICTURE = { widthMm: 46, heightMm: 24 } as const;
const LINE_MM = 4.2;

/** One line of work in words: `mitre groove, face, 2 × 90°, blade 45°, mouth 10.0 mm, 412.0 mm`. */
export function workWords(work: CutWork, unit: LengthUnit): string {
  const words = [work.words];
  if (work.face !== 'through') words.push(`on the ${work.face}`);
  if (work.count > 1) words.push(`${work.count} off`);
  const cutting = work.kind === 'outline' || work.kind === 'holes' ? undefined : traitsOf(work.kind).cutting;
  if (cutting?.angleWords && work.angleDegrees !== undefined) words.push(cutting.angleWords(work.angleDegrees));
  if (work.bladeDegrees !== undefined) words.push(`blade ${formatAngle(work.bladeDegrees)}`);
  if (work.widthMm !== undefined) words.push(`${cutting?.widthWord} ${formatLengthWithUnit(work.widthMm, unit)}`);
  if (work.depthMm !== undefined) words.push(`${formatLengthWithUnit(work.depthMm, unit)} deep`);
  words.push(`${formatLengthWithUnit(work.lengthMm, unit)} long`);
  if (work.glueMl !== undefined) words.push(`glue ${work.glueMl.toFixed(1)} ml`);
  return words.join(', ');
}

/** The cut list set on pages, each part with its picture in the line code. */
export function cutListPages(list: CutList, title: DocumentTitle, paper: ListPaper): readonly (readonly Ink[])[] {
  const { unit } = title;
  const pages: Ink[][] = [];
  let page: Ink[] = [];
  let y = 0;
  const open = (): void => {
    page = [...heading(title, paper, pages.length + 1)];
    pages.push(page);
    y = paper.heightMm - MARGIN_MM - 14;
  };
  const room = (height: number): void => {
    if (y - height < MARGIN_MM) open();
  };
  open();
  for (const ink of summary(list, unit)) {
    page.push(textInk({ x: MARGIN_MM, y }, ink, 3.4, { weight: 'figure' }));
    y -= 5;
  }
  y -= 2;
  for (const board of list.boards) {
    const names = wrapped(
      board.parts
        .map(({ part, quantity }) => `${quantity} ${part.name}${part.side === 'single' ? '' : ` ${part.side}`}`)
        .join(', '),
      95,
    );
    room(6 + names.length * LINE_MM);
    page.push(textInk({ x: MARGIN_MM, y }, `Board ${board.number} · ${board.label}`, 3.6, { weight: 'bold' }));
    names.forEach((line, index) => page.push(textInk({ x: MARGIN_MM, y: y - (index + 1) * LINE_MM }, line, 3)));
    y -= 6 + names.length * LINE_MM;
  }
  for (const part of list.parts) {
    const height = Math.max(
      pictureHeight(part.part) + 4,
      12 + (part.works.length + (part.folds.length > 1 ? 1 : 0)) * LINE_MM,
    );
    room(height);
    page.push(...partBlock(part, unit, y, paper));
    y -= height;
  }
  const kinds = [...new Set(list.parts.flatMap((part) => part.part.strokes.map((stroke) => stroke.kind)))];
  room(8 + kinds.length * 5);
  page.push(...legend(kinds, y - 4));
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
  return [
    `${placedWords(list)} · cut through ${length(totals.throughMm)} · grooves ${length(totals.grooveMm)} · bevels ${length(totals.bevelMm)} · trenches ${length(totals.trenchMm)}${totals.tapeMm > 0 ? ` · tape on folds ${length(totals.tapeMm)}` : ''} · ${totals.pockets} pockets`,
    ...list.unplaced.map(
      ({ part, quantity, words }) =>
        `No place: ${quantity} ${part.name}${part.side === 'single' ? '' : ` ${part.side}`}. ${words}`,
    ),
    ...(list.boards.length === 0
      ? ['Not nested yet: nest the parts on the Boards station to see them board by board.']
      : []),
  ];
}

function partBlock(
  { part, quantity, boards, works, folds }: CutPart,
  unit: LengthUnit,
  top: number,
  paper: ListPaper,
): readonly Ink[] {
  const textX = MARGIN_MM + PICTURE.widthMm + 6;
  const side = part.side === 'single' ? '' : ` · ${part.side}`;
  const where = boards.length > 0 ? ` · board ${boards.join(', ')}` : '';
  return [
    lineInk({ x: MARGIN_MM, y: top + 2 }, { x: paper.widthMm - MARGIN_MM, y: top + 2 }, 0.1),
    ...partPicture(part, {
      minX: MARGIN_MM + 1,
      maxX: MARGIN_MM + PICTURE.widthMm,
      minY: top - pictureHeight(part),
      maxY: top,
    }),
    textInk({ x: textX, y: top - 3.4 }, `${part.name}${side}`, 3.8, { weight: 'bold' }),
    textInk({ x: paper.widthMm - MARGIN_MM, y: top - 3.4 }, `${quantity} off`, 3.8, { weight: 'bold', align: 'right' }),
    textInk(
      { x: textX, y: top - 7.6 },
      `${formatLengthWithUnit(part.thicknessMm, unit)} ${part.material}${where}`,
      2.9,
      { weight: 'figure' },
    ),
    ...(folds.length > 1 ? [textInk({ x: textX, y: top - 12 - works.length * LINE_MM }, orderWords(folds), 3)] : []),
    ...works.map((work, index) => textInk({ x: textX, y: top - 12 - index * LINE_MM }, workWords(work, unit), 3)),
  ];
}

/** The folds in their order in one line, cut short where it would run off the page. */
export function orderWords(folds: readonly string[]): string {
  const words = `fold ${folds.map((name, index) => `${index + 1} ${name}`).join(', ')}`;
  return words.length > 95 ? `${words.slice(0, 94)}…` : words;
}

/** As tall as the part needs at the picture's width, up to the most a picture may have. */
const pictureHeight = ({ bounds }: ResolvedPart): number =>
  Math.min(PICTURE.heightMm, Math.max(4, (PICTURE.widthMm * boundsHeight(bounds)) / Math.max(1, boundsWidth(bounds))));

function legend(kinds: readonly OperationKind[], top: number): readonly Ink[] {
  return kinds.flatMap((kind, index) => [
    ...legendSample(kind, { x: MARGIN_MM, y: top - index * 5 }),
    textInk({ x: MARGIN_MM + 13, y: top - index * 5 - 1 }, legendWords(kind), 3),
  ]);
}

/** Breaks a text at spaces into lines of at most so many letters. */
function wrapped(text: string, letters: number): readonly string[] {
  return text.split(' ').reduce<string[]>((lines, word) => {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length + 1 <= letters)
      return [...lines.slice(0, -1), `${last} ${word}`];
    return [...lines, word];
  }, []);
}
