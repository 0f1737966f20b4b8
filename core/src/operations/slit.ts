import { SLIT_FLOOR_MM } from '../allowance/index.ts';
import { formatAngle } from '../units/index.ts';
import { tapeWord, type OperationTraits } from './operation-kind.ts';
import type { Slit } from './operation.ts';

/** How deep a slit is cut in mm. */
export const slitDepth = (operation: Slit, thicknessMm: number): number =>
  operation.depthMm === 'auto' ? Math.max(SLIT_FLOOR_MM, thicknessMm - SLIT_FLOOR_MM) : operation.depthMm;

/** A plain cut that opens as the board folds away from it. */
export const slit: OperationTraits<'slit'> = {
  kind: 'slit',
  word: 'open slit',
  key: 'I',
  ground: 'line',
  folds: true,
  defaults: { kind: 'slit', face: 'face', foldDegrees: 30, depthMm: 'auto' },
  trueWidthMm: () => 0,
  area: () => [],
  caption: (operation) =>
    [`opens ${formatAngle(operation.foldDegrees)}`, tapeWord(operation)].filter(Boolean).join(' · '),
  angleDegrees: (operation) => operation.foldDegrees,
  faults: (operation, thicknessMm) => {
    if (!(operation.foldDegrees > 0)) {
      return [
        {
          code: 'SLIT_TURN',
          title: `A slit cannot open ${formatAngle(operation.foldDegrees)}`,
          detail: 'It opens by more than 0° and up to 180°. To fold towards the cut, use a groove.',
          mend: { label: 'Open it 30°', changes: { foldDegrees: 30 } },
        },
      ];
    }
    const depth = slitDepth(operation, thicknessMm);
    if (operation.hingeOn === 'tape' || depth < thicknessMm - 1e-9) return [];
    return [
      {
        code: 'SLIT_DEEP',
        title: `Slit ${depth.toFixed(1)} mm deep cuts through ${thicknessMm.toFixed(1)} mm board`,
        detail: `Leave ${SLIT_FLOOR_MM} mm and the skin under it.`,
        mend: { label: 'Leave the skin', changes: { depthMm: 'auto' } },
      },
    ];
  },
};
