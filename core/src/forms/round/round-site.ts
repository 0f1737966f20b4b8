import type { Point } from '../../geometry/index.ts';
import { offsetPoints, type FormBoard, type FormContext } from '../form/index.ts';
import { neutralDepth, neutralPercentOf } from '../rolled/index.ts';
import { frustumBetween, type Frustum } from './frustum.ts';
import type { RoundForm, RoundParameters } from './parameters.ts';
import { roundProfile, type RoundProfile } from './round-profile.ts';

/** All that the parts of a round are made from. */
export interface RoundSite {
  readonly form: RoundForm;
  readonly round: RoundParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: FormContext['unit'];
  readonly profile: RoundProfile;
  /** The inside along the axis. */
  readonly bore: readonly Point[];
  readonly frusta: readonly Frustum[];
  /** Depth of the neutral line under the outside. */
  readonly neutralMm: number;
  readonly neutralPercent: number;
  /** Strips that every frustum is rolled as: an even number, so that one lies opposite the seam. */
  readonly strips: number;
}

/** Strips lie nearer to the circle than this, in mm. */
const OFF_CIRCLE_MM = 0.2;
const LEAST_STRIPS = 20;
const MOST_STRIPS = 72;

/** How many strips a circle is rolled as: their middles lie r·(π/n)²/3 within it. */
function stripsFor(radiusMm: number): number {
  const wanted = Math.PI * Math.sqrt(radiusMm / (3 * OFF_CIRCLE_MM));
  return 2 * Math.ceil(Math.min(MOST_STRIPS, Math.max(LEAST_STRIPS, wanted)) / 2);
}

/** A line along a round so far within its outside: frusta meet in the plane half way between them, so their lines do on every depth. */
export const withinProfile = ({ corners }: RoundProfile, depthMm: number): readonly Point[] =>
  offsetPoints(corners, -depthMm);

/** What a form of a round, well in itself, is made from. */
export function roundSite(form: RoundForm, context: FormContext): RoundSite {
  const round = form.parameters,
    board = context.boardOf(round.material),
    profile = roundProfile(round),
    neutralMm = neutralDepth(round, board.thicknessMm);
  const neutral = withinProfile(profile, neutralMm);
  return {
    form,
    round,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    profile,
    bore: withinProfile(profile, board.thicknessMm),
    frusta: neutral.slice(1).map((aft, index) => frustumBetween(neutral[index]!, aft)),
    neutralMm,
    neutralPercent: neutralPercentOf(round),
    strips: stripsFor(Math.max(...profile.corners.map(({ y }) => y))),
  };
}
