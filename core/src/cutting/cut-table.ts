import { lineInk, textInk, type Ink, wrapped } from '../ink/index.ts';
import type { LengthUnit } from '../units/index.ts';
import type { CutLine } from './cut-lines.ts';
import { CUT_COLUMNS, cutCells, type CutCells } from './cut-words.ts';

/** A row set on paper: its ink with the top at 0, and its height in mm. */
export interface SetRow {
  readonly inks: readonly Ink[];
  readonly heightMm: number;
}

/** Shares of the width that the columns take. */
const SHARES: Readonly<Record<keyof CutCells, number>> = {
  work: 0.24,
  where: 0.32,
  long: 0.1,
  wide: 0.09,
  deep: 0.1,
  blades: 0.15,
};
const COLUMNS = Object.keys(CUT_COLUMNS) as readonly (keyof CutCells)[];
const TEXT_MM = 2.8,
  TITLE_MM = 2.4,
  LEADING_MM = 3.7,
  ROW_GAP_MM = 1.1;
/** Width of a letter as a share of its size: words in text, figures condensed. */
const TEXT_SHARE = 0.47,
  FIGURE_SHARE = 0.4;
/** White between two columns, in mm. */
const BETWEEN_MM = 2;

const leftOf = (column: keyof CutCells, leftMm: number, widthMm: number): number =>
  leftMm + widthMm * COLUMNS.slice(0, COLUMNS.indexOf(column)).reduce((sum, one) => sum + SHARES[one], 0);

/** The titles of the columns over a line. */
export const titleRow = (leftMm: number, widthMm: number): SetRow => ({
  heightMm: TITLE_MM + 2.4,
  inks: [
    ...COLUMNS.map((column) =>
      textInk({ x: leftOf(column, leftMm, widthMm), y: -TITLE_MM }, CUT_COLUMNS[column], TITLE_MM, { weight: 'bold' }),
    ),
    lineInk({ x: leftMm, y: -TITLE_MM - 1.2 }, { x: leftMm + widthMm, y: -TITLE_MM - 1.2 }, 0.15),
  ],
});

/** A line of work in its columns, cells broken where they are too long. */
export function workRow(line: CutLine, unit: LengthUnit, leftMm: number, widthMm: number): SetRow {
  const cells = cutCells(line, unit);
  const set = COLUMNS.map((column) => ({
    column,
    lines: wrapped(
      cells[column],
      Math.floor((widthMm * SHARES[column] - BETWEEN_MM) / (TEXT_MM * (column === 'work' ? TEXT_SHARE : FIGURE_SHARE))),
    ),
  }));
  return {
    heightMm: Math.max(...set.map(({ lines }) => lines.length)) * LEADING_MM + ROW_GAP_MM,
    inks: set.flatMap(({ column, lines }) =>
      lines.map((text, index) =>
        textInk({ x: leftOf(column, leftMm, widthMm), y: -TEXT_MM - index * LEADING_MM }, text, TEXT_MM, {
          weight: column === 'work' ? 'text' : 'figure',
        }),
      ),
    ),
  };
}
