import type { DeckParameters } from './parameters.ts';

/** A deck of another size. */
export const scaleDeck = (deck: DeckParameters, factor: number): DeckParameters => ({
  ...deck,
  rimMm: deck.rimMm * factor,
  sections: deck.sections.map((section) => ({
    ...section,
    aftMm: section.aftMm * factor,
    widthMm: section.widthMm * factor,
    riseMm: section.riseMm * factor,
    sillMm: section.sillMm * factor,
  })),
});

/** The sheets that a deck's parts are cut from. */
export const deckMaterials = ({ material, formerMaterial }: DeckParameters): readonly string[] =>
  formerMaterial === undefined ? [material] : [material, formerMaterial];
