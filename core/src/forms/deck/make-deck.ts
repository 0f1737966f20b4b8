import type { FormContext, MadeForm } from '../form/index.ts';
import { deckAdvice } from './deck-advice.ts';
import { deckFaults } from './deck-faults.ts';
import { deckFigures, type DeckFigures } from './deck-figures.ts';
import { deckSite, type DeckSite } from './deck-site.ts';
import { deckWorking } from './deck-working.ts';
import { formerParts } from './former-parts.ts';
import type { DeckForm } from './parameters.ts';
import { sheetParts } from './sheet-parts.ts';

/** A deck made, with what its parts were made from: for pictures of it. */
export interface MadeDeck extends MadeForm<DeckFigures> {
  readonly site: DeckSite | undefined;
}

/**
 * Makes a wrapped deck: sheets that bend one way from section to section, and the formers under them, each with its place in the airframe.
 * @returns no parts, and faults with values that work, when the numbers make no deck or one that is falser than a hundredth
 */
export function makeDeck(form: DeckForm, context: FormContext): MadeDeck {
  const faults = deckFaults(form.parameters, context);
  if (faults.length > 0) return { parts: [], figures: undefined, working: [], faults, site: undefined };
  const site = deckSite(form, context),
    parts = [...sheetParts(site), ...formerParts(site)],
    figures = deckFigures(site, parts);
  return { parts, figures, working: deckWorking(site, figures, context), faults: deckAdvice(site, figures), site };
}
