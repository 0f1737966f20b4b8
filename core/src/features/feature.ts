import type { Point } from '../geometry/index.ts';

/** An edge of the drawing that a feature stands on. */
export interface FeatureEdge {
  readonly pathId: string;
  readonly segmentId: string;
}

export const FEATURE_SIZINGS = ['scaled', 'fixed'] as const;
export type FeatureSizing = (typeof FEATURE_SIZINGS)[number];

interface FeatureBase {
  readonly id: string;
  readonly label: string;
  /** Variants in which it exists; always when undefined. */
  readonly variants?: readonly string[];
  /** Whether its own lengths grow with the airframe or stay, when the builder says otherwise than its kind does. */
  readonly sizing?: FeatureSizing;
}
interface PlacedBase extends FeatureBase {
  /** Its middle. */
  readonly at: Point;
  readonly angleDegrees: number;
}

/** Opening that saves mass: a rectangle with rounded corners, up to a circle. Grows with the part. */
export interface Lightening extends PlacedBase {
  readonly kind: 'lightening';
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly cornerMm: number;
}
/** Round hole for a dowel or a tube. */
export interface Dowel extends PlacedBase {
  readonly kind: 'dowel';
  readonly diameterMm: number;
  readonly fitMm: number;
}
/** Opening for a wire or a cable that goes through the board at a lean. */
export interface Wire extends PlacedBase {
  readonly kind: 'wire';
  readonly diameterMm: number;
  readonly fitMm: number;
  readonly leanDegrees: number;
}
/** Opening for a finger, rounded at both ends. */
export interface Finger extends PlacedBase {
  readonly kind: 'finger';
  readonly lengthMm: number;
  readonly widthMm: number;
}
/** Opening for a servo's case, with the holes of its screws. */
export interface Servo extends PlacedBase {
  readonly kind: 'servo';
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly fitMm: number;
  /** Middle to middle of the screws; 0 for none. */ readonly screwsMm: number;
}
/** Lid cut from the board: loose, or folding on the skin of one long side. */
export interface Hatch extends PlacedBase {
  readonly kind: 'hatch';
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly cornerMm: number;
  readonly opens: 'loose' | 'folds';
}
/** Where the airframe must balance: a quartered ring. */
export interface BalanceMark extends PlacedBase {
  readonly kind: 'balance';
}
/** Words in single strokes. */
export interface Lettering extends PlacedBase {
  readonly kind: 'lettering';
  readonly text: string;
  readonly heightMm: number;
}
/** Row of slots for a row of tabs of another part. */
export interface Slots extends PlacedBase {
  readonly kind: 'slots';
  /** Tab row, as `part id/feature id`; empty while none is chosen. */
  readonly mate: string;
  readonly slantDegrees: number;
  readonly fitMm: number;
}
/** Row of tabs on a straight edge, as long as the plate that they go through is thick. */
export interface Tabs extends FeatureBase {
  readonly kind: 'tabs';
  readonly on: FeatureEdge;
  readonly count: number;
  readonly lengthMm: number;
  /** Material of the plate that they go through. */
  readonly material: string;
  readonly reachMm: number | 'auto';
}
/** Foam taken away along a straight edge so that another plate lies in it. */
export interface Lap extends FeatureBase {
  readonly kind: 'lap';
  readonly on: FeatureEdge;
  /** Material of the plate that lies in it. */ readonly material: string;
  readonly widthMm: number | 'auto';
  readonly depthMm: number | 'auto';
}
/** Marks across the part at places along an edge. */
export interface Stations extends FeatureBase {
  readonly kind: 'stations';
  readonly on: FeatureEdge;
  readonly places: readonly { readonly atMm: number; readonly name: string }[];
  readonly across: 'square' | 'upright' | 'level';
}

/** A thing with a meaning that becomes holes, lines and edges when the part is made exact. It holds numbers and references, no outline. */
export type Feature =
  Lightening | Dowel | Wire | Finger | Servo | Hatch | BalanceMark | Lettering | Slots | Tabs | Lap | Stations;
export type FeatureKind = Feature['kind'];
export type EdgeFeature = Extract<Feature, { on: FeatureEdge }>;
export const isOnEdge = (feature: Feature): feature is EdgeFeature => 'on' in feature;
export const FEATURE_KINDS: readonly FeatureKind[] = [
  'tabs',
  'slots',
  'lap',
  'lightening',
  'dowel',
  'wire',
  'finger',
  'servo',
  'hatch',
  'balance',
  'stations',
  'lettering',
];
