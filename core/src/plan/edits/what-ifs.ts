import { CoreError } from '../../units/index.ts';
import { placedThings } from '../guides.ts';
import { freshPlanId, type Plan } from '../plan.ts';
import { PLAN_BOUNDS } from '../things/thing-fields.ts';
import type { PlanEdit } from './thing-edits.ts';

/** Keeps the present things as a what-if. @throws CoreError OUT_OF_RANGE when there are many already */
export function keepWhatIf(plan: Plan, name: string): PlanEdit {
  if (plan.whatIfs.length >= PLAN_BOUNDS.whatIfs)
    throw new CoreError('OUT_OF_RANGE', `A plan keeps ${PLAN_BOUNDS.whatIfs} what-ifs: take one out first.`);
  const [id, next] = freshPlanId(plan, 'w');
  return {
    label: `Keep "${name}"`,
    plan: { ...next, whatIfs: [...plan.whatIfs, { id, name, things: placedThings(plan) }] },
  };
}

/** A what-if as a plan of its own, for its figures and to draw it. */
export function planOfWhatIf(plan: Plan, whatIfId: string): Plan | undefined {
  const found = plan.whatIfs.find(({ id }) => id === whatIfId);
  return found && { ...plan, things: found.things };
}

/** Makes a what-if the present things, and keeps those that it replaces in its place: nothing is lost. */
export function changePlaces(plan: Plan, whatIfId: string): PlanEdit {
  const found = plan.whatIfs.find(({ id }) => id === whatIfId);
  if (!found) throw new CoreError('NOT_FOUND', 'This what-if is no longer there.');
  return {
    label: `Go by "${found.name}"`,
    plan: {
      ...plan,
      things: found.things,
      whatIfs: plan.whatIfs.map((one) =>
        one.id === whatIfId ? { ...one, name: `Before ${found.name}`.slice(0, 80), things: plan.things } : one,
      ),
    },
  };
}

export function removeWhatIf(plan: Plan, whatIfId: string): PlanEdit {
  const name = plan.whatIfs.find(({ id }) => id === whatIfId)?.name ?? '';
  return { label: `Drop "${name}"`, plan: { ...plan, whatIfs: plan.whatIfs.filter(({ id }) => id !== whatIfId) } };
}
