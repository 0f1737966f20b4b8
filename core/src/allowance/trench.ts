/** Folds that a trench can make: a wall that stands on the plate, or a board doubled back on itself. */
export type TrenchFold = 90 | 180;

/**
 * Width of foam to take out so that the far skin can bend: the wall's thickness for 90°, twice the board for 180°.
 * @param foldDegrees 90 or 180
 * @param thicknessMm measured board thickness
 * @source the skin of the trench covers the foam edge of the wall, or both edges of a doubled board
 * @example trenchWidth(180, 5) // 10
 */
export const trenchWidth = (foldDegrees: TrenchFold, thicknessMm: number): number => (foldDegrees === 180 ? 2 * thicknessMm : thicknessMm);

/** Largest turn of one crease before the skin buckles. */
export const LARGEST_CREASE_FOLD_DEGREES = 35;
