import type { OperationBase } from './operation-base.ts';
import type { OperationTraits } from './operation-kind.ts';
import { plainLine } from './plain-line.ts';
import { sampleCentre } from './sample-marks.ts';

/** Line drawn into the skin with a pen or the tip of a blade. */
export interface Engraving extends OperationBase {
  readonly kind: 'engrave';
}

/** A line drawn into the skin with a pen or the tip of a blade: words, panel lines. No foam is cut. */
export const engrave: OperationTraits<Engraving> = {
  ...plainLine,
  kind: 'engrave',
  word: 'engraving',
  toolWord: 'engrave',
  key: 'W',
  hint: 'Click point by point; double-click ends. Drawn on the skin, not cut',
  defaults: { kind: 'engrave', face: 'face' },
  caption: () => '',
  marks: (_stroke, pen) => pen.centres('thin', 'solid'),
  sample: [sampleCentre('thin')],
  legend: 'drawn on the skin',
  cutting: { order: 90, words: 'drawn on the skin' },
};
