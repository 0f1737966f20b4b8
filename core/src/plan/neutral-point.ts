import { aspectRatio, meanChord, planformArea, type Planform } from './planform.ts';

/**
 * Lift slope of a surface, a radian.
 * @param aspect span squared over area, above 0
 * @source 2πA/(2 + √(4 + A²)) for thin surfaces in slow flight (Helmbold, Diederich): 2π for an endless wing, πA/2 for a very short one
 */
export const liftSlope = (aspect: number): number => (2 * Math.PI * aspect) / (2 + Math.sqrt(4 + aspect * aspect));

/** How much the air behind a wing turns down for each degree that the wing is turned up. @source 2·a/(π·A), far behind an elliptic load */
export const downwashSlope = (aspect: number): number => (2 * liftSlope(aspect)) / (Math.PI * aspect);

/** A surface that lifts, and the part of its area that counts: cos² of its cant for a V-tail. */
export interface LiftingSurface {
  readonly planform: Planform;
  readonly share?: number;
}

/** The neutral point and what it came from. */
export interface NeutralPoint {
  /** Aft of the datum. */
  readonly atMm: number;
  /** In parts of the wing's mean chord, from its leading edge. */
  readonly ofMeanChord: number;
  readonly wingSlope: number;
  readonly tailSlope: number;
  readonly downwash: number;
}

const QUARTER = 0.25;
const centre = (planform: Planform): number => {
  const { leadingEdgeMm, chordMm } = meanChord(planform);
  return leadingEdgeMm + QUARTER * chordMm;
};

/**
 * Where an airframe is neutral: lift that a gust adds acts there. Body, propeller and boundary layer are left out.
 * @param tail behind the wing, in its downwash; none for a flying wing
 * @source the mean of the quarter points of both surfaces by slope times area, the tail's less its downwash
 */
export function neutralPoint(wing: LiftingSurface, tail?: LiftingSurface): NeutralPoint {
  const aspect = aspectRatio(wing.planform),
    wingSlope = liftSlope(aspect),
    downwash = tail ? downwashSlope(aspect) : 0,
    tailSlope = tail ? liftSlope(aspectRatio(tail.planform)) : 0;
  const wingPull = wingSlope * planformArea(wing.planform) * (wing.share ?? 1),
    tailPull = tail ? tailSlope * (1 - downwash) * planformArea(tail.planform) * (tail.share ?? 1) : 0;
  const atMm =
    (wingPull * centre(wing.planform) + (tail ? tailPull * centre(tail.planform) : 0)) / (wingPull + tailPull);
  const { leadingEdgeMm, chordMm } = meanChord(wing.planform);
  return { atMm, ofMeanChord: (atMm - leadingEdgeMm) / chordMm, wingSlope, tailSlope, downwash };
}
