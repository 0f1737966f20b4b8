import type { ScaleFigures } from '@grain-fold/core/airframe';
import {
  formatLengthWithUnit,
  formatLoading,
  formatMass,
  formatSpeed,
  MM_PER_INCH,
  ouncesOf,
  toLoading,
  type LengthUnit,
} from '@grain-fold/core/units';

/** What a curve over the factor shows: a figure, in the builder's unit, and the limit that it must not pass. */
export interface CurveFigure {
  readonly key: string;
  readonly word: string;
  /** Undefined where there is none. */
  readonly amountOf: (figures: ScaleFigures) => number | undefined;
  readonly text: (amount: number, unit: LengthUnit) => string;
  /** The amount on the axis, in the builder's unit. */
  readonly onAxis: (amount: number, unit: LengthUnit) => number;
  /** Counts go in steps. */
  readonly isCount?: true;
  readonly limitOf?: (figures: ScaleFigures, limits: CurveLimits) => number | undefined;
}
/** What the workshop holds. */
export interface CurveLimits {
  readonly boards: number;
  readonly longestBoardMm: number;
}

const count = (key: string, word: string, amountOf: CurveFigure['amountOf']): CurveFigure => ({
  key,
  word,
  amountOf,
  isCount: true,
  text: (amount) => String(amount),
  onAxis: (amount) => amount,
});
const mass = { text: formatMass, onAxis: (g: number, unit: LengthUnit) => (unit === 'in' ? ouncesOf(g) : g) };
const length = {
  text: (mm: number, unit: LengthUnit) => formatLengthWithUnit(mm, unit),
  onAxis: (mm: number, unit: LengthUnit) => (unit === 'in' ? mm / MM_PER_INCH : mm),
};

/** Curves in groups of what they are asked for. */
export const CURVE_GROUPS: Readonly<Record<string, readonly CurveFigure[]>> = {
  Stock: [
    {
      ...count('boards', 'Boards', ({ boards }) => boards),
      limitOf: (_, { boards }) => boards,
    },
    count('pages', 'Pages', ({ pages }) => pages),
    { key: 'foam', word: 'Foam', amountOf: ({ foamG }) => foamG, ...mass },
    {
      key: 'longest',
      word: 'Longest part',
      amountOf: ({ longestMm }) => longestMm,
      limitOf: (_, { longestBoardMm }) => longestBoardMm,
      ...length,
    },
  ],
  Flight: [
    { key: 'mass', word: 'All-up mass', amountOf: ({ plan }) => plan.mass, ...mass },
    {
      key: 'loading',
      word: 'Wing loading',
      amountOf: ({ plan }) => plan.loading,
      text: formatLoading,
      onAxis: toLoading,
    },
    {
      key: 'cubic',
      word: 'Cubic loading',
      amountOf: ({ plan }) => plan.cubic,
      text: (amount) => amount.toFixed(1),
      onAxis: (amount) => amount,
    },
    {
      key: 'stall',
      word: 'Slowest flight',
      amountOf: ({ plan }) => plan.stall,
      text: formatSpeed,
      onAxis: (amount, unit) => (unit === 'in' ? (amount * 1000) / (12 * MM_PER_INCH) : amount),
    },
    {
      key: 'propeller',
      word: 'Under the propeller',
      amountOf: ({ propeller }) => propeller?.roomMm,
      limitOf: ({ propeller }) => propeller?.leastMm,
      ...length,
    },
  ],
};
