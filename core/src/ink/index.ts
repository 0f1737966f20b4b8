export { type DocumentTitle, stateWords } from './document-title.ts';
export { type Ink, boxInk, inksOfMark, lineInk, moveInk, textInk } from './ink.ts';
export { inkBounds, inkNear } from './ink-bounds.ts';
export { legendSample, legendWords } from './legend.ts';
export { partPicture } from './part-picture.ts';
export { wrapped } from './wrapped.ts';
export { HEAVIEST_PEN, INK_CHOICES, type InkChoice, LIGHTEST_PEN, type PaperPen, tonesOf, USUAL_PEN } from './pen.ts';
