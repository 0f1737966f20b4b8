export const ROLL_SKINS = ['both', 'outer', 'inner', 'none'] as const;
/** Which skins stay on a board that is rolled: the others are peeled off first. */
export type RollSkins = (typeof ROLL_SKINS)[number];

/** How a rolled board keeps its length, by the skins that stay on it. */
interface RolledBoard {
  /** Depth under the outside at which the length is kept, in per cent of the thickness. */
  readonly neutralPercent: number;
  /** Largest share by which what is not held is pressed or stretched before it wrinkles or tears. */
  readonly mostStrain: number;
  readonly words: string;
}

/**
 * What holds a rolled board to its length, and how far it can be rolled.
 * @source paper hardly stretches and is held at its own side; bare foam is pressed inside as much as it is stretched outside. Faced board bends
 * over a radius of 12 boards before its inner paper wrinkles, bare extruded foam over 25 before it tears; foam whose inner paper is peeled is
 * pressed by a quarter.
 */
const ROLLED: Readonly<Record<RollSkins, RolledBoard>> = {
  both: { neutralPercent: 0, mostStrain: 1 / 12, words: 'the inner skin wrinkles' },
  outer: { neutralPercent: 0, mostStrain: 1 / 4, words: 'the foam is crushed' },
  inner: { neutralPercent: 100, mostStrain: 1 / 12, words: 'the foam tears outside' },
  none: { neutralPercent: 50, mostStrain: 1 / 50, words: 'the foam tears outside' },
};

/** What a rolled sheet says of its board. */
export interface RolledSheet {
  readonly skins: RollSkins;
  /** Depth of the neutral line when it was measured on a piece, in per cent of the thickness. */
  readonly neutralPercent?: number;
}

/** Depth under the outside at which a rolled board keeps its length, in per cent of its thickness. */
export const neutralPercentOf = ({ skins, neutralPercent }: RolledSheet): number =>
  neutralPercent ?? ROLLED[skins].neutralPercent;

/** Depth under the outside at which a rolled board keeps its length, in mm. */
export const neutralDepth = (sheet: RolledSheet, thicknessMm: number): number =>
  (neutralPercentOf(sheet) / 100) * thicknessMm;

/** How far a board rolled to a radius is pressed inside, or stretched outside, as shares of its length. */
export interface RollStrain {
  readonly share: number;
  readonly most: number;
  /** What happens beyond the most. */
  readonly words: string;
}

/**
 * The greatest strain of a rolled board.
 * @param radiusMm of its outside, more than the depth of the neutral line
 */
export function rollStrain(sheet: RolledSheet, radiusMm: number, thicknessMm: number): RollStrain {
  const depth = neutralDepth(sheet, thicknessMm),
    { mostStrain: most, words } = ROLLED[sheet.skins];
  return { share: Math.max(depth, thicknessMm - depth) / (radiusMm - depth), most, words };
}

/** The smallest outside radius that a board can be rolled to. */
export function leastRollRadius(sheet: RolledSheet, thicknessMm: number): number {
  const depth = neutralDepth(sheet, thicknessMm);
  return depth + Math.max(depth, thicknessMm - depth) / ROLLED[sheet.skins].mostStrain;
}
