import type { OperationBase } from './operation-base.ts';
import type { OperationTraits } from './operation-kind.ts';
import { plainLine } from './plain-line.ts';
import { sampleCentre } from './sample-marks.ts';

/** Line to align or glue to; nothing is cut. */
export interface Mark extends OperationBase {
  readonly kind: 'mark';
}

/** A line to align or glue to. */
export const mark: OperationTraits<Mark> = {
  ...plainLine,
  kind: 'mark',
  word: 'mark',
  toolWord: 'mark',
  key: 'L',
  hint: 'Click point by point; double-click ends',
  defaults: { kind: 'mark', face: 'face' },
  caption: (operation) => operation.label,
  marks: (_stroke, pen) => [...pen.centres('thin', 'short'), ...pen.ends()],
  sample: [sampleCentre('thin', 'short')],
  legend: 'mark, glue line',
  cutting: { order: 80, words: 'mark', wordsBeforeLabel: 'mark:' },
  seamCost: 1,
};
