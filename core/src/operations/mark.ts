import type { OperationTraits } from './operation-kind.ts';

/** A line to align or glue to. */
export const mark: OperationTraits<'mark'> = {
  kind: 'mark',
  word: 'mark',
  key: 'L',
  ground: 'line',
  folds: false,
  defaults: { kind: 'mark', face: 'face' },
  trueWidthMm: () => 0,
  area: () => [],
  caption: (operation) => operation.label,
  angleDegrees: () => undefined,
  faults: () => [],
};
