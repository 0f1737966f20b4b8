import { radians } from '../../units/index.ts';

/** Area of a V-tail as a flat tail and as a fin: the parts that it stands for, in the unit of the area that is given. */
export interface TailShares {
  readonly horizontal: number;
  readonly vertical: number;
}

/**
 * Horizontal tail volume: tail area times its arm over wing area times mean chord.
 * @param armMm from a quarter of the wing's mean chord to a quarter of the tail's
 */
export const horizontalTailVolume = (
  tail: { readonly areaMm2: number; readonly armMm: number },
  wing: { readonly areaMm2: number; readonly meanChordMm: number },
): number => (tail.areaMm2 * tail.armMm) / (wing.areaMm2 * wing.meanChordMm);

/** Vertical tail volume: fin area times its arm over wing area times span. */
export const verticalTailVolume = (
  fin: { readonly areaMm2: number; readonly armMm: number },
  wing: { readonly areaMm2: number; readonly spanMm: number },
): number => (fin.areaMm2 * fin.armMm) / (wing.areaMm2 * wing.spanMm);

/**
 * What a V-tail stands for.
 * @param areaMm2 of both halves as they lie flat
 * @param cantDegrees of each half from the horizontal, in [0, 90]
 * @source the force of a half is tilted by the cant, and so is the angle that it meets: cos² of it is horizontal, sin² vertical
 */
export function vTailShares(areaMm2: number, cantDegrees: number): TailShares {
  const cosine = Math.cos(radians(cantDegrees));
  return { horizontal: areaMm2 * cosine ** 2, vertical: areaMm2 * (1 - cosine ** 2) };
}
