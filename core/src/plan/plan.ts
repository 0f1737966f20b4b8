import type { DrawnPath } from '../paths/index.ts';
import type { BalanceKind } from './figures/balance-band.ts';
import type { MeasuredModel } from './measured/measured-model.ts';
import type { PlannedThing } from './things/thing.ts';
import type { PlanSheet } from './underlays/sheet.ts';
import type { Underlay } from './underlays/underlay.ts';
import type { PlanAxis, PlanView } from './plan-view.ts';
import type { PlanType } from './proposals/plan-types.ts';

/** Edges of a thing that guides are counted from, by the axis: fore and aft, inner and outer, bottom and top. */
export const GUIDE_EDGES = ['fore', 'aft', 'inner', 'outer', 'bottom', 'top'] as const;
export type GuideEdge = (typeof GUIDE_EDGES)[number];

/** What a guide's distance is counted from: the datum, another guide, or an edge of a thing. */
export type GuideFrom =
  | { readonly kind: 'datum' }
  | { readonly kind: 'guide'; readonly guideId: string }
  | { readonly kind: 'thing'; readonly thingId: string; readonly edge: GuideEdge };

/** A named place across an axis, seen in both views that share it; one across x is a station. */
export interface PlanGuide {
  readonly id: string;
  readonly name: string;
  readonly axis: PlanAxis;
  readonly from: GuideFrom;
  readonly byMm: number;
}

/** A path drawn in a view, in the view's own axes. */
export interface ViewLine extends DrawnPath {
  readonly name: string;
  readonly view: PlanView;
}

/** How the balance range is found: a part of the mean chord by type, or the neutral point less a margin. */
export type PlanSchool =
  | { readonly kind: 'part of mean chord'; readonly of: BalanceKind }
  | { readonly kind: 'neutral point less margin'; readonly least: number; readonly most: number };

/** What flight figures are worked out with. */
export interface PlanAir {
  /** Greatest lift coefficient that the section reaches. */
  readonly liftCoefficient: number;
  /** kg/m³. */
  readonly density: number;
  /** Part of the ideal thrust that the propeller reaches. */
  readonly shareOfIdeal: number;
}

/** The things of a plan as they might be: laid under the present ones to compare. */
export interface WhatIf {
  readonly id: string;
  readonly name: string;
  readonly things: readonly PlannedThing[];
}

/** The plan of an airframe: three views that share its axes, what is planned in them, and what they were drawn from. */
export interface Plan {
  readonly type: PlanType;
  readonly school: PlanSchool;
  readonly air: PlanAir;
  readonly things: readonly PlannedThing[];
  readonly guides: readonly PlanGuide[];
  readonly lines: readonly ViewLine[];
  readonly sheets: readonly PlanSheet[];
  readonly underlays: readonly Underlay[];
  readonly whatIfs: readonly WhatIf[];
  readonly measured?: MeasuredModel;
  /** Length of the car or shelf that the longest piece must go into. */
  readonly carMm?: number;
  /** Count of ids given out so far, so that an id is never used twice. */
  readonly lastId: number;
}

/** A plan with nothing in it. */
export const EMPTY_PLAN: Plan = {
  type: 'trainer',
  school: { kind: 'part of mean chord', of: 'flat bottom tractor' },
  air: { liftCoefficient: 1.1, density: 1.225, shareOfIdeal: 0.6 },
  things: [],
  guides: [],
  lines: [],
  sheets: [],
  underlays: [],
  whatIfs: [],
  lastId: 0,
};

/** The next id of a plan, and the plan that has given it out. */
export const freshPlanId = (plan: Plan, prefix: string): readonly [id: string, plan: Plan] => [
  `${prefix}${plan.lastId + 1}`,
  { ...plan, lastId: plan.lastId + 1 },
];

/** Whether nothing was planned yet. */
export const isEmptyPlan = ({ things, lines, sheets, guides, measured }: Plan): boolean =>
  things.length + lines.length + sheets.length + guides.length === 0 && !measured;
