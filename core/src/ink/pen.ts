/** What a printer can do: colour, grey, or black alone. */
export const INK_CHOICES = ['grey', 'black', 'colour'] as const;
export type InkChoice = (typeof INK_CHOICES)[number];

/** How ink comes on paper: in which tones, and how heavy lines are. */
export interface PaperPen {
  readonly ink: InkChoice;
  /** Widths of lines as shares of what they are. */
  readonly weight: number;
}

export const USUAL_PEN: PaperPen = { ink: 'grey', weight: 1 };
/** Lines are drawn at least and at most so heavy, as shares. */
export const LIGHTEST_PEN = 0.5;
export const HEAVIEST_PEN = 2.5;

/** What a tone is on paper. */
interface Tones {
  readonly ink: string;
  readonly grey: string;
  /** Lines and words of joining sheets. */
  readonly join: string;
  readonly pale: string;
  readonly paper: string;
}

/** Black alone tells work of the back by its own strokes; nothing is filled with a grey that would come out as dots. */
const TONES: Readonly<Record<InkChoice, Tones>> = {
  grey: { ink: '#000000', grey: '#70787d', join: '#000000', pale: '#e8e4d8', paper: '#ffffff' },
  black: { ink: '#000000', grey: '#000000', join: '#000000', pale: '#ffffff', paper: '#ffffff' },
  colour: { ink: '#000000', grey: '#2459a8', join: '#0b6b60', pale: '#f3e7c8', paper: '#ffffff' },
};
export const tonesOf = ({ ink }: PaperPen): Tones => TONES[ink];
