import type { AirframePoint } from '../../part/index.ts';

/** Guides that hold a thing, an axis each: it stands where the guide stands. */
export interface HeldBy {
  readonly x?: string;
  readonly y?: string;
  readonly z?: string;
}

/** What every planned thing has. */
interface ThingBase {
  readonly id: string;
  readonly name: string;
  /** Where it stands: what is meant by it is told with each kind. */
  readonly at: AirframePoint;
  /** Weighed or typed; worked out, or nothing, when undefined. */
  readonly massG?: number;
  readonly heldBy?: HeldBy;
  /** A thing that it moves along with. */
  readonly goesWith?: string;
}

/** A chord of one half, counted along the panels from the root. */
export interface SurfaceStation {
  readonly outMm: number;
  /** Leading edge, aft of the root's. */
  readonly sweepMm: number;
  /** 0 only at a pointed tip. */
  readonly chordMm: number;
}

/** A part of a surface that moves, hinged across the whole of it: from one place out to another. */
export interface ControlSurface {
  readonly fromMm: number;
  readonly toMm: number;
  readonly chordMm: number;
  readonly upDegrees: number;
  readonly downDegrees: number;
}

export const SURFACE_KINDS = ['wing', 'tail', 'fin'] as const;
/** A wing, a tail (a foreplane too, or a V by its angle), or a fin. `at` is the root's leading edge, in the middle; of a fin its foot. */
export interface SurfaceThing extends ThingBase {
  readonly kind: (typeof SURFACE_KINDS)[number];
  /** At least two, from the root out; a fin's go up. */
  readonly stations: readonly SurfaceStation[];
  /** Of each panel from level, one fewer than stations: dihedral of a wing, cant of a V-tail; a fin's are 90 less its lean. */
  readonly angles: readonly number[];
  readonly incidenceDegrees: number;
  readonly thicknessMm: number;
  /** Between two fins; 0 for one in the middle, and for wings and tails. */
  readonly apartMm: number;
  readonly control?: ControlSurface;
}

/** Heights and width of a body at a place, counted from where the body stands. */
export interface BodyStation {
  readonly aftMm: number;
  readonly bottomMm: number;
  readonly topMm: number;
  readonly widthMm: number;
}
/** A body, pod or boom: straight between its stations. `at` is its nose. */
export interface BodyThing extends ThingBase {
  readonly kind: 'body';
  readonly stations: readonly BodyStation[];
}

/** A wheel, or a skid's foot, or two of them. `at` is the top of the leg: the middle of the wheel hangs the leg's length below. */
export interface WheelThing extends ThingBase {
  readonly kind: 'wheel';
  readonly diameterMm: number;
  readonly widthMm: number;
  /** Between two wheels; 0 for one. */
  readonly apartMm: number;
  readonly legMm: number;
}

/** The disc that a propeller sweeps. `at` is its middle. */
export interface PropellerThing extends ThingBase {
  readonly kind: 'propeller';
  readonly diameterMm: number;
  /** Depth of the blades, along the shaft. */
  readonly depthMm: number;
}

export const BOX_KINDS = ['motor', 'pack', 'servo', 'receiver', 'speed control', 'deck'] as const;
/** Something that takes room: a motor, a pack, a servo, a pilot figure or deck. `at` is its middle. */
export interface BoxThing extends ThingBase {
  readonly kind: (typeof BOX_KINDS)[number];
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** What a motor takes, or a pack gives, at most. */
  readonly powerW?: number;
}

/** Something of an airframe that is planned: drawn in all views, dragged in any. Its id never changes, so that a form can be made from it. */
export type PlannedThing = SurfaceThing | BodyThing | WheelThing | PropellerThing | BoxThing;
export type ThingKind = PlannedThing['kind'];
export const THING_KINDS: readonly ThingKind[] = [...SURFACE_KINDS, 'body', 'wheel', 'propeller', ...BOX_KINDS];

export const isSurface = (thing: PlannedThing): thing is SurfaceThing =>
  thing.kind === 'wing' || thing.kind === 'tail' || thing.kind === 'fin';
export const isBox = (thing: PlannedThing): thing is BoxThing =>
  (BOX_KINDS as readonly ThingKind[]).includes(thing.kind);

/** Words of the kinds, as they begin a name. */
export const THING_WORDS: Readonly<Record<ThingKind, string>> = {
  wing: 'Wing',
  tail: 'Tail',
  fin: 'Fin',
  body: 'Body',
  wheel: 'Wheel',
  propeller: 'Propeller',
  motor: 'Motor',
  pack: 'Pack',
  servo: 'Servo',
  receiver: 'Receiver',
  'speed control': 'Speed control',
  deck: 'Pilot or deck',
};
