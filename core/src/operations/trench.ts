import { trenchWidth } from '../allowance/index.ts';
import { formatAngle } from '../units/index.ts';
import { bandOn } from './band.ts';
import type { OperationTraits } from './operation-kind.ts';
import type { Trench } from './operation.ts';

const neededWidth = ({ foldDegrees, layers }: Trench, thicknessMm: number): number =>
  trenchWidth(foldDegrees, thicknessMm, layers);
const widthOf = (operation: Trench, thicknessMm: number): number =>
  operation.widthMm === 'auto' ? neededWidth(operation, thicknessMm) : operation.widthMm;

/** Strip of foam removed so that the far skin bends round a wall or doubles back. */
export const trench: OperationTraits<'trench'> = {
  kind: 'trench',
  word: 'trench',
  key: 'T',
  ground: 'line',
  folds: true,
  defaults: { kind: 'trench', face: 'face', foldDegrees: 90, widthMm: 'auto', side: 'centre' },
  trueWidthMm: widthOf,
  area: (operation, site) => bandOn(site, widthOf(operation, site.thicknessMm), operation.side),
  caption: (operation) =>
    operation.foldDegrees === 180
      ? (operation.layers ?? 1) > 1
        ? `trench, round ${operation.layers} boards`
        : 'trench, doubled'
      : `trench ${formatAngle(operation.foldDegrees)}`,
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation, thicknessMm) => {
    const needed = neededWidth(operation, thicknessMm);
    if (operation.widthMm === 'auto' || operation.widthMm >= needed - 0.05) return [];
    return [
      {
        code: 'TRENCH_NARROW',
        title: `Trench ${operation.widthMm.toFixed(1)} mm is too narrow for ${formatAngle(operation.foldDegrees)}`,
        detail: `${thicknessMm.toFixed(1)} mm board needs ${needed.toFixed(1)} mm of foam taken out; less holds the fold open.`,
        mend: { label: `Widen to ${needed.toFixed(1)}`, changes: { widthMm: 'auto' } },
      },
    ];
  },
};
