import { formatLengthWithUnit } from '../../units/index.ts';
import type { FormFault } from '../form/index.ts';
import { leastRollRadius } from '../rolled/index.ts';
import type { DeckFigures } from './deck-figures.ts';
import type { DeckSite } from './deck-site.ts';
import { cutFormer } from './former-parts.ts';

/** What is better otherwise, though a deck can be made with it. */
export function deckAdvice(site: DeckSite, figures: DeckFigures): readonly FormFault[] {
  const { deck, board, unit } = site,
    length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, unit, digits),
    { strain, tightestMm, rows } = figures,
    { longestMm = 0, widthMm = 0 } = board;
  const tight: readonly FormFault[] =
    strain.share > strain.most
      ? [
          {
            code: 'ROLLED_TIGHT',
            path: deck.skins === 'both' ? 'skins' : 'sections',
            title: `Bent round ${length(tightestMm)}, ${strain.words}`,
            detail: `The board changes its length by ${Math.round(100 * strain.share)} %, of which ${Math.round(100 * strain.most)} % go well: from a radius of ${length(leastRollRadius(deck, board.thicknessMm))}${
              deck.skins === 'both' ? ', or with its inner skin peeled' : ''
            }.`,
            isBlocking: false,
            ...(deck.skins === 'both'
              ? { mend: { label: 'Peel the inner skin', changes: [{ path: 'skins', value: 'outer' }] } }
              : {}),
          },
        ]
      : [];
  const large = rows.flatMap(({ longMm, wideMm }, index): readonly FormFault[] =>
    longestMm === 0 || (longMm <= longestMm && wideMm <= widthMm)
      ? []
      : [
          {
            code: 'SHEET_PAST_BOARD',
            path: 'sections',
            title: `Sheet ${index + 1} is ${length(longMm, 0)} × ${length(wideMm, 0)} on the flat`,
            detail: `The largest board is ${length(longestMm, 0)} × ${length(widthMm, 0)}, its grain along the deck: add a section, so that two sheets meet on a former.`,
            isBlocking: false,
          },
        ],
  );
  const solid: readonly FormFault[] =
    deck.hasFormers && deck.rimMm > 0
      ? deck.sections.flatMap((_, index): readonly FormFault[] =>
          cutFormer(site, index).window
            ? []
            : [
                {
                  code: 'FORMER_SOLID',
                  path: 'rimMm',
                  title: `Former ${index + 1} has no window`,
                  detail: `A rim of ${length(deck.rimMm)} leaves no room for one there.`,
                  isBlocking: false,
                },
              ],
        )
      : [];
  return [...tight, ...large, ...solid];
}
