import { lengthField, type FormField, type FormOf } from '../form/index.ts';
import type { RollSkins } from '../rolled/index.ts';

export const PROFILE_WAYS = ['straight', 'curved'] as const;
export const ROUND_SEAMS = ['below', 'above'] as const;

/** How wide a round is across, outside, at a place along its axis. */
export interface RoundStation {
  readonly id: string;
  readonly aftMm: number;
  readonly acrossMm: number;
}

/** A ring or a disc across a round. Its fore face stands at its place. */
export interface RoundRing {
  readonly id: string;
  readonly aftMm: number;
  /** Width that is left round a hole in it; a full disc when 0. */
  readonly rimMm: number;
  /** Sheet that it is cut from; that of the round when undefined. */
  readonly material?: string;
}

/** All that is said of a round: a stack of rolled cylinders and frusta on one axis. Everything else is worked out. */
export interface RoundParameters {
  readonly material: string;
  readonly stations: readonly RoundStation[];
  /** Straight from station to station, or a curve through them that frusta follow as nearly as so many can. */
  readonly profile: (typeof PROFILE_WAYS)[number];
  readonly frusta: number;
  readonly skins: RollSkins;
  readonly neutralPercent?: number;
  readonly seam: (typeof ROUND_SEAMS)[number];
  readonly rings: readonly RoundRing[];
}

/** A form that makes a round. */
export type RoundForm = FormOf<'round', RoundParameters>;

export const ROUND_FIELDS = {
  frusta: { word: 'Frusta', kind: 'count', least: 1, most: 12 },
  neutralPercent: {
    word: 'Neutral line, % deep',
    kind: 'count',
    least: 0,
    most: 100,
    isOptional: true,
  },
} as const satisfies Partial<Record<keyof RoundParameters, FormField>>;
export const ROUND_STATION_FIELDS = {
  aftMm: lengthField('Behind the datum', 0, 4000),
  acrossMm: lengthField('Across, outside', 8, 1000),
} as const satisfies Partial<Record<keyof RoundStation, FormField>>;
export const RING_FIELDS = {
  aftMm: lengthField('Fore face at', 0, 4000),
  rimMm: lengthField('Rim round its hole', 0, 200),
} as const satisfies Partial<Record<keyof RoundRing, FormField>>;

export const MOST_ROUND_STATIONS = 12;
export const MOST_RINGS = 16;
