export { cutListCsv } from './cut-list-csv.ts';
export { cutListPages, placedWords } from './cut-list-pages.ts';
export { type Blade, type CutLine, linesOf } from './cut-lines.ts';
export {
  type CutList,
  type CutPart,
  type CutTotals,
  type PieceToCut,
  type UnplacedPiece,
  cutList,
  cutTotals,
  boardNumbers,
} from './cut-list.ts';
export { type CutPlace, placeWords } from './cut-place.ts';
export { CUT_COLUMNS, CUT_COLUMN_NOTES, type CutCells, cutCells, orderWords, sizeWords } from './cut-words.ts';
