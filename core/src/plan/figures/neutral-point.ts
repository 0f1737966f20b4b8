import { CoreError } from '../../units/index.ts';
import { aspectRatio, meanChord, planformArea, planformSpan, type Planform } from './planform.ts';

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
  /** Of the first wing. */
  readonly wingSlope: number;
  /** Of the first tail; 0 without one. */
  readonly tailSlope: number;
  readonly downwash: number;
}

const QUARTER = 0.25;
/** Where the lift of a surface acts: a quarter of its mean chord. */
export function quarterPoint(planform: Planform): number {
  const { leadingEdgeMm, chordMm } = meanChord(planform);
  return leadingEdgeMm + QUARTER * chordMm;
}

/**
 * Where an airframe is neutral: lift that a gust adds acts there. Body, propeller, boundary layer and what two wings do to each other are
 * left out.
 * @param wings at least one
 * @param tails those behind the wing stand in its downwash; a foreplane does not, and what it does to the wing is left out
 * @throws CoreError OUT_OF_RANGE without a wing
 * @source the mean of the quarter points of all surfaces by slope times area, a tail's less its downwash; the downwash of two wings as of one
 *   wing with their span and the area of both
 */
export function neutralPoint(wings: readonly LiftingSurface[], tails: readonly LiftingSurface[] = []): NeutralPoint {
  if (wings.length === 0) throw new CoreError('OUT_OF_RANGE', 'A neutral point needs a wing.');
  const area = wings.reduce((sum, { planform }) => sum + planformArea(planform), 0),
    span = Math.max(...wings.map(({ planform }) => planformSpan(planform))),
    middle = wings.reduce((sum, { planform }) => sum + planformArea(planform) * quarterPoint(planform), 0) / area,
    downwash = downwashSlope(span ** 2 / area);
  const slopeOf = ({ planform }: LiftingSurface): number => liftSlope(aspectRatio(planform));
  const pulls = [
    ...wings.map((wing) => ({
      at: quarterPoint(wing.planform),
      pull: slopeOf(wing) * planformArea(wing.planform) * (wing.share ?? 1),
    })),
    ...tails.map((tail) => {
      const at = quarterPoint(tail.planform),
        isBehind = at > middle;
      return {
        at,
        pull: slopeOf(tail) * planformArea(tail.planform) * (tail.share ?? 1) * (isBehind ? 1 - downwash : 1),
      };
    }),
  ];
  const whole = pulls.reduce((sum, { pull }) => sum + pull, 0);
  return {
    atMm: pulls.reduce((sum, { at, pull }) => sum + at * pull, 0) / whole,
    wingSlope: slopeOf(wings[0]!),
    tailSlope: tails[0] ? slopeOf(tails[0]) : 0,
    downwash,
  };
}
