import { CoreError } from '../../units/index.ts';
import { placedPlanGuides, placedThings } from '../guides.ts';
import { freshPlanId, type GuideFrom, type Plan, type PlanGuide } from '../plan.ts';
import type { PlanAxis } from '../plan-view.ts';
import { PLAN_BOUNDS } from '../things/thing-fields.ts';
import type { PlanEdit } from './thing-edits.ts';

const AXIS_WORDS: Readonly<Record<PlanAxis, string>> = { x: 'Station', y: 'Out', z: 'Height' };

/** Sets a guide across an axis. @throws CoreError OUT_OF_RANGE when the plan is full */
export function addGuide(
  plan: Plan,
  guide: { readonly axis: PlanAxis; readonly from: GuideFrom; readonly byMm: number; readonly name?: string },
): PlanEdit & { readonly guideId: string } {
  if (plan.guides.length >= PLAN_BOUNDS.guides)
    throw new CoreError('OUT_OF_RANGE', `A plan holds ${PLAN_BOUNDS.guides} guides: take one out first.`);
  const [id, next] = freshPlanId(plan, 'g');
  const { axis, from, byMm } = guide,
    count = plan.guides.filter((one) => one.axis === axis).length;
  const name = guide.name ?? `${AXIS_WORDS[axis]} ${count + 1}`;
  return {
    label: `Set guide ${name}`,
    plan: { ...next, guides: [...next.guides, { id, name, axis, from, byMm }] },
    guideId: id,
  };
}

/** Changes a guide; things that it holds follow. @throws CoreError OUT_OF_RANGE when it would hang on itself */
export function changeGuide(plan: Plan, guideId: string, change: Partial<Omit<PlanGuide, 'id' | 'axis'>>): PlanEdit {
  const next = {
    ...plan,
    guides: plan.guides.map((guide) => (guide.id === guideId ? { ...guide, ...change } : guide)),
  };
  const guide = next.guides.find(({ id }) => id === guideId);
  const placed = placedPlanGuides(next).find((one) => one.guide.id === guideId);
  if (!guide || placed?.atMm === undefined)
    throw new CoreError('OUT_OF_RANGE', 'The guide would be counted from itself: choose something else.');
  return { label: change.name === undefined ? `Move guide ${guide.name}` : `Name guide ${guide.name}`, plan: next };
}

/** Takes a guide out; what it held, and guides counted from it, stay where they are. */
export function removeGuide(plan: Plan, guideId: string): PlanEdit {
  const placed = placedPlanGuides(plan),
    gone = placed.find(({ guide }) => guide.id === guideId),
    where = placedThings(plan);
  return {
    label: `Take out guide ${gone?.guide.name ?? ''}`.trim(),
    plan: {
      ...plan,
      guides: plan.guides
        .filter(({ id }) => id !== guideId)
        .map((guide) =>
          guide.from.kind === 'guide' && guide.from.guideId === guideId
            ? { ...guide, from: { kind: 'datum' as const }, byMm: (gone?.atMm ?? 0) + guide.byMm }
            : guide,
        ),
      things: plan.things.map((thing) => {
        if (!thing.heldBy || !Object.values(thing.heldBy).includes(guideId)) return thing;
        const left = Object.fromEntries(Object.entries(thing.heldBy).filter(([, id]) => id !== guideId));
        const { heldBy: _held, ...rest } = thing;
        const at = where.find(({ id }) => id === thing.id)!.at;
        return { ...rest, at, ...(Object.keys(left).length > 0 ? { heldBy: left } : {}) };
      }),
    },
  };
}
