import { CoreError, radians } from '../units/index.ts';

/** Steepest slant of a plate through a slot that a knife can follow. */
export const STEEPEST_SLANT_DEGREES = 60;

/**
 * Width of a slot at both faces so that a plate can stand in it at a slant: p/cos α + t·|tan α| + fit.
 * @param plateMm thickness p of the plate that goes in
 * @param slantDegrees lean α of the plate from the board's normal, within ±60
 * @param boardMm thickness t of the slotted board
 * @param fitMm play that is added, below 0 for a press fit
 * @throws CoreError OUT_OF_RANGE when slantDegrees is outside ±60
 * @source plane geometry: the plate's slanted section, and its drift through the board
 * @example slotWidth(5, 0, 5, 0.2) // 5.2
 */
export function slotWidth(plateMm: number, slantDegrees: number, boardMm: number, fitMm: number): number {
  if (!(Math.abs(slantDegrees) <= STEEPEST_SLANT_DEGREES))
    throw new CoreError('OUT_OF_RANGE', `slantDegrees must be within ±${STEEPEST_SLANT_DEGREES}, got ${slantDegrees}`, {
      slantDegrees,
    });
  const slant = radians(Math.abs(slantDegrees));
  return plateMm / Math.cos(slant) + boardMm * Math.tan(slant) + fitMm;
}
