export { LEGEND_WORDS, type LineMark, lineCode, transformMark } from './line-code.ts';
