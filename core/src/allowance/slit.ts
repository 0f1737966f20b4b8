import { radians } from '../units/index.ts';

/** Foam and skin left under a slit that is cut as deep as it goes, in mm. */
export const SLIT_FLOOR_MM = 0.5;

/**
 * How wide an open slit gapes at its mouth when the board turns away from it: 2·t·sin(φ/2).
 * @param foldDegrees turn φ, 0 flat, 180 folded back on itself
 * @source chord between the two lips, which stay a board's thickness from the hinge at the far skin
 * @example slitGap(90, 5) // 7.07
 */
export const slitGap = (foldDegrees: number, thicknessMm: number): number =>
  2 * thicknessMm * Math.sin(radians(foldDegrees) / 2);
