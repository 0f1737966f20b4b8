/** Radians of an angle in degrees. */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Degrees of an angle in radians. */
export const degrees = (inRadians: number): number => (inRadians * 180) / Math.PI;

/** The same turn within a full one either way; what is within stays as it is, and nothing is ever minus zero: no file can hold that. */
export const withinFullTurn = (angleDegrees: number): number =>
  (Math.abs(angleDegrees) <= 360 ? angleDegrees : angleDegrees % 360) + 0;

/** The same direction in [0, 360). */
export function normaliseDegrees(angleDegrees: number): number {
  const turned = angleDegrees % 360;
  return turned < 0 ? turned + 360 : turned;
}

/** How far one turn is from another the shorter way round, 0 to 180 degrees. */
export const degreesBetween = (a: number, b: number): number => Math.abs(normaliseDegrees(a - b + 180) - 180);
