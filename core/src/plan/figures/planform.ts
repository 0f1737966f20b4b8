import { CoreError, radians } from '../../units/index.ts';

/** A chord of a wing or tail half, seen from above: how far out it lies, where it begins behind the datum, and how long it is; all in mm. */
export interface PlanformStation {
  /** From the middle of the airframe, never below 0. */
  readonly outMm: number;
  /** Leading edge, aft of the datum. */
  readonly leadingEdgeMm: number;
  /** 0 only at a pointed tip. */
  readonly chordMm: number;
}

/** One half of a surface that is the same on both sides, from the middle out: straight edges from station to station. */
export type Planform = readonly PlanformStation[];

/** The chord that stands for a whole surface: as long, and as far aft, as the mean by area. */
export interface MeanChord {
  readonly chordMm: number;
  readonly leadingEdgeMm: number;
  /** Where it lies, from the middle out. */
  readonly outMm: number;
}

/** @throws CoreError OUT_OF_RANGE for fewer than two stations, stations that do not go outwards, or a surface without area */
function checked(planform: Planform): Planform {
  planform.forEach(({ outMm, leadingEdgeMm, chordMm }, index) => {
    const before = planform[index - 1];
    if (!Number.isFinite(leadingEdgeMm) || !(chordMm >= 0) || !Number.isFinite(chordMm) || !(outMm >= 0))
      throw new CoreError('OUT_OF_RANGE', `Station ${index + 1} of the surface is no chord.`, { index });
    if (before && !(outMm >= before.outMm))
      throw new CoreError('OUT_OF_RANGE', `Station ${index + 1} lies further in than the one before it.`, { index });
  });
  if (planform.length < 2 || !(halfIntegral(planform, (a, b, dy) => ((a.chordMm + b.chordMm) * dy) / 2) > 0))
    throw new CoreError(
      'OUT_OF_RANGE',
      'A surface needs two chords apart from each other, and some area between them.',
    );
  return planform;
}

type PanelIntegral = (inner: PlanformStation, outer: PlanformStation, dy: number) => number;
const halfIntegral = (planform: Planform, of: PanelIntegral): number =>
  planform.slice(1).reduce((sum, outer, index) => {
    const inner = planform[index]!;
    return sum + of(inner, outer, outer.outMm - inner.outMm);
  }, 0);

/** Area of both halves, in mm². */
export const planformArea = (planform: Planform): number =>
  2 * halfIntegral(checked(planform), (a, b, dy) => ((a.chordMm + b.chordMm) * dy) / 2);

/** From tip to tip, in mm. */
export const planformSpan = (planform: Planform): number => 2 * checked(planform).at(-1)!.outMm;

/** Span squared over area. */
export const aspectRatio = (planform: Planform): number => planformSpan(planform) ** 2 / planformArea(planform);

/** Tip chord over root chord. */
export const taperRatio = (planform: Planform): number =>
  checked(planform).at(-1)!.chordMm / Math.max(1e-12, planform[0]!.chordMm);

/**
 * The mean aerodynamic chord and where it lies, exact for straight edges, swept or cranked.
 * @source (2/S)·∫c² dy, and the means of leading edge and place by area: (2/S)·∫x·c dy
 */
export function meanChord(planform: Planform): MeanChord {
  const half = planformArea(planform) / 2;
  /** ∫ of the product of what runs straight from p to q and of the chord. */
  const times = (of: (station: PlanformStation) => number): number =>
    halfIntegral(planform, (a, b, dy) => {
      const [p, q, c, d] = [of(a), of(b), a.chordMm, b.chordMm];
      return (dy * (2 * p * c + p * d + q * c + 2 * q * d)) / 6;
    });
  return {
    chordMm: times(({ chordMm }) => chordMm) / half,
    leadingEdgeMm: times(({ leadingEdgeMm }) => leadingEdgeMm) / half,
    outMm: times(({ outMm }) => outMm) / half,
  };
}

/**
 * A surface of panels at angles as it is seen from above: each panel is shorter by the cosine of its dihedral.
 * @param dihedrals of the panels from the middle out in degrees, one fewer than stations; stations are given along the panels
 */
export function projectedPlanform(planform: Planform, dihedrals: readonly number[]): Planform {
  if (dihedrals.length !== planform.length - 1)
    throw new CoreError(
      'OUT_OF_RANGE',
      `${planform.length} chords have ${planform.length - 1} panels, got ${dihedrals.length} angles.`,
    );
  let outMm = planform[0]?.outMm ?? 0;
  return planform.map((station, index) => {
    if (index > 0) outMm += (station.outMm - planform[index - 1]!.outMm) * Math.cos(radians(dihedrals[index - 1]!));
    return { ...station, outMm };
  });
}
