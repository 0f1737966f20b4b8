import { radians } from '../units/index.ts';

/** Folds that a trench can make: a wall that stands on the plate, or a board doubled back on itself. */
export type TrenchFold = 90 | 180;

/** Boards that a trench can be made to fit: more are stiffer than any skin that bends round them. */
export const MOST_TRENCH_LAYERS = 6;

/**
 * Width of foam to take out so that the far skin can bend: the wall's thickness for 90°; for 180° that of what it wraps and of the board
 * that comes to lie on it.
 * @param foldDegrees 90 or 180
 * @param thicknessMm measured board thickness
 * @param layers boards of the wall that stands on it, or that it wraps round; from 1
 * @source the skin of the trench covers the foam edges of the wall, or those of all boards of the stack
 * @example trenchWidth(180, 5) // 10
 * @example trenchWidth(180, 5, 2) // 15: round a doubled board
 */
export const trenchWidth = (foldDegrees: TrenchFold, thicknessMm: number, layers = 1): number =>
  foldDegrees === 180 ? (layers + 1) * thicknessMm : layers * thicknessMm;

/** A doubled fold may stay open by this much, as the nose of a wing does: beyond that it is a corner, in degrees. */
export const MOST_OPEN_DEGREES = 44;

/**
 * Width of the skin round a doubled fold of one board that stays open: the inner corners of both foam edges touch.
 * @param openDegrees by how much it stops short of lying flat, in [0, 44]
 * @source both edges mirror each other in the plane that halves the opening; an inner corner lies t above its skin, which leans by half of it
 * @example openTrenchWidth(0, 5) // 10
 */
export const openTrenchWidth = (openDegrees: number, thicknessMm: number): number =>
  2 * thicknessMm * Math.cos(radians(openDegrees / 2));

/** Largest turn of one crease before the skin buckles. */
export const LARGEST_CREASE_FOLD_DEGREES = 35;
