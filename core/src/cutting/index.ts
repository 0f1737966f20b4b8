export { cutListCsv } from './cut-list-csv.ts';
export { cutListPages } from './cut-list-pages.ts';
export { type CutList, type CutPart, type CutTotals, type CutWork, cutList, cutTotals } from './cut-list.ts';
