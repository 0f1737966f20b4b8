import { boundsHeight, boundsOf, boundsWidth, translation, type Bounds } from '../geometry/index.ts';
import {
  boxInk,
  legendSample,
  legendWords,
  lineInk,
  moveInk,
  stateWords,
  textInk,
  wrapped,
  type DocumentTitle,
  type Ink,
} from '../ink/index.ts';
import {
  countOf,
  decimalLength,
  formatLengthWithUnit,
  formatRunLength,
  MM_PER_INCH,
  type LengthUnit,
} from '../units/index.ts';
import { assemblyOf, assemblyTotals, type Assembly } from './assembly.ts';
import { BAR_INCHES, BAR_MM } from './page-bars.ts';
import { templatesOnPage } from './page-labels.ts';
import { kindsOnPage } from './plan-pages.ts';
import type { PagePlan, Sheet } from './sheet.ts';
import { SIDE_WORDS } from './template.ts';

/** Paper that a cover is set on, in mm. */
export interface CoverPaper {
  readonly widthMm: number;
  readonly heightMm: number;
}

const MARGIN_MM = 14;
const TEXT_MM = 3.2,
  LEADING_MM = 4.7;
/** Letters of running text in a line of so many mm. */
const lettersIn = (widthMm: number): number => Math.floor(widthMm / (TEXT_MM * 0.46));
/** Size of a sheet's map, in mm. */
const MAP = { widthMm: 46, heightMm: 40 } as const;

/** A block that is not parted over two pages. Its ink hangs from y = 0. */
interface Block {
  readonly inks: readonly Ink[];
  readonly heightMm: number;
}

/** The pages before a set: how it is printed, what it holds, how its sheets are joined and proved, what its lines mean. */
export function coverPages(plan: PagePlan, title: DocumentTitle, paper: CoverPaper): readonly (readonly Ink[])[] {
  const width = paper.widthMm - 2 * MARGIN_MM;
  const blocks = [
    heading(plan, title, width),
    ...howTo(plan, title.unit, width),
    ...materials(plan, title.unit, width),
    ...legend(plan, width),
    ...plan.sheets.map((sheet) => sheetBlock(plan, sheet, title.unit, width)),
  ];
  const pages: Ink[][] = [];
  let left = 0;
  for (const { inks, heightMm } of blocks) {
    if (pages.length === 0 || heightMm > left) {
      pages.push([]);
      left = paper.heightMm - 2 * MARGIN_MM;
    }
    const move = translation(MARGIN_MM, MARGIN_MM + left);
    pages.at(-1)!.push(...inks.map((ink) => moveInk(ink, move)));
    left -= heightMm;
  }
  return pages;
}

const text = (words: string, width: number, fromMm = 0): Block => {
  const lines = wrapped(words, lettersIn(width - fromMm));
  return {
    inks: lines.map((line, index) => textInk({ x: fromMm, y: -TEXT_MM - index * LEADING_MM }, line, TEXT_MM)),
    heightMm: lines.length * LEADING_MM,
  };
};
const eyebrow = (words: string): Block => ({
  inks: [textInk({ x: 0, y: -8 }, words, 4, { weight: 'bold' })],
  heightMm: 11,
});
/** Blocks that stay together. */
const together = (blocks: readonly Block[]): Block =>
  blocks.reduce(
    (held, { inks, heightMm }) => ({
      inks: [...held.inks, ...inks.map((ink) => moveInk(ink, translation(0, -held.heightMm)))],
      heightMm: held.heightMm + heightMm,
    }),
    { inks: [], heightMm: 0 },
  );

function heading(plan: PagePlan, title: DocumentTitle, width: number): Block {
  const { tapeMm, minutes } = assemblyTotals(plan);
  const joins =
    tapeMm > 0
      ? `${formatRunLength(tapeMm, title.unit)} of seams, about ${countOf(Math.max(1, Math.round(minutes)), 'minute')} of joining`
      : 'nothing to join';
  return {
    inks: [
      textInk({ x: 0, y: -8 }, title.airframe, 9, { weight: 'bold' }),
      textInk({ x: width, y: -8 }, title.date, 4, { weight: 'figure', align: 'right' }),
      textInk({ x: 0, y: -14.5 }, stateWords(title), 4, { weight: 'figure' }),
      textInk(
        { x: 0, y: -20.5 },
        `${countOf(plan.pages.length, 'page')} on ${countOf(plan.sheets.length, 'sheet')} · ${joins}`,
        4,
        { weight: 'figure' },
      ),
      lineInk({ x: 0, y: -24 }, { x: width, y: -24 }, 0.3),
    ],
    heightMm: 26,
  };
}

function howTo({ pages }: PagePlan, unit: LengthUnit, width: number): readonly Block[] {
  const steps = [
    'Print at actual size, 100 %, on one side of the paper: no fit to page, no shrinking to margins, printing on both sides turned off.',
    `On the first page measure the bars across and up the page: ${formatLengthWithUnit(BAR_MM, 'mm', 0)}, and ${formatLengthWithUnit(BAR_INCHES * MM_PER_INCH, 'in')}. If one is off, do not cut: print again at actual size.`,
    ...(pages.some(({ neighbours }) => Object.values(neighbours).some(Boolean))
      ? [
          'Join a sheet row by row, then the rows. Cut where an edge says so, lay it over its neighbour so that crosses with the same figures meet, and tape it.',
          'A dashed frame across a join is for a piece of tape: an outline runs over it there. Tape those first, then along the join.',
          'Measure both diagonals of a joined sheet from cross to cross before it goes on the foam.',
        ]
      : []),
    ...(unit === 'in' ? ['Figures at the crosses are in inches from the sheet’s lower left corner.'] : []),
  ];
  return [
    together([eyebrow('How to print and join it'), text(`1  ${steps[0]!}`, width)]),
    ...steps.slice(1).map((words, index) => text(`${index + 2}  ${words}`, width)),
  ];
}

