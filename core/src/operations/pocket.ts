import { intersectionOf } from '../geometry/index.ts';
import type { OperationTraits } from './operation-kind.ts';

/** Least foam and skin that a pocket leaves under it, in mm. */
const LEAST_FLOOR_MM = 0.5;

/** Area cut away to a depth with the far skin kept. */
export const pocket: OperationTraits<'pocket'> = {
  kind: 'pocket',
  word: 'pocket',
  key: 'P',
  ground: 'area',
  folds: false,
  defaults: { kind: 'pocket', face: 'face', depthMm: 2.5 },
  trueWidthMm: () => 0,
  area: (_operation, site) => intersectionOf(site.runs, site.body),
  caption: (operation) => `pocket ${operation.depthMm.toFixed(1)}`,
  angleDegrees: () => undefined,
  faults: (operation, thicknessMm) => {
    if (operation.depthMm > 0 && operation.depthMm <= thicknessMm - LEAST_FLOOR_MM + 1e-9) return [];
    const mended = Math.max(LEAST_FLOOR_MM / 2, Math.round((thicknessMm - LEAST_FLOOR_MM) * 100) / 100);
    return [
      {
        code: 'POCKET_DEEP',
        title: `Pocket ${operation.depthMm.toFixed(1)} mm deep does not fit ${thicknessMm.toFixed(1)} mm board`,
        detail: `It may go down to ${mended.toFixed(1)} mm and keep ${LEAST_FLOOR_MM} mm under it.`,
        mend: { label: `Set ${mended.toFixed(1)} deep`, changes: { depthMm: mended } },
      },
    ];
  },
};
