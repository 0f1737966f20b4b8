import type { MeanChord } from './planform.ts';

/** Kinds of airframe that balance at usual places of the mean chord. */
export const BALANCE_KINDS = ['flat bottom tractor', 'flat plate', 'glider', 'flying wing', 'canard'] as const;
export type BalanceKind = (typeof BALANCE_KINDS)[number];

/**
 * Usual places of the balance point, in parts of the mean chord: what builders of such models begin with. A canard's is counted from the mean
 * chord of its main wing, and lies before it.
 */
const USUAL: Readonly<Record<BalanceKind, readonly [fore: number, aft: number]>> = {
  'flat bottom tractor': [0.27, 0.33],
  'flat plate': [0.25, 0.3],
  glider: [0.3, 0.38],
  'flying wing': [0.15, 0.2],
  canard: [-0.2, -0.05],
};

/** The school by which a balance range is found: it is never told without it. */
export type BalanceSchool =
  | { readonly kind: 'part of mean chord'; readonly of: BalanceKind }
  | {
      readonly kind: 'neutral point less margin';
      readonly neutralMm: number;
      readonly least: number;
      readonly most: number;
    };

/** A range in which an airframe should balance, aft of the datum, and by which school. */
export interface BalanceBand {
  readonly foreMm: number;
  readonly aftMm: number;
  /** The same in parts of the wing's mean chord, from its leading edge. */
  readonly ofMeanChord: readonly [fore: number, aft: number];
  readonly school: BalanceSchool;
}

/** Static margins that are usual, in parts of the mean chord. */
export const USUAL_MARGIN = { least: 0.05, most: 0.15 } as const;

/** Where an airframe should balance, by a school. @param mean chord of all its wings */
export function balanceBand(
  { leadingEdgeMm, chordMm }: Pick<MeanChord, 'leadingEdgeMm' | 'chordMm'>,
  school: BalanceSchool,
): BalanceBand {
  const ofMeanChord =
    school.kind === 'part of mean chord'
      ? USUAL[school.of]
      : ([
          (school.neutralMm - leadingEdgeMm) / chordMm - school.most,
          (school.neutralMm - leadingEdgeMm) / chordMm - school.least,
        ] as const);
  const [foreMm, aftMm] = ofMeanChord.map((share) => leadingEdgeMm + share * chordMm) as [number, number];
  return { foreMm, aftMm, ofMeanChord, school };
}
