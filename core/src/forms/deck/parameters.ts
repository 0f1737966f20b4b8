import { lengthField, type FormField, type FormOf } from '../form/index.ts';
import type { RollSkins } from '../rolled/index.ts';

export const DECK_SHEETS = ['each bay', 'one'] as const;

/** The outline of a deck across, outside: from sill to sill over its top. */
export interface DeckSection {
  readonly id: string;
  readonly aftMm: number;
  readonly widthMm: number;
  /** Height of its top over its sills. */
  readonly riseMm: number;
  /** Height of its sills in the deck's frame. */
  readonly sillMm: number;
  /** How full its shoulders are: 50 half an ellipse, 90 nearly a box. */
  readonly fullPercent: number;
}

/** All that is said of a deck that is wrapped over sections. Everything else is worked out. */
export interface DeckParameters {
  readonly material: string;
  readonly sections: readonly DeckSection[];
  /** A sheet from section to section, or one from the first to the last, whose inside the formers between then follow. */
  readonly sheets: (typeof DECK_SHEETS)[number];
  readonly skins: RollSkins;
  readonly neutralPercent?: number;
  /** A former under every section. */
  readonly hasFormers: boolean;
  /** Width that is left round a window in a former; solid when 0. */
  readonly rimMm: number;
  /** Sheet that formers are cut from; that of the deck when undefined. */
  readonly formerMaterial?: string;
}

/** A form that makes a wrapped deck. */
export type DeckForm = FormOf<'deck', DeckParameters>;

export const DECK_FIELDS = {
  rimMm: lengthField('Rim of its formers', 0, 200),
  neutralPercent: {
    word: 'Neutral line, % deep',
    kind: 'count',
    least: 0,
    most: 100,
    isOptional: true,
  },
} as const satisfies Partial<Record<keyof DeckParameters, FormField>>;
export const DECK_SECTION_FIELDS = {
  aftMm: lengthField('Behind the datum', 0, 4000),
  widthMm: lengthField('Wide, outside', 15, 1000),
  riseMm: lengthField('High over its sills', 5, 500),
  sillMm: lengthField('Sills at height', -1000, 1000),
  fullPercent: { word: 'Fullness, %', kind: 'count', least: 50, most: 90 },
} as const satisfies Partial<Record<keyof DeckSection, FormField>>;

export const MOST_DECK_SECTIONS = 8;
/** A sheet whose edges come out falser than this share is refused. */
export const MOST_EDGE_ERROR = 0.01;
