import type { Point } from '../../geometry/index.ts';
import type { PlanAxis, PlanView } from '../plan-view.ts';
import type { PlannedThing } from '../things/thing.ts';

/** Lines that show a motion in a view: what is swept, the ground, a line of sight. */
export interface SweptShape {
  readonly view: PlanView;
  readonly points: readonly Point[];
  readonly isClosed: boolean;
  readonly kind: 'swept' | 'ground' | 'sight';
}

/** Numbers of a thing changed, or its place: what a mend does. */
export interface ThingChange {
  readonly thingId: string;
  readonly at?: PlannedThing['at'];
  readonly set?: Readonly<Record<string, number>>;
}
/** What one click does about a fault of a plan. */
export interface PlanMend {
  readonly label: string;
  readonly changes: readonly ThingChange[];
  /** Everything that is drawn in a view, and its underlays, shifted along an axis. */
  readonly shift?: { readonly view: PlanView; readonly axis: PlanAxis; readonly byMm: number };
  /** A drawn line stretched along an axis so that its ends come to others. */
  readonly fit?: {
    readonly lineId: string;
    readonly axis: PlanAxis;
    readonly from: readonly [number, number];
    readonly to: readonly [number, number];
  };
  /** A guide that is counted from the datum again. */
  readonly guideFromDatum?: string;
}

/** How far two things stay from each other through their whole motion, or an angle that they may turn. */
export interface Clearance {
  readonly key: string;
  readonly word: string;
  /** In mm, below 0 where they meet; or degrees. */
  readonly amount: number;
  readonly quantity: 'length' | 'angle';
  /** Least that is safe; an angle also has a most. */
  readonly least: number;
  readonly most?: number;
  readonly thingIds: readonly string[];
  readonly swept: readonly SweptShape[];
  /** Where it is tightest. */
  readonly place?: { readonly view: PlanView; readonly at: Point };
  /** How it was found, for the builder. */
  readonly told: string;
  readonly mends: readonly PlanMend[];
}

export const isTooLittle = ({ amount, least, most }: Clearance): boolean =>
  amount < least - 1e-9 || (most !== undefined && amount > most + 1e-9);
