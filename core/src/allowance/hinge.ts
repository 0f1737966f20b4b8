import { bevelRun } from './mitre.ts';

/** Which edges of a control hinge are bevelled for its deflection. */
export type HingeRelief = 'both' | 'left' | 'right';

/**
 * Foam bevelled away at a control hinge so that it can deflect: one edge by δ, or both by δ/2 each.
 * @param deflectionDegrees greatest deflection δ either way
 * @returns width at the worked face in mm
 * @throws CoreError OUT_OF_RANGE when an edge would need 90° or more
 * @example hingeWidth(45, 'left', 5) // 5
 */
export const hingeWidth = (deflectionDegrees: number, relief: HingeRelief, thicknessMm: number): number =>
  relief === 'both' ? 2 * bevelRun(deflectionDegrees / 2, thicknessMm) : bevelRun(deflectionDegrees, thicknessMm);
