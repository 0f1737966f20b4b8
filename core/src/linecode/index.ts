export { LEGEND_WORDS, type LineMark, lineCode, lineMarks, lineTexts, transformMark } from './line-code.ts';
