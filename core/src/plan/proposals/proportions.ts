import { TYPE_TRAITS, type PlanType, type Range } from './plan-types.ts';

export const PROPORTION_KEYS = [
  'aspect',
  'taper',
  'dihedralDegrees',
  'sweepShare',
  'tailVolume',
  'tailAspect',
  'finVolume',
  'noseChords',
  'armChords',
] as const;
export type ProportionKey = (typeof PROPORTION_KEYS)[number];
/** The proportions that a plan is drawn from; a tail's are there without a tail too, and mean nothing then. */
export type Proportions = Readonly<Record<ProportionKey, number>>;

/** A proportion as it is proposed: the number, what is usual, and how far it may be taken. */
export interface ProposedProportion {
  readonly key: ProportionKey;
  readonly word: string;
  readonly about: string;
  readonly usual: Range;
  readonly least: number;
  readonly most: number;
  readonly decimals: number;
}

const WORDS: Readonly<
  Record<ProportionKey, Pick<ProposedProportion, 'word' | 'about' | 'least' | 'most' | 'decimals'>>
> = {
  aspect: { word: 'Aspect ratio', about: 'span ² over area, of each wing', least: 1, most: 30, decimals: 1 },
  taper: { word: 'Taper', about: 'tip chord over root chord', least: 0.05, most: 1.5, decimals: 2 },
  dihedralDegrees: { word: 'Dihedral', about: 'degrees of each half', least: -20, most: 30, decimals: 1 },
  sweepShare: { word: 'Sweep', about: 'how far the tip lies back, in half spans', least: -0.5, most: 1.5, decimals: 2 },
  tailVolume: {
    word: 'Tail volume',
    about: 'tail area times arm over wing area times mean chord',
    least: 0.05,
    most: 1.5,
    decimals: 2,
  },
  tailAspect: { word: 'Tail aspect ratio', about: 'tail span ² over its area', least: 1, most: 12, decimals: 1 },
  finVolume: {
    word: 'Fin volume',
    about: 'fin area times arm over wing area times span',
    least: 0.002,
    most: 0.2,
    decimals: 3,
  },
  noseChords: { word: 'Nose', about: 'from the nose to the wing, in mean chords', least: 0, most: 8, decimals: 2 },
  armChords: {
    word: 'Tail arm',
    about: 'from wing to tail by their quarter points, in mean chords',
    least: -8,
    most: 10,
    decimals: 2,
  },
};

/** The proportions of a type, those that it has. */
export function proposedProportions(type: PlanType): readonly ProposedProportion[] {
  const traits = TYPE_TRAITS[type];
  return PROPORTION_KEYS.flatMap((key) => {
    const usual = traits[key];
    if (!usual || (!traits.tailVolume && (key === 'tailAspect' || key === 'armChords'))) return [];
    return [{ key, usual, ...WORDS[key] }];
  });
}

/** The middle of what is usual, for every proportion of a type. */
export function usualProportions(type: PlanType): Proportions {
  const traits = TYPE_TRAITS[type];
  return Object.fromEntries(
    PROPORTION_KEYS.map((key) => {
      const [least, most] = traits[key] ?? [0, 0];
      return [key, Math.round(((least + most) / 2) * 1000) / 1000];
    }),
  ) as Proportions;
}
