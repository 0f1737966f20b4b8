import type { FormField } from '../form/index.ts';

export const WING_BUILDS = ['folded', 'stepped', 'cambered', 'cored'] as const;
/** What a wing is built of: a skin folded over a spar, a plate with layers on it, a plate rolled to a camber, or foam cut with a hot wire. */
export type WingBuild = (typeof WING_BUILDS)[number];

export const LAYER_SIDES = ['top', 'bottom'] as const;
/** A layer on the plate of a stepped wing: over a part of the chord, along every panel. The first of a side lies on the plate. */
export interface WingLayer {
  readonly side: (typeof LAYER_SIDES)[number];
  readonly fromPercent: number;
  readonly toPercent: number;
}

/** How far a plate is rolled up between nose and tail, and where it is highest. */
export interface WingCamber {
  readonly heightPercent: number;
  readonly atPercent: number;
}

export const LAYER_FIELDS = {
  fromPercent: { word: 'Begins', kind: 'percent', least: 0, most: 90 },
  toPercent: { word: 'Ends', kind: 'percent', least: 5, most: 100 },
} as const satisfies Partial<Record<keyof WingLayer, FormField>>;

export const CAMBER_FIELDS = {
  heightPercent: { word: 'Camber', kind: 'percent', least: 0.5, most: 15 },
  atPercent: { word: 'Highest at', kind: 'percent', least: 15, most: 75 },
} as const satisfies Record<keyof WingCamber, FormField>;

export const MOST_LAYERS = 6;

/** Layers that a stepped wing starts with: one that reaches to nearly half the chord. */
export const USUAL_LAYERS: readonly WingLayer[] = [{ side: 'top', fromPercent: 0, toPercent: 45 }];
export const USUAL_CAMBER: WingCamber = { heightPercent: 5, atPercent: 40 };
/** Width of the strip that is peeled and rounded over at a nose: 3/16 in. */
export const USUAL_NOSE_ROUND_MM = 4.7625;
