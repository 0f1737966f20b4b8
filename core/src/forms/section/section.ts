import type { Point } from '../../geometry/index.ts';

/** A corner of a skin's outer line in the plane of a section: x aft of the nose, y up from the pivot line. In mm. */
export type SectionPoint = Point;

/** What lies between two corners of a section's outer line: board, or only the skin that a trench leaves. */
export interface SectionPlate {
  /** `bottom`, `nose`, `front`, `cap`, `rear`; `low-2`, `top-1` of a creased section. */
  readonly role: string;
  readonly isSkin?: true;
  /** Not even skin: a lower and an upper sheet are glued to each other there. */
  readonly isParted?: true;
  /** Bent without creases: its fine strips are told by their number. */
  readonly isBent?: true;
}

/** A skin's section: its outer line from the lower tail round the nose to the upper tail. */
export interface SkinSection {
  /** One more than plates. */
  readonly corners: readonly SectionPoint[];
  readonly plates: readonly SectionPlate[];
  /** Where the spar stands between the skins, from its front edge: measured along the chord. */
  readonly spar?: { readonly frontMm: number; readonly widthMm: number };
  /** Bevels of the two edges that meet at the tail, from the board's normal, in degrees; 0 is square. */
  readonly tailBevels: { readonly lowDegrees: number; readonly topDegrees: number };
  /** How far before the lower tail its inner edge lies, along the chord: there the upper skin's face comes down on it. */
  readonly lapMm?: number;
  /** Greatest distance of the drawn section from the skin's outer line, when there is one. */
  readonly deviationMm?: number;
  /** Smallest radius of a bent skin. */
  readonly tightestMm?: number;
  /** One sheet that closes round nothing: its last corner is the nose. */
  readonly isOpen?: true;
  /** Foam all through, without skins of board. */
  readonly isSolid?: true;
}

/** Why there is no section of these numbers. */
export interface SectionRefusal {
  readonly refused: string;
  readonly detail: string;
  /** The number of the wing to change, and the nearest that works, when one is known. */
  readonly key?: string;
  readonly nearest?: number;
}

export const isRefused = (section: SkinSection | SectionRefusal): section is SectionRefusal => 'refused' in section;
