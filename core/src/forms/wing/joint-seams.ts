import type { PanelSite } from './panel.ts';

/** A seam where two panels meet, by the names of both edges and the role of the part that the other is of. */
export interface JointSeam {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly role: string;
  readonly mayOverhang: boolean;
}

/**
 * The seams of the ends of a panel's part: with the same part of the next panel, and in the middle with its twin.
 * @param plates names of the plates that end there
 * @param roleOf the role of the part in a panel, by the panel's number
 */
export function jointSeams(
  { laid, isLast, wing }: PanelSite,
  plates: readonly string[],
  roleOf: (panel: number) => string,
): readonly JointSeam[] {
  const next = roleOf(laid.number + 1);
  // Trimmed square, both ends draw back along their own swept lines: their corners step past each other a little.
  const mayOverhang = wing.ends === 'square';
  return plates.flatMap((plate) => [
    ...(isLast ? [] : [{ name: `joint-${plate}`, from: `tip-${plate}`, to: `root-${plate}`, role: next, mayOverhang }]),
    ...(laid.number > 1
      ? []
      : laid.isMiddle
        ? isLast
          ? []
          : [{ name: `joint-b-${plate}`, from: `root-${plate}`, to: `root-${plate}`, role: next, mayOverhang }]
        : [{ name: `middle-${plate}`, from: `root-${plate}`, to: `root-${plate}`, role: roleOf(1), mayOverhang }]),
  ]);
}
