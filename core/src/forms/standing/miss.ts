/** Why something cannot be made of what stands, and what would do: a number or choice of its own by its key. */
export interface Miss {
  readonly code: string;
  readonly title: string;
  readonly detail: string;
  readonly mend?: { readonly label: string; readonly key: string; readonly value: number | string };
}

export const isMiss = <T extends object>(one: T | Miss): one is Miss => 'code' in one;

/** Nothing stands where a part is looked for. */
export const partMissing = (word: string): Miss => ({
  code: 'PART_GONE',
  title: `${word} stands nowhere`,
  detail: 'Choose a part that stands in the airframe: one that a form makes, or one with a place or a joint.',
});
