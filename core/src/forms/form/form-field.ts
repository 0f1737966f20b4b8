/** A number of a form, with its bounds. */
export interface FormField {
  readonly word: string;
  readonly kind: 'length' | 'angle' | 'count' | 'percent';
  readonly least: number;
  readonly most: number;
  /** May be left out. */
  readonly isOptional?: true;
}

/** A length in mm, with its bounds. */
export const lengthField = (word: string, least: number, most: number): FormField => ({
  word,
  kind: 'length',
  least,
  most,
});
