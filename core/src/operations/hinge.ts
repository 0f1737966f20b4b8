import { hingeWidth, STEEPEST_BEVEL_DEGREES } from '../allowance/index.ts';
import { formatAngle } from '../units/index.ts';
import { bandOn } from './band.ts';
import { tapeWord, type OperationTraits } from './operation-kind.ts';
import type { Hinge } from './operation.ts';

/** Steepest deflection that its relief lets a knife cut. */
const steepest = (operation: Hinge): number =>
  operation.relief === 'both' ? 2 * STEEPEST_BEVEL_DEGREES : STEEPEST_BEVEL_DEGREES;
const within = (operation: Hinge): number => Math.min(Math.max(0, operation.deflectionDegrees), steepest(operation));
const widthOf = (operation: Hinge, thicknessMm: number): number =>
  hingeWidth(within(operation), operation.relief, thicknessMm);

/** A control hinge on the far skin or on tape, with foam bevelled away so that it can move. */
export const hinge: OperationTraits<'hinge'> = {
  kind: 'hinge',
  word: 'control hinge',
  key: 'H',
  ground: 'line',
  folds: true,
  defaults: { kind: 'hinge', face: 'face', deflectionDegrees: 30, relief: 'both' },
  trueWidthMm: widthOf,
  area: (operation, site) =>
    bandOn(site, widthOf(operation, site.thicknessMm), operation.relief === 'both' ? 'centre' : operation.relief),
  caption: (operation) =>
    [`hinge ±${formatAngle(operation.deflectionDegrees)}`, tapeWord(operation)].filter(Boolean).join(' · '),
  angleDegrees: (operation) => operation.deflectionDegrees,
  faults: (operation) => {
    if (operation.deflectionDegrees > 0 && operation.deflectionDegrees <= steepest(operation)) return [];
    const mended = operation.deflectionDegrees <= 0 ? 30 : steepest(operation);
    return [
      {
        code: 'HINGE_STEEP',
        title: `A hinge cannot deflect ${formatAngle(operation.deflectionDegrees)}`,
        detail: `Bevelling ${operation.relief === 'both' ? 'both edges' : 'one edge'} allows up to ${steepest(operation)}° either way.`,
        mend: { label: `Deflect ${mended}°`, changes: { deflectionDegrees: mended } },
      },
    ];
  },
};
