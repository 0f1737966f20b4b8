import type { Range } from '../proposals/plan-types.ts';

export type PlanFigureKey =
  | 'area'
  | 'span'
  | 'aspect'
  | 'taper'
  | 'meanChord'
  | 'tailVolume'
  | 'finVolume'
  | 'neutral'
  | 'balance'
  | 'balanceFromNose'
  | 'balanceAlongEdge'
  | 'mass'
  | 'massBalance'
  | 'loading'
  | 'cubic'
  | 'stall'
  | 'thrust';

/** A figure of a plan: what it is, how it was found, and what is usual. */
export interface PlanFigure {
  readonly key: PlanFigureKey;
  readonly word: string;
  /** Worded in the builder's unit. */
  readonly text: string;
  /** The number itself: mm, mm², g, m/s, or plain. */
  readonly amount: number;
  /** What is usual for the type, in the same number. */
  readonly usual?: Range;
  readonly usualText?: string;
  /** Beside what is usual: below -1, within 0, above 1. */
  readonly beside: -1 | 0 | 1;
  /** Step by step. */
  readonly working: readonly string[];
  /** Which formula or school it comes from. */
  readonly source: string;
}

const besideOf = (amount: number, [least, most]: Range): -1 | 0 | 1 => (amount < least ? -1 : amount > most ? 1 : 0);
/** Where ranges that are usual come from. */
export const BEGIN = 'what builders of this type begin with';

/** A figure as it is made: what is usual is worded and set beside it. */
interface Made {
  readonly key: PlanFigureKey;
  readonly word: string;
  readonly text: string;
  readonly amount: number;
  readonly usual?: Range;
  readonly usualWith?: (amount: number) => string;
  readonly working: readonly string[];
  readonly source: string;
}
export const figure = ({ usual, usualWith, ...made }: Made): PlanFigure =>
  usual
    ? {
        ...made,
        usual,
        usualText: usual.map((one) => (usualWith ? usualWith(one) : String(one))).join(' to '),
        beside: besideOf(made.amount, usual),
      }
    : { ...made, beside: 0 };
