import { CoreError, lengthText, radians } from '../units/index.ts';
import { trenchWidth } from './trench.ts';

/** A side of a strip that is folded crosswise, by the size that it is to have when it is folded. */
export interface StripSide {
  readonly sizeMm: number;
  /** Over the skins that stay whole outside the bends, or what is clear inside: between the faces, or the boards that double them. */ readonly is:
    'outer' | 'inner';
}

/** A fold between two sides: how far it turns toward the face (below 0 away), and whether a strip of foam is taken out for it. */
export interface StripFold {
  readonly foldDegrees: number;
  readonly isTrench: boolean;
}

/**
 * What a fold takes from the size of each side that it bounds, from the skin that stays to the other: t·tan(φ/2). A doubled fold takes
 * none: its plates lie on each other.
 * @param foldDegrees turn toward the face, below 0 away from it; in (-180, 180]
 * @source plane geometry: the corner of both faces lies on the plane that halves the fold
 * @example foldTake(90, 5) // 5
 */
export const foldTake = (foldDegrees: number, thicknessMm: number): number =>
  Math.abs(foldDegrees) > 175 ? 0 : thicknessMm * Math.tan(radians(foldDegrees / 2));

/** Both sizes of a side: outside and inside of what it bounds. */
export interface FoldedSize {
  readonly outerMm: number;
  readonly innerMm: number;
}

/**
 * What a side of a flat length folds to.
 * @param lengthMm along the far skin between its two folds, or from a fold to its free end
 * @param folds turns at its ends toward the face; a free end is 0
 */
export function foldedSize(lengthMm: number, folds: readonly [number, number], thicknessMm: number): FoldedSize {
  const takes = folds.map((fold) => foldTake(fold, thicknessMm));
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  return {
    outerMm: lengthMm + sum(takes.map((take) => Math.max(0, -take))),
    innerMm: lengthMm - sum(takes.map((take) => Math.max(0, take))),
  };
}

/**
 * Flat length of a side that is to have a size when it is folded: the inverse of foldedSize.
 * @throws CoreError OUT_OF_RANGE when the size is not more than 0
 */
export function flatLength({ sizeMm, is }: StripSide, folds: readonly [number, number], thicknessMm: number): number {
  if (!(sizeMm > 0))
    throw new CoreError('OUT_OF_RANGE', `a folded size must be more than 0, got ${lengthText(sizeMm)}`, { sizeMm });
  const none = foldedSize(0, folds, thicknessMm);
  return sizeMm - (is === 'outer' ? none.outerMm : none.innerMm);
}

/** A strip laid flat: where its fold lines run, from 0 at its first free end, and how long it is. */
export interface FlatStrip {
  readonly lines: readonly number[];
  readonly lengthMm: number;
}

/**
 * The flat strip that folds to wanted sizes, in the measured board.
 * @param folds one fewer than sides
 * @returns a line a fold; at a doubled fold the middle of its strip of foam, which is as long again as the skin round the edge
 * @throws CoreError OUT_OF_RANGE for sizes that are not more than 0, or a side that nothing is left of
 * @example flatStrip([outer 40, outer 60, outer 40], [90, 90], 5) // lines at 40 and 100 of 140
 */
export function flatStrip(sides: readonly StripSide[], folds: readonly StripFold[], thicknessMm: number): FlatStrip {
  if (folds.length !== sides.length - 1)
    throw new CoreError(
      'OUT_OF_RANGE',
      `${sides.length} sides have ${sides.length - 1} folds between them, got ${folds.length}`,
      { sides: sides.length, folds: folds.length },
    );
  const lines: number[] = [];
  let at = 0;
  sides.forEach((side, index) => {
    const [before, after] = [folds[index - 1], folds[index]];
    const linings = liningOf(before, folds[index - 2]) + liningOf(after, folds[index + 1]);
    const clear = side.is === 'inner' ? { ...side, sizeMm: side.sizeMm + linings * thicknessMm } : side;
    const length = flatLength(clear, [before?.foldDegrees ?? 0, after?.foldDegrees ?? 0], thicknessMm);
    if (!(length > 0))
      throw new CoreError('OUT_OF_RANGE', `side ${index + 1} would be ${lengthText(length, 2)} long laid flat`, {
        side: index + 1,
        length,
      });
    at += length;
    if (!after) return;
    const around = isDoubled(after) ? trenchWidth(180, thicknessMm) : 0;
    lines.push(at + around / 2);
    at += around;
  });
  return { lines, lengthMm: at };
}
/** How many boards line a wall on its inside: one where the wall stands square and its far edge is doubled back the same way. */
const liningOf = (wall: StripFold | undefined, beyond: StripFold | undefined): number =>
  wall && beyond && isDoubled(beyond) && Math.abs(wall.foldDegrees - 90) < 1 && beyond.foldDegrees > 0 ? 1 : 0;
const isDoubled = ({ isTrench, foldDegrees }: StripFold): boolean => isTrench && Math.abs(foldDegrees) > 135;
