import { lengthField, type FormField, type FormOf } from '../form/index.ts';

export const FIN_PLACES = ['middle', 'tips'] as const;
export const ELEVATOR_HALVES = ['one', 'two'] as const;
export const ELEVATOR_TAPES = ['top', 'bottom'] as const;
export const CLEARED_SURFACES = ['elevator', 'rudder'] as const;

/** The level plate: its fixed part before the hinge. */
export interface Stabiliser {
  readonly spanMm: number;
  /** Of the fixed part, in the middle and at the tip. */
  readonly rootMm: number;
  readonly tipMm: number;
  /** How far the tip's nose lies behind the middle's. */
  readonly sweepMm: number;
}

/** What moves behind the stabiliser. */
export interface Elevator {
  readonly rootMm: number;
  readonly tipMm: number;
  readonly upDegrees: number;
  readonly downDegrees: number;
  readonly halves: (typeof ELEVATOR_HALVES)[number];
  readonly tape: (typeof ELEVATOR_TAPES)[number];
  /** Of a balance tab at each tip: along the span, and before the hinge; none when 0. */
  readonly tabMm: number;
  readonly tabForeMm: number;
  /** Of the wire that joins two halves. */
  readonly joinerMm: number;
  /** Where the horn stands, out of the middle. */
  readonly hornMm: number;
}

/** The upright plate, or one at each tip: its fixed part before the hinge. */
export interface Fin {
  readonly place: (typeof FIN_PLACES)[number];
  /** How far its foot's nose lies behind that of the stabiliser, there where it stands. */
  readonly aftMm: number;
  readonly heightMm: number;
  readonly rootMm: number;
  readonly tipMm: number;
  readonly sweepMm: number;
  /** How far a fin at the tip reaches below the stabiliser's top. */
  readonly belowMm: number;
  /** Whether a tab of it goes through a slot in the stabiliser. */
  readonly hasTab: boolean;
}

/** What moves behind a fin. */
export interface Rudder {
  readonly rootMm: number;
  readonly tipMm: number;
  readonly travelDegrees: number;
  /** Of its foot over the stabiliser's top; below 0 it reaches down past it. */
  readonly footMm: number;
  /** Of a balance tab at its top: along the height, and before the hinge; none when 0. */
  readonly tabMm: number;
  readonly tabForeMm: number;
  /** Where the horn stands, over the stabiliser's top. */
  readonly hornMm: number;
}

/** All that is said of a tail of flat plates. Everything else is worked out. */
export interface TailParameters {
  readonly material: string;
  readonly stabiliser: Stabiliser;
  readonly elevator?: Elevator;
  readonly fin?: Fin;
  readonly rudder?: Rudder;
  /** What is cut back where elevator and rudder want one place. */
  readonly yields: (typeof CLEARED_SURFACES)[number];
  /** Between what moves and what it could touch. */
  readonly gapMm: number;
}

/** A form that makes a tail. */
export type TailForm = FormOf<'tail', TailParameters>;

const degreesField = (word: string, most: number): FormField => ({ word, kind: 'angle', least: 0, most });

export const TAIL_FIELDS = {
  gapMm: lengthField('Room between what moves', 0.3, 20),
} as const satisfies Partial<Record<keyof TailParameters, FormField>>;
export const STABILISER_FIELDS = {
  spanMm: lengthField('Span, tip to tip', 40, 3000),
  rootMm: lengthField('Before the hinge, in the middle', 10, 800),
  tipMm: lengthField('Before the hinge, at the tip', 5, 800),
  sweepMm: lengthField('Tip’s nose behind', -200, 600),
} as const satisfies Partial<Record<keyof Stabiliser, FormField>>;
export const ELEVATOR_FIELDS = {
  rootMm: lengthField('Chord in the middle', 8, 500),
  tipMm: lengthField('Chord at the tip', 5, 500),
  upDegrees: degreesField('Travels up', 60),
  downDegrees: degreesField('Travels down', 60),
  hornMm: lengthField('Horn, out of the middle', 0, 1500),
} as const satisfies Partial<Record<keyof Elevator, FormField>>;
export const BALANCE_TAB_FIELDS = {
  tabMm: lengthField('Balance tab, along the hinge', 0, 300),
  tabForeMm: lengthField('Balance tab, before the hinge', 0, 300),
} as const satisfies Partial<Record<keyof Elevator & keyof Rudder, FormField>>;
export const JOINER_FIELDS = {
  joinerMm: lengthField('Wire that joins both halves', 0.5, 6),
} as const satisfies Partial<Record<keyof Elevator, FormField>>;
export const FIN_FIELDS = {
  aftMm: lengthField('Foot’s nose behind the stabiliser’s', -500, 800),
  heightMm: lengthField('Height', 20, 800),
  rootMm: lengthField('Before the hinge, at the foot', 8, 800),
  tipMm: lengthField('Before the hinge, at the top', 4, 800),
  sweepMm: lengthField('Top’s nose behind', -200, 600),
} as const satisfies Partial<Record<keyof Fin, FormField>>;
export const TIP_FIN_FIELDS = {
  belowMm: lengthField('Reaches below', 0, 400),
} as const satisfies Partial<Record<keyof Fin, FormField>>;
export const RUDDER_FIELDS = {
  rootMm: lengthField('Chord at its foot', 6, 500),
  tipMm: lengthField('Chord at its top', 4, 500),
  travelDegrees: degreesField('Travels either way', 60),
  footMm: lengthField('Foot over the stabiliser', -300, 300),
  hornMm: lengthField('Horn, over the stabiliser', -300, 800),
} as const satisfies Partial<Record<keyof Rudder, FormField>>;
