import type { FormField } from '../form/index.ts';

/** Which gauges are cut beside a wing. */
export interface WingGauges {
  /** Cradles under the stations: on the table they hold dihedral, incidence and washout. */
  readonly hasCradles: boolean;
  /** Angles that are held under the joints. */
  readonly hasJoints: boolean;
  /** The upper face of a rolled plate at each station. */
  readonly hasCamber: boolean;
  readonly hasThrows: boolean;
  /** A stand with two points, and marks on the underside where they go. */
  readonly hasBalance: boolean;
  /** Where it balances, in per cent of the mean chord. */
  readonly balancePercent: number;
}

export const GAUGE_FIELDS = {
  balancePercent: { word: 'Balances at', kind: 'percent', least: 5, most: 60 },
} as const satisfies Partial<Record<keyof WingGauges, FormField>>;

export const NO_GAUGES: WingGauges = {
  hasCradles: false,
  hasJoints: false,
  hasCamber: false,
  hasThrows: false,
  hasBalance: false,
  balancePercent: 28,
};
