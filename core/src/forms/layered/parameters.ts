import type { BodySeat, LINE_WAYS } from '../body/index.ts';
import { lengthField, type FormField, type FormOf } from '../form/index.ts';

/** How a layer is opened: a bay within it, or a notch from its upper or lower edge. */
export const LAYER_OPENINGS = ['bay', 'notch above', 'notch below'] as const;
/** Through the layers of which side a bay goes. */
export const LAYER_OPENING_SIDES = ['both', 'port', 'starboard'] as const;
export const DOWEL_SLIT_EDGES = ['above', 'below'] as const;

/** Heights of a profile body at a place. */
export interface LayeredStation {
  readonly id: string;
  readonly aftMm: number;
  readonly bottomMm: number;
  readonly topMm: number;
}

/** An opening in some of the layers: for a pack, a servo, a fin, a stiffener. Layers count from the outside, on either side. */
export interface LayerOpening {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof LAYER_OPENINGS)[number];
  readonly side: (typeof LAYER_OPENING_SIDES)[number];
  readonly fromLayer: number;
  readonly toLayer: number;
  readonly fromMm: number;
  readonly lengthMm: number;
  /** Of the middle of a bay. */
  readonly upMm: number;
  /** Of a bay; how deep a notch goes. */
  readonly heightMm: number;
}

/** A layer, with its fellow on the other side, that does not reach from nose to tail. */
export interface LayerReach {
  readonly id: string;
  readonly layer: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** A slit in an edge that a dowel or a strip is pressed into. */
export interface DowelSlit {
  readonly id: string;
  readonly edge: (typeof DOWEL_SLIT_EDGES)[number];
  readonly aftMm: number;
  readonly acrossMm: number;
  readonly deepMm: number;
}

/** A plate before the nose that bears the motor. */
export interface NosePlate {
  readonly material: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly plates: number;
}

/** All that is said of a profile body of layers. Everything else is worked out. */
export interface LayeredParameters {
  readonly material: string;
  readonly layers: number;
  readonly topLine: (typeof LINE_WAYS)[number];
  readonly bottomLine: (typeof LINE_WAYS)[number];
  readonly stations: readonly LayeredStation[];
  readonly openings: readonly LayerOpening[];
  readonly reaches: readonly LayerReach[];
  readonly slits: readonly DowelSlit[];
  readonly seats: readonly BodySeat[];
  readonly nosePlate?: NosePlate;
}

/** A form that makes a profile body. */
export type LayeredForm = FormOf<'layered', LayeredParameters>;

export const MOST_LAYERED_STATIONS = 24;
export const MOST_LAYER_OPENINGS = 24;
export const MOST_LAYER_REACHES = 8;
export const MOST_SLITS = 16;

const countField = (word: string, least: number, most: number): FormField => ({ word, kind: 'count', least, most });
const placeField = (word: string): FormField => lengthField(word, 0, 4000);

export const LAYERED_FIELDS = {
  layers: countField('Layers', 1, 8),
} as const satisfies Partial<Record<keyof LayeredParameters, FormField>>;
export const LAYERED_STATION_FIELDS = {
  aftMm: placeField('Aft of the nose'),
  topMm: lengthField('Top', -1000, 2000),
  bottomMm: lengthField('Bottom', -1000, 2000),
} as const satisfies Partial<Record<keyof LayeredStation, FormField>>;
export const LAYER_OPENING_FIELDS = {
  fromMm: placeField('From, aft of the nose'),
  lengthMm: lengthField('Length', 1, 2000),
  heightMm: lengthField('Height, or depth of a notch', 1, 500),
  upMm: lengthField('Its middle, up', -1000, 2000),
  fromLayer: countField('From layer, counted from outside', 1, 4),
  toLayer: countField('to layer', 1, 4),
} as const satisfies Partial<Record<keyof LayerOpening, FormField>>;
export const LAYER_REACH_FIELDS = {
  layer: countField('Layer, counted from outside', 1, 4),
  fromMm: placeField('From, aft of the nose'),
  toMm: placeField('To'),
} as const satisfies Partial<Record<keyof LayerReach, FormField>>;
export const SLIT_FIELDS = {
  aftMm: placeField('Aft of the nose'),
  acrossMm: lengthField('Dowel, across', 0.5, 20),
  deepMm: lengthField('Deep', 0.5, 200),
} as const satisfies Partial<Record<keyof DowelSlit, FormField>>;
export const NOSE_PLATE_FIELDS = {
  widthMm: lengthField('Width', 10, 200),
  heightMm: lengthField('Height', 10, 200),
  plates: countField('Plates', 1, 4),
} as const satisfies Partial<Record<keyof NosePlate, FormField>>;
