import type { BalanceKind } from '../figures/balance-band.ts';

export const PLAN_TYPES = [
  'trainer',
  'slab hauler',
  'glider',
  'flying wing',
  'pusher',
  'biplane',
  'jet-like',
  'canard',
  'profile',
] as const;
/** What kind of model a plan is for. */
export type PlanType = (typeof PLAN_TYPES)[number];

export type Range = readonly [least: number, most: number];

/** Numbers that are usual for a type: what builders of such models begin with. */
export interface PlanTypeTraits {
  readonly word: string;
  readonly hint: string;
  readonly aspect: Range;
  /** Tip chord over root chord. */
  readonly taper: Range;
  readonly dihedralDegrees: Range;
  /** Tip's leading edge aft of the root's, in parts of the half span. */
  readonly sweepShare: Range;
  /** None without a tail. */
  readonly tailVolume?: Range;
  readonly tailAspect: Range;
  readonly finVolume: Range;
  /** From the nose to the wing, in mean chords. */
  readonly noseChords: Range;
  /** From a quarter of the wing's mean chord to a quarter of the tail's, in mean chords; below 0 it stands before the wing. */
  readonly armChords: Range;
  /** Mass over area to the power of 1.5, kg/m³. */
  readonly cubic: Range;
  readonly thrust: Range;
  readonly balance: BalanceKind;
}

const TRACTOR = { tailAspect: [3, 4.5], balance: 'flat bottom tractor' } as const;

export const TYPE_TRAITS: Readonly<Record<PlanType, PlanTypeTraits>> = {
  trainer: {
    ...TRACTOR,
    word: 'Trainer',
    hint: 'High wing, slow, rights itself',
    aspect: [5, 7],
    taper: [0.8, 1],
    dihedralDegrees: [3, 6],
    sweepShare: [0, 0.05],
    tailVolume: [0.45, 0.65],
    finVolume: [0.03, 0.045],
    noseChords: [1, 1.4],
    armChords: [2.4, 3.2],
    cubic: [5, 10],
    thrust: [0.6, 1],
  },
  'slab hauler': {
    ...TRACTOR,
    word: 'Slab hauler',
    hint: 'Straight wing of one chord, box body, carries much',
    aspect: [4.5, 6],
    taper: [0.9, 1],
    dihedralDegrees: [0, 4],
    sweepShare: [0, 0.03],
    tailVolume: [0.35, 0.6],
    finVolume: [0.025, 0.045],
    noseChords: [0.9, 1.3],
    armChords: [2.2, 2.8],
    cubic: [5, 10],
    thrust: [0.7, 1.1],
  },
  glider: {
    word: 'Glider',
    hint: 'Long wing, small motor or none',
    aspect: [9, 15],
    taper: [0.5, 0.9],
    dihedralDegrees: [5, 8],
    sweepShare: [0, 0.05],
    tailVolume: [0.4, 0.6],
    tailAspect: [4, 6],
    finVolume: [0.02, 0.035],
    noseChords: [1.2, 2],
    armChords: [3.2, 4.5],
    cubic: [3, 9],
    thrust: [0.3, 0.7],
    balance: 'glider',
  },
  'flying wing': {
    word: 'Flying wing',
    hint: 'No tail; swept, elevons',
    aspect: [4, 7],
    taper: [0.4, 0.7],
    dihedralDegrees: [0, 3],
    sweepShare: [0.25, 0.5],
    tailAspect: [3, 4],
    finVolume: [0.008, 0.03],
    noseChords: [0.4, 0.9],
    armChords: [0, 0],
    cubic: [4, 9],
    thrust: [0.6, 1.1],
    balance: 'flying wing',
  },
  pusher: {
    ...TRACTOR,
    word: 'Pusher',
    hint: 'Propeller behind the wing, nose free',
    aspect: [5, 8],
    taper: [0.7, 1],
    dihedralDegrees: [2, 5],
    sweepShare: [0, 0.05],
    tailVolume: [0.4, 0.65],
    finVolume: [0.03, 0.05],
    noseChords: [1.5, 2.2],
    armChords: [2.4, 3.2],
    cubic: [5, 10],
    thrust: [0.5, 0.9],
  },
  biplane: {
    ...TRACTOR,
    word: 'Biplane',
    hint: 'Two wings, one over the other',
    aspect: [4.5, 6.5],
    taper: [0.9, 1],
    dihedralDegrees: [0, 3],
    sweepShare: [0, 0.05],
    tailVolume: [0.4, 0.6],
    finVolume: [0.025, 0.045],
    noseChords: [0.9, 1.3],
    armChords: [2.4, 3.2],
    cubic: [4, 9],
    thrust: [0.7, 1.2],
  },
  'jet-like': {
    word: 'Jet-like',
    hint: 'Short swept wing, fast',
    aspect: [2.5, 4.5],
    taper: [0.25, 0.6],
    dihedralDegrees: [-3, 2],
    sweepShare: [0.3, 0.8],
    tailVolume: [0.3, 0.5],
    tailAspect: [2.5, 4],
    finVolume: [0.03, 0.06],
    noseChords: [1.2, 2],
    armChords: [1.5, 2.2],
    cubic: [4, 10],
    thrust: [0.7, 1.2],
    balance: 'flat plate',
  },
  canard: {
    word: 'Canard',
    hint: 'Foreplane before the wing',
    aspect: [5, 8],
    taper: [0.6, 1],
    dihedralDegrees: [0, 4],
    sweepShare: [0.05, 0.3],
    tailVolume: [0.3, 0.55],
    tailAspect: [4, 7],
    finVolume: [0.02, 0.04],
    noseChords: [2.6, 3.4],
    armChords: [-2.6, -2],
    cubic: [5, 11],
    thrust: [0.6, 1],
    balance: 'canard',
  },
  profile: {
    word: 'Profile',
    hint: 'Flat body, flat wing',
    aspect: [3.5, 5],
    taper: [0.6, 1],
    dihedralDegrees: [0, 1],
    sweepShare: [0, 0.15],
    tailVolume: [0.35, 0.55],
    tailAspect: [2.5, 4],
    finVolume: [0.03, 0.05],
    noseChords: [0.9, 1.2],
    armChords: [2, 2.6],
    cubic: [3, 7],
    thrust: [1, 1.8],
    balance: 'flat plate',
  },
};
