export { sectionPoints } from './deck-faults.ts';
export type { DeckFigures, DeckSheetRow } from './deck-figures.ts';
export type { DeckSite } from './deck-site.ts';
export { deckFromNumbers, deckOverBody, type DeckStart, usualDeck } from './deck-starts.ts';
export { type CutFormer, cutFormer } from './former-parts.ts';
export { type MadeDeck, makeDeck } from './make-deck.ts';
export * from './parameters.ts';
export { deckMaterials, scaleDeck } from './scale-deck.ts';
export { deckNumbers } from './deck-faults.ts';
