import type { MEASURED_AGAINST } from '../standing/index.ts';
import { lengthField, type FormField, type FormOf } from '../form/index.ts';

/** What is held into or under what, or measured against it. */
export const GAUGE_KINDS = ['angle', 'cradle', 'profile', 'block', 'throw', 'square', 'balance'] as const;
export type GaugeKind = (typeof GAUGE_KINDS)[number];
/** How the back of a profile runs: level as the airframe stands, or along the chord of what it lies on. */
export const PROFILE_BACKS = ['level', 'chord'] as const;

/** One thing that is gauged. Which of its numbers count is told by its kind. */
export interface Gauge {
  readonly id: string;
  readonly kind: GaugeKind;
  /** Printed on it, and part of its name. */
  readonly name: string;
  readonly partId: string;
  /** Of an angle: what it is measured from. */
  readonly against: (typeof MEASURED_AGAINST)[number];
  /** Of an angle the other part; of a square what both sides are measured from. */
  readonly againstId: string;
  /** Of a cradle, profile or block: the station, out from the middle to port. Of a balance stand: each point out from the middle. */
  readonly outMm: number;
  /** How far the arms of an angle reach at most. */
  readonly reachMm: number;
  readonly back: (typeof PROFILE_BACKS)[number];
  /** Of a throw: as deep as what is hinged is, and how far it travels. */
  readonly chordMm: number;
  readonly upDegrees: number;
  readonly downDegrees: number;
  /** Of a throw: the form whose control it is, and which; its numbers follow that as long as it is there. */
  readonly formId?: string;
  readonly control?: string;
  /** Of a balance stand: aft in the airframe. */
  readonly aftMm: number;
  readonly quantity: number;
}

/** All that is said of a set of gauges. */
export interface GaugeParameters {
  readonly material: string;
  /** The variant that they are cut in; all of them when undefined. */
  readonly variant?: string;
  readonly gauges: readonly Gauge[];
}

/** A form that makes gauges for what stands. */
export type GaugeForm = FormOf<'gauge', GaugeParameters>;

/** A gauge's name is printed on it with what it lies on. */
export const LONGEST_GAUGE_NAME = 40;
/** Gauges of one form at most. */
export const MOST_GAUGES = 40;

export const ANGLE_GAUGE_FIELDS = {
  reachMm: lengthField('Arms reach at most', 20, 400),
} as const satisfies Partial<Record<keyof Gauge, FormField>>;
export const STATION_GAUGE_FIELDS = {
  outMm: lengthField('Out from the middle', 0, 3000),
} as const satisfies Partial<Record<keyof Gauge, FormField>>;
export const THROW_GAUGE_FIELDS = {
  chordMm: lengthField('From the hinge to the edge', 5, 500),
  upDegrees: { word: 'Travels up, or to port', kind: 'angle', least: 0, most: 80 },
  downDegrees: { word: 'Travels down, or to starboard', kind: 'angle', least: 0, most: 80 },
} as const satisfies Partial<Record<keyof Gauge, FormField>>;
export const BALANCE_GAUGE_FIELDS = {
  aftMm: lengthField('Balances aft of the datum', -5000, 5000),
} as const satisfies Partial<Record<keyof Gauge, FormField>>;
export const GAUGE_COUNT_FIELDS = {
  quantity: { word: 'Cut', kind: 'count', least: 1, most: 20 },
} as const satisfies Partial<Record<keyof Gauge, FormField>>;

/** The numbers that count for a kind of gauge. */
export const GAUGE_FIELDS_OF: Readonly<Record<GaugeKind, Readonly<Record<string, FormField>>>> = {
  angle: ANGLE_GAUGE_FIELDS,
  cradle: STATION_GAUGE_FIELDS,
  profile: STATION_GAUGE_FIELDS,
  block: STATION_GAUGE_FIELDS,
  throw: THROW_GAUGE_FIELDS,
  square: {},
  balance: { ...BALANCE_GAUGE_FIELDS, ...STATION_GAUGE_FIELDS },
};

/** A gauge with usual numbers where nothing else is said. */
export const gaugeWith = (own: Pick<Gauge, 'id' | 'kind' | 'name' | 'partId'> & Partial<Gauge>): Gauge => ({
  against: 'table',
  againstId: '',
  outMm: 0,
  reachMm: 80,
  back: 'level',
  chordMm: 30,
  upDegrees: 20,
  downDegrees: 20,
  aftMm: 0,
  quantity: 1,
  ...own,
});
