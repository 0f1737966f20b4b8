import type { AirframePoint } from '../../part/index.ts';
import { CoreError } from '../../units/index.ts';
import type { ThingChange } from '../clearances/clearance.ts';
import { placedPlanGuides, placedThings } from '../guides.ts';
import { freshPlanId, type Plan } from '../plan.ts';
import { PLAN_AXES, type PlanAxis } from '../plan-view.ts';
import { PLAN_BOUNDS } from '../things/thing-fields.ts';
import { isSurface, type HeldBy, type PlannedThing, type ThingKind } from '../things/thing.ts';
import { usualThing } from '../things/usual-things.ts';

/** A plan after an edit, and what the step is called. */
export interface PlanEdit {
  readonly label: string;
  readonly plan: Plan;
}

/** The thing of an id where its guides hold it. @throws CoreError NOT_FOUND */
export function thingOf(plan: Plan, id: string): PlannedThing {
  const found = placedThings(plan).find((thing) => thing.id === id);
  if (!found) throw new CoreError('NOT_FOUND', 'This planned thing is no longer there.', { id });
  return found;
}

/** A plan with one of its things replaced. */
export const withThing = (plan: Plan, thing: PlannedThing): Plan => ({
  ...plan,
  things: plan.things.map((one) => (one.id === thing.id ? thing : one)),
});

/** Adds a thing of a kind, in its usual size, where it is wanted. @throws CoreError OUT_OF_RANGE when the plan is full */
export function addThing(
  plan: Plan,
  kind: ThingKind,
  at: AirframePoint,
  boardMm: number,
): PlanEdit & { readonly thingId: string } {
  if (plan.things.length >= PLAN_BOUNDS.things)
    throw new CoreError('OUT_OF_RANGE', `A plan holds ${PLAN_BOUNDS.things} things: take one out first.`);
  const [id, next] = freshPlanId(plan, 't');
  const usual = usualThing(kind, id, boardMm),
    same = plan.things.filter((thing) => thing.kind === kind).length;
  const thing = {
    ...usual,
    name: same > 0 ? `${usual.name} ${same + 1}` : usual.name,
    at: isSurface(usual) ? { ...at, y: 0 } : at,
  };
  return { label: `Plan ${thing.name}`, plan: { ...next, things: [...next.things, thing] }, thingId: id };
}

/** A copy of a thing beside it: the other wing of a biplane, a second servo. @throws CoreError NOT_FOUND or OUT_OF_RANGE */
export function copyThing(plan: Plan, thingId: string): PlanEdit & { readonly thingId: string } {
  const thing = thingOf(plan, thingId);
  if (plan.things.length >= PLAN_BOUNDS.things)
    throw new CoreError('OUT_OF_RANGE', `A plan holds ${PLAN_BOUNDS.things} things: take one out first.`);
  const [id, next] = freshPlanId(plan, 't');
  const { heldBy: _held, ...rest } = thing;
  const copy: PlannedThing = {
    ...rest,
    id,
    name: `${thing.name} copy`.slice(0, 80),
    at: isSurface(thing) ? { ...thing.at, z: thing.at.z + 60 } : { ...thing.at, x: thing.at.x + 30 },
  };
  return { label: `Copy ${thing.name}`, plan: { ...next, things: [...next.things, copy] }, thingId: id };
}

/** Takes a thing out; what went along with it stays where it is, and guides that were counted from it stand where they stood. */
export function removeThing(plan: Plan, thingId: string): PlanEdit {
  const { name } = thingOf(plan, thingId);
  const stood = new Map(placedPlanGuides(plan).map(({ guide, atMm }) => [guide.id, atMm]));
  return {
    label: `Take out ${name}`,
    plan: {
      ...plan,
      things: plan.things
        .filter(({ id }) => id !== thingId)
        .map((thing) => {
          if (thing.goesWith !== thingId) return thing;
          const { goesWith: _gone, ...rest } = thing;
          return rest;
        }),
      guides: plan.guides.map((guide) =>
        guide.from.kind === 'thing' && guide.from.thingId === thingId
          ? { ...guide, from: { kind: 'datum' as const }, byMm: stood.get(guide.id) ?? guide.byMm }
          : guide,
      ),
    },
  };
}

