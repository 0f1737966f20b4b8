export { cutListCsv } from './cut-list-csv.ts';
export { cutListPages, placedWords } from './cut-list-pages.ts';
export {
  type CutList,
  type CutPart,
  type CutTotals,
  type CutWork,
  type UnplacedPiece,
  cutList,
  cutTotals,
} from './cut-list.ts';
