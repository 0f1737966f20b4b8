import { LARGEST_CREASE_FOLD_DEGREES } from '../allowance/index.ts';
import { formatAngle } from '../units/index.ts';
import type { OperationTraits } from './operation-kind.ts';

/** A dent in the face that the board bends along. */
export const crease: OperationTraits<'crease'> = {
  kind: 'crease',
  word: 'crease',
  key: 'C',
  ground: 'line',
  folds: true,
  defaults: { kind: 'crease', face: 'face', foldDegrees: 15 },
  trueWidthMm: () => 0,
  area: () => [],
  caption: (operation) => `crease ${formatAngle(operation.foldDegrees)}`,
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation) => {
    if (Math.abs(operation.foldDegrees) <= LARGEST_CREASE_FOLD_DEGREES && operation.foldDegrees !== 0) return [];
    const mended = operation.foldDegrees === 0 ? 15 : Math.sign(operation.foldDegrees) * LARGEST_CREASE_FOLD_DEGREES;
    return [
      {
        code: 'CREASE_STEEP',
        title: `A crease cannot fold ${formatAngle(operation.foldDegrees)}`,
        detail: `One crease bends the board by up to ${LARGEST_CREASE_FOLD_DEGREES}°, then the skin buckles. Use several, or a groove.`,
        mend: { label: `Fold ${mended}°`, changes: { foldDegrees: mended } },
      },
    ];
  },
};
