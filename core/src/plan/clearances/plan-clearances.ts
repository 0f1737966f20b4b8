import { massSoFar } from '../figures/mass-so-far.ts';
import type { PlanContext } from '../figures/plan-context.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { boxClearances } from './box-clearances.ts';
import type { Clearance } from './clearance.ts';
import { controlClearances } from './control-clearances.ts';
import { groundClearances, type MassPlace } from './ground-clearances.ts';
import { propellerClearances } from './propeller-clearances.ts';

/** Where all masses so far lie together in the side view. */
function massPlace(plan: Plan, context: PlanContext): MassPlace | undefined {
  const { massG, balanceMm, each } = massSoFar(plan, context);
  if (balanceMm === undefined) return undefined;
  return { x: balanceMm, z: each.reduce((sum, one) => sum + one.massG * one.thing.at.z, 0) / massG };
}

/** Everything that could meet as an airframe moves, with how far it stays apart. */
export function planClearances(plan: Plan, context: PlanContext): readonly Clearance[] {
  const things = placedThings(plan);
  return [
    ...groundClearances(things, massPlace(plan, context)),
    ...propellerClearances(things),
    ...controlClearances(things),
    ...boxClearances(things, context.boardMm),
  ];
}
