import type { OperationBase } from './operation-base.ts';
import type { OperationTraits } from './operation-kind.ts';
import { plainLine } from './plain-line.ts';
import { sampleCentre } from './sample-marks.ts';

/** Cut right through the board. */
export interface ThroughCut extends OperationBase {
  readonly kind: 'through';
}

/** A cut right through the board along a line. */
export const through: OperationTraits<ThroughCut> = {
  ...plainLine,
  kind: 'through',
  word: 'through cut',
  toolWord: 'cut',
  key: 'K',
  hint: 'Click point by point; double-click ends',
  defaults: { kind: 'through', face: 'face' },
  caption: () => '',
  marks: (_stroke, pen) => [...pen.centres('heavy', 'solid'), ...pen.ends()],
  sample: [sampleCentre('heavy')],
  legend: 'cut through',
  cutting: { order: 0, words: 'cut through', isThrough: true },
};
