import { LENGTH_UNITS, sizeText, worded, type LengthUnit } from '../units/index.ts';
import type { Board } from './board.ts';

/** Longest name of a board. */
const LONGEST_NAME = 80;

/** What a board is called by its material and size: `faced board 5 mm 700 × 500 mm`. Long materials lose their beginning. */
export const boardName = (material: string, widthMm: number, heightMm: number, unit: LengthUnit): string =>
  `${material} ${worded(sizeText(widthMm, heightMm, 0), unit)}`.slice(-LONGEST_NAME);

/** Whether a board is called by its size, so that the name follows when it is measured anew; a name that was typed stays. */
export const isNamedBySize = ({ name, material, widthMm, heightMm }: Board): boolean =>
  LENGTH_UNITS.some((unit) => {
    const bySize = boardName(material, widthMm, heightMm, unit);
    return name === bySize || name === bySize.replace(/ \D+$/, '');
  });

/** A board with changes, its name following its size and material where it is called by them. */
export function changedBoard(board: Board, changes: Partial<Board>, unit: LengthUnit): Board {
  const next = { ...board, ...changes };
  return changes.name === undefined && isNamedBySize(board)
    ? { ...next, name: boardName(next.material, next.widthMm, next.heightMm, unit) }
    : next;
}
