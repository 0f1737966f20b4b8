import { foldOfMouth, LARGEST_GROOVE_FOLD_DEGREES, mitreMouthWidth } from '../../allowance/index.ts';
import { bandAlong, intersectionOf } from '../../geometry/index.ts';
import { formatAngle } from '../../units/index.ts';
import type { Groove } from './operation.ts';
import type { OperationFault, OperationTraits } from './operation-kind.ts';

const neededMouth = (operation: Groove, thicknessMm: number): number => mitreMouthWidth(Math.min(operation.foldDegrees, 170), thicknessMm);
const mouthOf = (operation: Groove, thicknessMm: number): number => (operation.mouthMm === 'auto' ? neededMouth(operation, thicknessMm) : operation.mouthMm);

/** V groove between two plates that folds toward the grooved face. */
export const groove: OperationTraits<'groove'> = {
  kind: 'groove', word: 'mitre groove', key: 'V', ground: 'line', folds: true,
  defaults: { kind: 'groove', face: 'face', foldDegrees: 90, mouthMm: 'auto' },
  trueWidthMm: mouthOf,
  area: (operation, site) => intersectionOf(site.runs.flatMap((run) => bandAlong(run, mouthOf(operation, site.thicknessMm))), site.body),
  caption: (operation) => `fold ${formatAngle(operation.foldDegrees)}`,
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation, thicknessMm) => [...steep(operation), ...narrow(operation, thicknessMm)],
};

function steep(operation: Groove): readonly OperationFault[] {
  if (operation.foldDegrees > 0 && operation.foldDegrees <= LARGEST_GROOVE_FOLD_DEGREES) return [];
  const mended = operation.foldDegrees <= 0 ? 90 : LARGEST_GROOVE_FOLD_DEGREES;
  return [{
    code: 'GROOVE_STEEP',
    title: `A groove cannot fold ${formatAngle(operation.foldDegrees)}`,
    detail: `A knife cuts grooves for more than 0° and up to ${LARGEST_GROOVE_FOLD_DEGREES}°. Beyond that, use a trench.`,
    mend: { label: `Fold ${mended}°`, changes: { foldDegrees: mended } },
  }];
}

function narrow(operation: Groove, thicknessMm: number): readonly OperationFault[] {
  const needed = neededMouth(operation, thicknessMm);
  if (operation.mouthMm === 'auto' || operation.foldDegrees > LARGEST_GROOVE_FOLD_DEGREES || operation.mouthMm >= needed - 0.05) return [];
  return [{
    code: 'GROOVE_NARROW',
    title: `Groove ${operation.mouthMm.toFixed(1)} mm is too narrow for ${formatAngle(operation.foldDegrees)}`,
    detail: `${thicknessMm.toFixed(1)} mm board needs a mouth of ${needed.toFixed(1)} mm. The wall would stop at ${formatAngle(Math.round(foldOfMouth(operation.mouthMm, thicknessMm)))}.`,
    mend: { label: `Widen to ${needed.toFixed(1)}`, changes: { mouthMm: 'auto' } },
  }];
}
