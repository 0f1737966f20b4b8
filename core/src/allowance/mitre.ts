import { CoreError, degrees, radians } from '../units/index.ts';

/** Tilt of a blade from the board's normal beyond which a hand-held knife no longer cuts cleanly. */
export const STEEPEST_BEVEL_DEGREES = 65;
/** Largest turn that a V groove can take: the two bevels meet at this fold angle's half. */
export const LARGEST_GROOVE_FOLD_DEGREES = 120;

/**
 * Bevel for both edges of a fold between plates of one thickness, so that the joint closes without a gap.
 * @param foldDegrees turn between the plates: 0 is flat, 90 a square corner; in [0, 180)
 * @returns blade tilt from the board's normal, in degrees
 * @throws CoreError OUT_OF_RANGE when foldDegrees is outside [0, 180)
 * @source plane geometry: the mitre plane bisects the angle between the plates
 * @example mitreBevelAngle(90) // 45
 */
export function mitreBevelAngle(foldDegrees: number): number {
  if (!(foldDegrees >= 0 && foldDegrees < 180)) {
    throw new CoreError('OUT_OF_RANGE', `foldDegrees must be in [0, 180), got ${foldDegrees}`, { foldDegrees });
  }
  return foldDegrees / 2;
}

/**
 * Width of a V groove at the face, so that two equal plates can turn to the fold angle: 2·t·tan(φ/2).
 * @param foldDegrees in [0, 180)
 * @param thicknessMm board thickness, at least 0
 * @source plane geometry: each bevel runs t·tan(φ/2) across the board
 * @example mitreMouthWidth(90, 5) // 10
 */
export function mitreMouthWidth(foldDegrees: number, thicknessMm: number): number {
  return 2 * bevelRun(mitreBevelAngle(foldDegrees), thicknessMm);
}

/**
 * The turn at which a groove of a given mouth closes: the inverse of mitreMouthWidth.
 * @example foldOfMouth(10, 5) // 90
 */
export function foldOfMouth(mouthMm: number, thicknessMm: number): number {
  return 2 * degrees(Math.atan2(mouthMm / 2, thicknessMm));
}

/**
 * How far a bevel reaches in from its edge across the board: t·tan β.
 * @param bevelDegrees blade tilt from the normal, in [0, 90)
 * @throws CoreError OUT_OF_RANGE when bevelDegrees is outside [0, 90)
 */
export function bevelRun(bevelDegrees: number, thicknessMm: number): number {
  if (!(bevelDegrees >= 0 && bevelDegrees < 90)) {
    throw new CoreError('OUT_OF_RANGE', `bevelDegrees must be in [0, 90), got ${bevelDegrees}`, { bevelDegrees });
  }
  return thicknessMm * Math.tan(radians(bevelDegrees));
}
