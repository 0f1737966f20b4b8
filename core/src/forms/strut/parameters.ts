import { lengthField, type FormField, type FormOf } from '../form/index.ts';

export const STRUT_KINDS = ['strut', 'gusset'] as const;
/** What an end stands on: the outside of a wing or body, or the plate under its outer sheet. */
export const STRUT_ENDS = ['outside', 'inner plate'] as const;

/** A plate between two things that stand, one over the other; or a gusset in the corner between two plates. Which of its numbers count is told by its kind. */
export interface Strut {
  readonly id: string;
  readonly kind: (typeof STRUT_KINDS)[number];
  readonly name: string;
  /** Of a strut what it stands on, of a gusset the plate that its first leg lies on. */
  readonly lowerId: string;
  readonly upperId: string;
  readonly boards: number;
  /** Of a strut: out from the middle, below and above. */
  readonly lowerOutMm: number;
  readonly upperOutMm: number;
  /** How much of the section its ends take, in shares from the nose. */
  readonly lowerFromPercent: number;
  readonly lowerToPercent: number;
  readonly upperFromPercent: number;
  readonly upperToPercent: number;
  readonly lowerOn: (typeof STRUT_ENDS)[number];
  readonly upperOn: (typeof STRUT_ENDS)[number];
  /** Of a gusset: its legs, and how far along the corner from its middle it stands. */
  readonly firstMm: number;
  readonly secondMm: number;
  readonly alongMm: number;
}

/** All that is said of a set of struts. */
export interface StrutParameters {
  readonly material: string;
  readonly struts: readonly Strut[];
}

/** A form that makes struts, supports and gussets between what stands. */
export type StrutForm = FormOf<'strut', StrutParameters>;

/** Begins the names of its boards. */
export const LONGEST_STRUT_NAME = 40;
/** Struts of one form at most. */
export const MOST_STRUTS = 24;

const outField = (word: string): FormField => lengthField(word, 0, 3000);
const percentField = (word: string): FormField => ({ word, kind: 'percent', least: 0, most: 100 });

export const STRUT_FIELDS = {
  lowerOutMm: outField('Below, out from the middle'),
  upperOutMm: outField('Above, out from the middle'),
  lowerFromPercent: percentField('Below, from'),
  lowerToPercent: percentField('Below, to'),
  upperFromPercent: percentField('Above, from'),
  upperToPercent: percentField('Above, to'),
} as const satisfies Partial<Record<keyof Strut, FormField>>;
export const GUSSET_FIELDS = {
  firstMm: lengthField('First leg', 5, 400),
  secondMm: lengthField('Second leg', 5, 400),
  alongMm: lengthField('Along the corner, from its middle', -2000, 2000),
} as const satisfies Partial<Record<keyof Strut, FormField>>;
export const STRUT_COUNT_FIELDS = {
  boards: { word: 'Boards', kind: 'count', least: 1, most: 3 },
} as const satisfies Partial<Record<keyof Strut, FormField>>;

/** The numbers that count for a kind of strut. */
export const strutFieldsOf = (kind: Strut['kind']): Readonly<Record<string, FormField>> => ({
  ...(kind === 'strut' ? STRUT_FIELDS : GUSSET_FIELDS),
  ...STRUT_COUNT_FIELDS,
});

/** A strut with usual numbers where nothing else is said. */
export const strutWith = (
  own: Pick<Strut, 'id' | 'kind' | 'name' | 'lowerId' | 'upperId'> & Partial<Strut>,
): Strut => ({
  boards: 1,
  lowerOutMm: 0,
  upperOutMm: 0,
  lowerFromPercent: 20,
  lowerToPercent: 60,
  upperFromPercent: 20,
  upperToPercent: 60,
  lowerOn: 'outside',
  upperOn: 'outside',
  firstMm: 40,
  secondMm: 40,
  alongMm: 0,
  ...own,
});
