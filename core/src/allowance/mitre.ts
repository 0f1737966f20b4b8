import { CoreError, degrees, radians } from '../units/index.ts';

/** Tilt of a blade from the board's normal beyond which a hand-held knife no longer cuts cleanly. */
export const STEEPEST_BEVEL_DEGREES = 65;
/** Tilt up to which a sanding block feathers an edge: a slope of 1 in 28. */
export const STEEPEST_SANDED_BEVEL_DEGREES = 88;
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
 * Bevels of two plates of unequal thickness that meet at a turn, so that their cut faces lie on each other along their whole depth.
 * @param foldDegrees turn between the plates, in (0, 180)
 * @param firstMm thickness of the first plate, above 0
 * @param secondMm thickness of the second, above 0
 * @returns blade tilt of each from its own normal, in degrees; below 0 leans the other way
 * @throws CoreError OUT_OF_RANGE outside these
 * @source plane geometry: the cut runs from the shared outer corner to where both inner faces meet; tan β1 = (t2 - t1·cos φ)/(t1·sin φ), β2 = φ - β1
 * @example unequalBevelAngles(90, 5, 3) // [30.96, 59.04]
 */
export function unequalBevelAngles(foldDegrees: number, firstMm: number, secondMm: number): readonly [number, number] {
  if (!(foldDegrees > 0 && foldDegrees < 180))
    throw new CoreError('OUT_OF_RANGE', `foldDegrees must be in (0, 180), got ${foldDegrees}`, { foldDegrees });
  if (!(firstMm > 0 && secondMm > 0))
    throw new CoreError('OUT_OF_RANGE', `a plate must be thicker than 0 mm, got ${firstMm} and ${secondMm}`, {
      firstMm,
      secondMm,
    });
  const fold = radians(foldDegrees);
  const first = degrees(Math.atan((secondMm - firstMm * Math.cos(fold)) / (firstMm * Math.sin(fold))));
  return [first, foldDegrees - first];
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
