import type { SlowFigures } from '@grain-fold/core/airframe';

/** Figures of the airframe at one factor. */
export interface ScalePoint {
  readonly scale: number;
  readonly foamG: number;
  readonly longestMm: number;
  readonly slow: SlowFigures;
}
