import { memo, radians } from '../../units/index.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import type { PlannedThing, SurfaceThing } from '../things/thing.ts';
import { quarterPoint } from './neutral-point.ts';
import { meanChord, planformArea, planformSpan, type Planform } from './planform.ts';
import { flatPlanform, topPlanform } from './surface-planform.ts';

/** The wings of a plan as one: what every figure of flight is counted by. */
export interface WingSet {
  readonly wings: readonly SurfaceThing[];
  readonly areaMm2: number;
  readonly spanMm: number;
  readonly chordMm: number;
  readonly leadingEdgeMm: number;
  readonly outMm: number;
  /** A quarter of the mean chord, where its lift acts. */
  readonly quarterMm: number;
}

const hasArea = (planform: Planform): boolean => {
  const [first, last] = [planform[0], planform.at(-1)];
  return (
    first !== undefined && last !== undefined && last.outMm > first.outMm && planform.some(({ chordMm }) => chordMm > 0)
  );
};

const surfacesOf = (plan: Pick<Plan, 'guides' | 'things'>, kind: SurfaceThing['kind']): readonly SurfaceThing[] =>
  placedThings(plan).filter((thing: PlannedThing): thing is SurfaceThing => thing.kind === kind);

/**
 * All wings of a plan together, or undefined without one.
 * @source mean chord, its leading edge and its place of several wings: each wing's by its area
 */
export const wingSet: (plan: Pick<Plan, 'guides' | 'things'>) => WingSet | undefined = memo(
  (plan: Pick<Plan, 'guides' | 'things'>) => {
    const wings = surfacesOf(plan, 'wing').filter((wing) => hasArea(topPlanform(wing)));
    if (wings.length === 0) return undefined;
    const each = wings.map((wing) => {
      const planform = topPlanform(wing);
      return { area: planformArea(planform), span: planformSpan(planform), mean: meanChord(planform) };
    });
    const areaMm2 = each.reduce((sum, { area }) => sum + area, 0);
    const byArea = (of: (one: (typeof each)[number]) => number): number =>
      each.reduce((sum, one) => sum + one.area * of(one), 0) / areaMm2;
    const chordMm = byArea(({ mean }) => mean.chordMm),
      leadingEdgeMm = byArea(({ mean }) => mean.leadingEdgeMm);
    return {
      wings,
      areaMm2,
      spanMm: Math.max(...each.map(({ span }) => span)),
      chordMm,
      leadingEdgeMm,
      outMm: byArea(({ mean }) => mean.outMm),
      quarterMm: leadingEdgeMm + chordMm / 4,
    };
  },
);

/** What a tail or fin does about pitch and about yaw: its areas that count, and where they act. */
export interface TailPull {
  readonly surface: SurfaceThing;
  /** As it lies flat, both halves, both of two fins. */
  readonly areaMm2: number;
  readonly horizontalMm2: number;
  readonly verticalMm2: number;
  readonly quarterMm: number;
}

/**
 * Tails and fins of a plan with the parts of their areas that count.
 * @source each panel's force is tilted by its angle, and so is the wind that it meets: cos² of it is horizontal, sin² vertical
 */
export const tailPulls: (plan: Pick<Plan, 'guides' | 'things'>) => readonly TailPull[] = memo(
  (plan: Pick<Plan, 'guides' | 'things'>) =>
    [...surfacesOf(plan, 'tail'), ...surfacesOf(plan, 'fin')]
      .filter((surface) => hasArea(flatPlanform(surface)))
      .map((surface) => {
        const flat = flatPlanform(surface),
          isFin = surface.kind === 'fin',
          // Of a fin one half stands, or two of them apart.
          count = isFin && surface.apartMm === 0 ? 0.5 : 1,
          areaMm2 = planformArea(flat) * count;
        const upright = flat.slice(1).reduce((sum, outer, index) => {
          const inner = flat[index]!,
            panel = (inner.chordMm + outer.chordMm) * (outer.outMm - inner.outMm) * count;
          return sum + panel * Math.sin(radians(surface.angles[index]!)) ** 2;
        }, 0);
        return {
          surface,
          areaMm2,
          verticalMm2: upright,
          horizontalMm2: Math.max(0, areaMm2 - upright),
          quarterMm: quarterPoint(flat),
        };
      }),
);
