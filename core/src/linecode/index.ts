export { lineCode, lineMarks, lineTexts } from './line-code.ts';