/** A thing, and everything that goes along with it, however far down. */
export function goingAlong(things: readonly PlannedThing[], thingId: string): ReadonlySet<string> {
  const along = new Set([thingId]);
  for (let grew = true; grew;) {
    grew = false;
    for (const { id, goesWith } of things)
      if (goesWith !== undefined && along.has(goesWith) && !along.has(id)) {
        along.add(id);
        grew = true;
      }
  }
  return along;
}

const clamped = (value: number): number => Math.max(-PLAN_BOUNDS.furthestMm, Math.min(PLAN_BOUNDS.furthestMm, value));

/**
 * Moves a thing, and what goes along with it. A wing, a tail or a fin stays in the middle. Along an axis that it moves in it leaves the guide
 * that held it, unless it is told to take one.
 * @param held guides that hold it from now on
 */
export function moveThing(plan: Plan, thingId: string, by: AirframePoint, held: HeldBy = {}): PlanEdit {
  const moved = thingOf(plan, thingId),
    along = goingAlong(plan.things, thingId),
    step = { ...by, ...(isSurface(moved) ? { y: 0 } : {}) };
  const things = placedThings(plan).map((thing): PlannedThing => {
    if (!along.has(thing.id)) return plan.things.find(({ id }) => id === thing.id)!;
    const own = isSurface(thing) ? { ...step, y: 0 } : step;
    const at = { x: clamped(thing.at.x + own.x), y: clamped(thing.at.y + own.y), z: clamped(thing.at.z + own.z) };
    const keeps = Object.fromEntries(
      PLAN_AXES.flatMap((axis) => {
        const guideId =
          (thing.id === thingId ? held[axis] : undefined) ?? (own[axis] === 0 ? thing.heldBy?.[axis] : undefined);
        return guideId === undefined ? [] : [[axis, guideId]];
      }),
    ) as HeldBy;
    const { heldBy: _before, ...rest } = thing;
    return { ...rest, at, ...(Object.keys(keeps).length > 0 ? { heldBy: keeps } : {}) } as PlannedThing;
  });
  return { label: `Move ${moved.name}`, plan: { ...plan, things } };
}

/** Where a thing would be caught as it is moved: by guides within reach along the axes that it moves in. */
export function caughtMove(
  plan: Plan,
  thingId: string,
  by: AirframePoint,
  axes: readonly PlanAxis[],
  reachMm: number,
): { readonly by: AirframePoint; readonly held: HeldBy } {
  const { at } = thingOf(plan, thingId),
    along = goingAlong(plan.things, thingId);
  const guides = placedPlanGuides(plan).filter(
    ({ guide, atMm }) => atMm !== undefined && !(guide.from.kind === 'thing' && along.has(guide.from.thingId)),
  );
  let caught = by,
    held: HeldBy = {};
  for (const axis of axes) {
    const near = guides
      .filter(({ guide }) => guide.axis === axis)
      .map(({ guide, atMm }) => ({ id: guide.id, atMm: atMm!, away: Math.abs(atMm! - at[axis] - by[axis]) }))
      .filter(({ away }) => away <= reachMm)
      .sort((a, b) => a.away - b.away)[0];
    if (!near) continue;
    caught = { ...caught, [axis]: near.atMm - at[axis] };
    held = { ...held, [axis]: near.id };
  }
  return { by: caught, held };
}

/** An object with the number at a dotted path replaced. */
function withPathSet<T>(value: T, [key, ...rest]: readonly string[], number: number): T {
  if (key === undefined) return number as T;
  if (Array.isArray(value))
    return value.map((one: unknown, index) => (index === Number(key) ? withPathSet(one, rest, number) : one)) as T;
  const record = value as Readonly<Record<string, unknown>>;
  return { ...record, [key]: withPathSet(record[key], rest, number) } as T;
}

/** Changes numbers and places of things, as a mend says; what goes along with a thing that moves follows. */
export function applyChanges(plan: Plan, changes: readonly ThingChange[]): Plan {
  return changes.reduce((now, { thingId, at, set }) => {
    let next = now;
    if (at) {
      const from = thingOf(now, thingId).at;
      next = moveThing(now, thingId, { x: at.x - from.x, y: at.y - from.y, z: at.z - from.z }).plan;
    }
    const thing = next.things.find(({ id }) => id === thingId);
    if (!thing || !set) return next;
    return withThing(
      next,
      Object.entries(set).reduce((changed, [path, number]) => withPathSet(changed, path.split('.'), number), thing),
    );
  }, plan);
}
