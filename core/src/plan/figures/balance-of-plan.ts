import { distance3 } from '../../geometry/index.ts';
import { placedThings } from '../guides.ts';
import type { Plan, PlanSchool } from '../plan.ts';
import { boxOfThing, placedChords } from '../things/thing-box.ts';
import type { BodyThing, SurfaceThing } from '../things/thing.ts';
import { balanceBand, type BalanceBand } from './balance-band.ts';
import type { MassSoFar } from './mass-so-far.ts';
import { neutralPoint, type NeutralPoint } from './neutral-point.ts';
import { flatPlanform, topPlanform } from './surface-planform.ts';
import { tailPulls, wingSet } from './wing-set.ts';

/** The balance range of a plan and everything that it is told by. */
export interface PlanBalance {
  readonly band: BalanceBand;
  readonly neutral: NeutralPoint;
  /** In parts of the mean chord, from its leading edge. */
  readonly neutralOfMeanChord: number;
  /** The foremost point of the bodies, or of everything without one. */
  readonly noseMm: number;
  /** Along the leading edge of the swept wing, from its root; undefined where the edge does not pass the range. */
  readonly alongEdge?: { readonly foreMm?: number; readonly aftMm?: number; readonly wing: string };
}

/** How the school words itself beside the figures. */
export const schoolWords = (school: PlanSchool): string =>
  school.kind === 'part of mean chord'
    ? `usual for ${school.of}`
    : `neutral point less ${Math.round(school.least * 100)} to ${Math.round(school.most * 100)} % margin`;

/** The place of the neutral point of a plan, or undefined without a wing. */
function neutralOf(plan: Plan): NeutralPoint | undefined {
  const set = wingSet(plan);
  if (!set) return undefined;
  const tails = tailPulls(plan)
    .filter(({ surface }) => surface.kind === 'tail')
    .map(({ surface, areaMm2, horizontalMm2 }) => ({
      planform: flatPlanform(surface),
      share: horizontalMm2 / areaMm2,
    }));
  return neutralPoint(
    set.wings.map((wing) => ({ planform: topPlanform(wing) })),
    tails,
  );
}

/** The balance range of a plan by its school; undefined without a wing. */
export function balanceOfPlan(plan: Plan): PlanBalance | undefined {
  const set = wingSet(plan),
    neutral = neutralOf(plan);
  if (!set || !neutral) return undefined;
  const { school } = plan;
  const band = balanceBand(set, school.kind === 'part of mean chord' ? school : { ...school, neutralMm: neutral.atMm });
  const things = placedThings(plan),
    bodies = things.filter((thing): thing is BodyThing => thing.kind === 'body');
  const noseMm = Math.min(...(bodies.length > 0 ? bodies : things).map((thing) => boxOfThing(thing).min.x));
  const largest = set.wings[0]!,
    foreMm = alongLeadingEdge(largest, band.foreMm),
    aftMm = alongLeadingEdge(largest, band.aftMm);
  return {
    band,
    neutral,
    neutralOfMeanChord: (neutral.atMm - set.leadingEdgeMm) / set.chordMm,
    noseMm,
    ...(foreMm !== undefined || aftMm !== undefined ? { alongEdge: { foreMm, aftMm, wing: largest.name } } : {}),
  };
}

/** How far out along its leading edge a wing passes a place, from its root; undefined where it never does. */
export function alongLeadingEdge(wing: SurfaceThing, x: number): number | undefined {
  const chords = placedChords(wing);
  let run = 0;
  for (const [index, b] of chords.slice(1).entries()) {
    const a = chords[index]!,
      length = distance3(a, b);
    if (a.x !== b.x && (x - a.x) * (x - b.x) <= 0) return run + (length * (x - a.x)) / (b.x - a.x);
    run += length;
  }
  return undefined;
}

/** Where the packs would have to stand for an airframe to balance at both ends of the range. */
export interface PackReach {
  /** How far all packs move aft for the fore end of the range, and for its aft end; below 0 is forward. */
  readonly moveForeMm: number;
  readonly moveAftMm: number;
  readonly packG: number;
}
/** @returns undefined without a pack that weighs something */
export function packReach({ band }: PlanBalance, { massG, balanceMm, each }: MassSoFar): PackReach | undefined {
  const packG = each.reduce((sum, one) => sum + (one.thing.kind === 'pack' ? one.massG : 0), 0);
  if (!(packG > 0) || balanceMm === undefined) return undefined;
  const move = (to: number): number => ((to - balanceMm) * massG) / packG;
  return { moveForeMm: move(band.foreMm), moveAftMm: move(band.aftMm), packG };
}
