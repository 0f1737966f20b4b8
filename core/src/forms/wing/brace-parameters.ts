import { lengthField, type FormField } from '../form/index.ts';

/** A plate on the front of the spar over every joint that is glued, bent as the joint turns. */
export interface WingBraces {
  readonly material: string;
  /** Into each panel. */
  readonly reachMm: number;
}

export const BRACE_FIELDS = {
  reachMm: lengthField('Braces reach into each panel', 15, 400),
} as const satisfies Partial<Record<keyof WingBraces, FormField>>;