function materials({ sheets }: PagePlan, unit: LengthUnit, width: number): readonly Block[] {
  const pieces = new Map<string, number>();
  for (const { placed } of sheets)
    for (const {
      template: { part, pieces: count, words },
    } of placed) {
      // What is no part is cut from nothing.
      if (words) continue;
      const board = `${formatLengthWithUnit(part.thicknessMm, unit)} ${part.material}`;
      pieces.set(board, (pieces.get(board) ?? 0) + count);
    }
  const words = [...pieces].map(([board, count]) => `${board}: ${countOf(count, 'piece')}`);
  return words.length === 0 ? [] : [together([eyebrow('Cut from'), text(words.join(' · '), width)])];
}

const LEGEND_COLUMN_MM = 60;
function legend(plan: PagePlan, width: number): readonly Block[] {
  const kinds = [...new Set(plan.pages.flatMap((page) => kindsOnPage(plan, page)))],
    columns = Math.max(1, Math.floor(width / LEGEND_COLUMN_MM));
  if (kinds.length === 0) return [];
  return [
    together([
      eyebrow('What the lines mean'),
      {
        inks: kinds.flatMap((kind, index) => {
          const at = {
            x: (index % columns) * LEGEND_COLUMN_MM,
            y: -3 - Math.floor(index / columns) * LEADING_MM,
          };
          return [...legendSample(kind, at), textInk({ x: at.x + 13, y: at.y - 1 }, legendWords(kind), TEXT_MM)];
        }),
        heightMm: Math.ceil(kinds.length / columns) * LEADING_MM + 1,
      },
    ]),
  ];
}

/** One sheet: its map, its parts, how it is joined, and the diagonals that prove it. */
function sheetBlock(plan: PagePlan, sheet: Sheet, unit: LengthUnit, width: number): Block {
  const pages = plan.pages.filter((page) => page.sheet === sheet.number),
    assembly = assemblyOf(plan, sheet);
  const parts = [
    ...new Set(
      pages
        .flatMap((page) => templatesOnPage(plan, page))
        .map(({ template: { part } }) => part.name + SIDE_WORDS[part.side]),
    ),
  ];
  const beside = MAP.widthMm + 6;
  const words = together([
    {
      inks: [
        textInk(
          { x: beside, y: -5.5 },
          sheet.board ? `Sheet ${sheet.number} · ${sheet.board.words}` : `Sheet ${sheet.number}`,
          4,
          {
            weight: 'bold',
          },
        ),
      ],
      heightMm: 7.5,
    },
    text(parts.join(', '), width, beside),
    ...joinWords(assembly, unit).map((line) => text(line, width, beside)),
  ]);
  const map = sheetMap(plan, sheet);
  return {
    inks: [lineInk({ x: 0, y: 0 }, { x: width, y: 0 }, 0.1), ...words.inks, ...map.inks],
    heightMm: Math.max(words.heightMm, map.heightMm) + 3,
  };
}

function joinWords({ rows, seams, tapeMm, minutes, diagonals }: Assembly, unit: LengthUnit): readonly string[] {
  if (seams === 0) return ['One page: nothing to join.'];
  const place = (mm: number): string => decimalLength(mm, unit, unit === 'mm' ? 1 : 2);
  // A single column is joined from the top.
  const order = rows.every((row) => row.length === 1)
    ? `${rows.flat().join(' + ')} from the top`
    : `${rows.map((row) => row.join(' + ')).join('; then ')}${rows.length > 1 ? '; then the rows from the top' : ''}`;
  return [
    `${order}. ${formatRunLength(tapeMm, unit)} of seams, ${countOf(Math.max(1, Math.round(minutes)), 'minute')}.`,
    ...diagonals.map(
      ({ from, to, lengthMm }) =>
        `Cross ${place(from.x)}, ${place(from.y)} to ${place(to.x)}, ${place(to.y)}: ${formatLengthWithUnit(lengthMm, unit)}`,
    ),
  ];
}

/** The pages of a sheet with their names, as they lie. */
function sheetMap(plan: PagePlan, sheet: Sheet): Block {
  const pages = plan.pages.filter((page) => page.sheet === sheet.number),
    box = boundsOf(
      pages.flatMap(({ view }) => [
        { x: view.minX, y: view.minY },
        { x: view.maxX, y: view.maxY },
      ]),
    );
  const k = Math.min(MAP.widthMm / boundsWidth(box), MAP.heightMm / boundsHeight(box)) * 0.96;
  const at = (view: Bounds): Bounds => ({
    minX: (view.minX - box.minX) * k,
    maxX: (view.maxX - box.minX) * k,
    minY: (view.minY - box.maxY) * k - 2.5,
    maxY: (view.maxY - box.maxY) * k - 2.5,
  });
  return {
    inks: pages.flatMap((page) => {
      const on = at(page.view),
        sizeMm = Math.min(4, boundsWidth(on) / (page.name.length * 0.55));
      return [
        boxInk(on, 0.2),
        textInk({ x: (on.minX + on.maxX) / 2, y: (on.minY + on.maxY) / 2 - sizeMm * 0.35 }, page.name, sizeMm, {
          weight: 'bold',
          align: 'centre',
        }),
      ];
    }),
    heightMm: boundsHeight(box) * k + 4,
  };
}
