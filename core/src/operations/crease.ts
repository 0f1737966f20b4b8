import { LARGEST_CREASE_FOLD_DEGREES } from '../allowance/index.ts';
import { formatAngle } from '../units/index.ts';
import type { OperationBase } from './operation-base.ts';
import { ANGLE_BOUNDS } from './operation-field.ts';
import type { OperationTraits } from './operation-kind.ts';
import { sampleCentre } from './sample-marks.ts';

/** The face is dented, nothing removed. */
export interface Crease extends OperationBase {
  readonly kind: 'crease';
  readonly foldDegrees: number;
}

/** A dent in the face that the board bends along. */
export const crease: OperationTraits<Crease> = {
  kind: 'crease',
  word: 'crease',
  toolWord: 'crease',
  key: 'C',
  hint: 'Click both ends of the fold',
  ground: 'line',
  fold: {
    sign: 1,
    numbers: (by) => ({ foldDegrees: Math.min(by, LARGEST_CREASE_FOLD_DEGREES) }),
    cannot: (by) =>
      by > LARGEST_CREASE_FOLD_DEGREES
        ? `One crease folds by up to ${LARGEST_CREASE_FOLD_DEGREES}°, got ${by}.`
        : undefined,
  },
  fields: [{ key: 'foldDegrees', word: 'Folds to', name: 'fold', kind: 'angle', ...ANGLE_BOUNDS, isOnLine: true }],
  defaults: { kind: 'crease', face: 'face', foldDegrees: 15 },
  trueWidthMm: () => 0,
  area: () => [],
  plateSide: ({ face }) => ({ kind: 'fold', runMm: 0, face }),
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
  marks: (_stroke, pen) => [...pen.centres('middle', 'dots'), ...pen.ends()],
  sample: [sampleCentre('middle', 'dots')],
  legend: 'crease',
  cutting: { order: 40, words: 'crease', angleWords: (angle) => `folds ${formatAngle(angle)}` },
};
