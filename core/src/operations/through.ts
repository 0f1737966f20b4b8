import type { OperationTraits } from './operation-kind.ts';

/** A cut right through the board along a line. */
export const through: OperationTraits<'through'> = {
  kind: 'through',
  word: 'through cut',
  key: 'K',
  ground: 'line',
  folds: false,
  defaults: { kind: 'through', face: 'face' },
  trueWidthMm: () => 0,
  area: () => [],
  caption: () => '',
  angleDegrees: () => undefined,
  faults: () => [],
};
