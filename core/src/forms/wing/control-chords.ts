import type { WingControl } from './parameters.ts';

/** Chord of a control at a place out along its panel: it may taper from its inner end to its outer. */
export const controlChordAt = ({ chordMm, tipChordMm, fromMm, toMm }: WingControl, outMm: number): number =>
  chordMm + (((tipChordMm ?? chordMm) - chordMm) * (outMm - fromMm)) / (toMm - fromMm);

/** The chords of a control at its ends: the greater, and the less. */
export const controlChords = ({
  chordMm,
  tipChordMm = chordMm,
}: WingControl): { readonly most: number; readonly least: number } => ({
  most: Math.max(chordMm, tipChordMm),
  least: Math.min(chordMm, tipChordMm),
});
