import { memo } from '../units/index.ts';
import { boxOfThing } from './things/thing-box.ts';
import { isSurface, type PlannedThing } from './things/thing.ts';
import type { GuideEdge, Plan, PlanGuide } from './plan.ts';
import { PLAN_AXES, type PlanAxis } from './plan-view.ts';

/** The edges of things that a guide across an axis can be counted from. */
export const EDGES_OF_AXIS: Readonly<Record<PlanAxis, readonly [GuideEdge, GuideEdge]>> = {
  x: ['fore', 'aft'],
  y: ['inner', 'outer'],
  z: ['bottom', 'top'],
};

/** What holds a guide up: a ring of guides has no place. */
const DEEPEST = 40;

/** Where an edge of a thing lies across its axis. */
function edgeOf(thing: PlannedThing, edge: GuideEdge): number {
  const { min, max } = boxOfThing(thing);
  switch (edge) {
    case 'fore':
      return min.x;
    case 'aft':
      // The root of a surface is what is measured to on a bench.
      return isSurface(thing) ? thing.at.x + thing.stations[0]!.chordMm : max.x;
    case 'inner':
      return thing.at.y;
    case 'outer':
      return max.y;
    case 'bottom':
      return min.z;
    case 'top':
      return max.z;
  }
}

/** Where guides stand and things are held, worked out together: a guide may hang on a thing that another guide holds. */
class Places {
  private readonly guideAt = new Map<string, number | undefined>();
  private readonly thingAt = new Map<string, PlannedThing>();
  constructor(
    private readonly plan: Pick<Plan, 'guides' | 'things'>,
    private readonly deep = new Set<string>(),
  ) {}

  guide(id: string): number | undefined {
    if (this.guideAt.has(id)) return this.guideAt.get(id);
    const guide = this.plan.guides.find((one) => one.id === id);
    if (!guide || this.deep.has(id) || this.deep.size > DEEPEST) return undefined;
    this.deep.add(id);
    const base = this.base(guide);
    this.deep.delete(id);
    const at = base === undefined ? undefined : base + guide.byMm;
    this.guideAt.set(id, at);
    return at;
  }
  private base({ from }: PlanGuide): number | undefined {
    switch (from.kind) {
      case 'datum':
        return 0;
      case 'guide':
        return this.guide(from.guideId);
      case 'thing': {
        const thing = this.plan.things.find(({ id }) => id === from.thingId);
        return thing && edgeOf(this.thing(thing), from.edge);
      }
    }
  }
  thing(thing: PlannedThing): PlannedThing {
    const known = this.thingAt.get(thing.id);
    if (known) return known;
    const held = thing.heldBy;
    if (!held) return thing;
    const at = Object.fromEntries(
      PLAN_AXES.map((axis) => [
        axis,
        (held[axis] === undefined ? undefined : this.guide(held[axis])) ?? thing.at[axis],
      ]),
    ) as unknown as PlannedThing['at'];
    const placed = PLAN_AXES.every((axis) => at[axis] === thing.at[axis]) ? thing : { ...thing, at };
    this.thingAt.set(thing.id, placed);
    return placed;
  }
}

/** The things of a plan where their guides hold them. Remembered by the plan. */
export const placedThings: (plan: Pick<Plan, 'guides' | 'things'>) => readonly PlannedThing[] = memo(
  (plan: Pick<Plan, 'guides' | 'things'>) => {
    if (plan.things.every(({ heldBy }) => !heldBy)) return plan.things;
    const places = new Places(plan);
    return plan.things.map((thing) => places.thing(thing));
  },
);

/** A guide where it stands; `atMm` undefined when what it is counted from is gone or hangs on itself. */
export interface PlacedGuide {
  readonly guide: PlanGuide;
  readonly atMm: number | undefined;
}
/** The guides of a plan where they stand. Remembered by the plan. */
export const placedPlanGuides: (plan: Pick<Plan, 'guides' | 'things'>) => readonly PlacedGuide[] = memo(
  (plan: Pick<Plan, 'guides' | 'things'>) => {
    const places = new Places(plan);
    return plan.guides.map((guide) => ({ guide, atMm: places.guide(guide.id) }));
  },
);
