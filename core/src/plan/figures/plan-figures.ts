import type { Plan } from '../plan.ts';
import { balanceFigures } from './balance-figures.ts';
import { balanceOfPlan, type PlanBalance } from './balance-of-plan.ts';
import { flightFigures } from './flight-figures.ts';
import { massFigures } from './mass-figures.ts';
import { massSoFar, type MassSoFar } from './mass-so-far.ts';
import type { PlanContext } from './plan-context.ts';
import type { PlanFigure } from './plan-figure.ts';
import { tailFigures } from './tail-figures.ts';
import { wingFigures } from './wing-figures.ts';
import { wingSet, type WingSet } from './wing-set.ts';

/** Everything that is worked out of a plan. */
export interface PlanFigures {
  readonly figures: readonly PlanFigure[];
  readonly mass: MassSoFar;
  readonly balance?: PlanBalance;
  readonly wings?: WingSet;
}

/** Every figure of a plan that it has the things for, each with its working and its source. */
export function planFigures(plan: Plan, context: PlanContext): PlanFigures {
  const wings = wingSet(plan),
    mass = massSoFar(plan, context),
    balance = balanceOfPlan(plan);
  const figures = [
    // What decides whether it flies comes first.
    ...(wings && balance ? balanceFigures(plan, wings, balance, context.unit) : []),
    ...massFigures(plan, mass, balance, context),
    ...(wings && mass.massG > 0 ? flightFigures(plan, wings, mass, context.unit) : []),
    ...(wings ? tailFigures(plan, wings, context.unit) : []),
    ...(wings ? wingFigures(plan, wings, context.unit) : []),
  ];
  return { figures, mass, ...(balance ? { balance } : {}), ...(wings ? { wings } : {}) };
}
