import { CoreError, radians } from '../units/index.ts';
import { LARGEST_CREASE_FOLD_DEGREES } from './trench.ts';

/** A curve made of creases: flat strips that lie against it from outside. */
export interface RolledEdge {
  readonly creases: number;
  /** Fold of each crease. */
  readonly foldDegrees: number;
  /** From crease to crease along the outer skin, in mm. */
  readonly pitchMm: number;
  /** How far a crease stands off the curve, in mm: the strips touch it half way between. */
  readonly deviationMm: number;
}

/**
 * A row of creases that rolls the board round a radius.
 * @param radiusMm radius of the outer skin, above 0
 * @param turnDegrees whole turn, in (0, 360]
 * @param creases how many; each folds by an equal share, which may be up to 35°
 * @throws CoreError OUT_OF_RANGE outside these, with the least number of creases
 * @source polygon about a circle: strips of 2·r·tan(φ/2) touch it, their corners stand off by r·(1/cos(φ/2) - 1)
 * @example rolledEdge(30, 90, 6) // 15° each, 7.9 mm apart, 0.26 mm off
 */
export function rolledEdge(radiusMm: number, turnDegrees: number, creases: number): RolledEdge {
  if (!(radiusMm > 0))
    throw new CoreError('OUT_OF_RANGE', `a radius must be more than 0 mm, got ${radiusMm}`, { radiusMm });
  if (!(turnDegrees > 0 && turnDegrees <= 360))
    throw new CoreError('OUT_OF_RANGE', `a turn is more than 0° and up to 360°, got ${turnDegrees}`, { turnDegrees });
  const least = Math.ceil(turnDegrees / LARGEST_CREASE_FOLD_DEGREES - 1e-9);
  if (!(Number.isInteger(creases) && creases >= least && creases <= 200))
    throw new CoreError('OUT_OF_RANGE', `${turnDegrees}° needs ${least} to 200 creases, got ${creases}`, {
      creases,
      least,
    });
  const foldDegrees = turnDegrees / creases,
    half = radians(foldDegrees / 2);
  return {
    creases,
    foldDegrees,
    pitchMm: 2 * radiusMm * Math.tan(half),
    deviationMm: radiusMm * (1 / Math.cos(half) - 1),
  };
}
