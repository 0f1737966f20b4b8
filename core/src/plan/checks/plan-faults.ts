import { lengthText, roundLengthText } from '../../units/index.ts';
import { isTooLittle, type Clearance } from '../clearances/clearance.ts';
import { planClearances } from '../clearances/plan-clearances.ts';
import type { PlanContext } from '../figures/plan-context.ts';
import { planFigures, type PlanFigures } from '../figures/plan-figures.ts';
import { placedPlanGuides } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { balanceFaults } from './balance-check.ts';
import type { PlanFault } from './plan-fault.ts';
import { lengthFaults, seatFaults, volumeFaults } from './size-checks.ts';
import { viewFaults } from './view-check.ts';

/** What is wrong with a plan, with its mends. */
export function planFaults(
  plan: Plan,
  context: PlanContext,
  figures: PlanFigures = planFigures(plan, context),
  clearances: readonly Clearance[] = planClearances(plan, context),
): readonly PlanFault[] {
  return [
    ...clearances.filter(isTooLittle).map(clearanceFault),
    ...seatFaults(plan),
    ...volumeFaults(plan, figures.figures),
    ...balanceFaults(plan, figures),
    ...lengthFaults(plan, context),
    ...viewFaults(plan),
    ...guideFaults(plan),
  ];
}

function clearanceFault({ word, amount, quantity, least, most, told, thingIds, mends }: Clearance): PlanFault {
  const isOver = most !== undefined && amount > most;
  const figure = (value: number): string => (quantity === 'angle' ? `${value.toFixed(1)}°` : lengthText(value));
  const limit = (value: number): string => (quantity === 'angle' ? `${value.toFixed(0)}°` : roundLengthText(value));
  return {
    code: 'CLEARANCE',
    title: `${word}: ${figure(amount)}`,
    detail: `${isOver ? `At most ${limit(most)} is good.` : `At least ${limit(least)} is wanted.`} ${told}`,
    thingIds,
    mends,
  };
}

function guideFaults(plan: Plan): readonly PlanFault[] {
  return placedPlanGuides(plan)
    .filter(({ atMm }) => atMm === undefined)
    .map(({ guide }) => ({
      code: 'GUIDE_LOST',
      title: `Guide ${guide.name} has no place`,
      detail: 'What it is counted from is gone, or hangs on the guide itself.',
      thingIds: [],
      mends: [{ label: 'Count it from the datum', changes: [], guideFromDatum: guide.id }],
    }));
}
