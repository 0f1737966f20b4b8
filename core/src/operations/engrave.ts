import type { OperationTraits } from './operation-kind.ts';

/** A line drawn into the skin with a pen or the tip of a blade: words, panel lines. No foam is cut. */
export const engrave: OperationTraits<'engrave'> = {
  kind: 'engrave',
  word: 'engraving',
  key: 'W',
  ground: 'line',
  folds: false,
  defaults: { kind: 'engrave', face: 'face' },
  trueWidthMm: () => 0,
  area: () => [],
  caption: () => '',
  angleDegrees: () => undefined,
  faults: () => [],
};
