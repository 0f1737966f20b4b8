export { lineMarks, lineTexts } from './line-code.ts';
export { type Lettering, type PlacedCaption, type TurnedBox, placeCaptions } from './place-captions.ts';
