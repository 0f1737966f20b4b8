import { formatLengthWithUnit } from '../../units/index.ts';
import {
  blocking,
  boundFaults,
  numbersUnder,
  type FormContext,
  type FormFault,
  type FormNumber,
} from '../form/index.ts';
import { neutralDepth } from '../rolled/index.ts';
import { pointLeaning } from './deck-curve.ts';
import { deckSheets, sectionError, tightestOf, type DeckSheet } from './deck-site.ts';
import {
  DECK_FIELDS,
  DECK_SECTION_FIELDS,
  MOST_EDGE_ERROR,
  type DeckParameters,
  type DeckSection,
} from './parameters.ts';

/** Sections stand at least so far apart, in mm. */
const LEAST_BAY_MM = 10;
/** Leans that a section is measured at. */
const MEASURED = 60;

/** Every number of a deck by its path, with its bounds. */
export const deckNumbers = ({ sections }: DeckParameters): readonly FormNumber[] => [
  ...numbersUnder('', DECK_FIELDS),
  ...sections.flatMap((_, index) => numbersUnder(`sections.${index}.`, DECK_SECTION_FIELDS)),
];

function orderFaults({ sections }: DeckParameters, { unit }: FormContext): readonly FormFault[] {
  if (sections.length < 2)
    return [
      blocking(
        'TOO_FEW_SECTIONS',
        'sections',
        'A deck needs at least two sections',
        `It has ${sections.length}: one where it begins, one where it ends.`,
        '',
        [],
      ),
    ];
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return sections.slice(1).flatMap(({ aftMm }, at): readonly FormFault[] => {
    const before = sections[at]!,
      nearest = before.aftMm + LEAST_BAY_MM,
      path = `sections.${at + 1}.aftMm`;
    if (aftMm >= nearest) return [];
    return [
      blocking(
        'SECTION_ORDER',
        path,
        `Section ${at + 2} stands at ${length(aftMm)}, the one before it at ${length(before.aftMm)}`,
        `Sections follow each other toward the tail, at least ${length(LEAST_BAY_MM)} apart.`,
        `Set ${length(nearest)}`,
        [{ path, value: nearest }],
      ),
    ];
  });
}

/** The starboard half of a section as points, y and z over its sills. */
export const sectionPoints = (section: DeckSection): readonly { readonly x: number; readonly y: number }[] =>
  Array.from({ length: MEASURED + 1 }, (_, step) => {
    // Spread toward both ends, where a full section turns.
    const share = (1 - Math.cos((step / MEASURED) * Math.PI)) / 2;
    return pointLeaning(section, share * (Math.PI / 2));
  });

/** Sections between the ends of a single sheet, and by how much of its length each is missed. */
export function sheetErrors(
  { sections, sheets }: DeckParameters,
  made: readonly DeckSheet[],
): readonly { readonly index: number; readonly share: number }[] {
  if (sheets !== 'one') return [];
  return sections.slice(1, -1).map((section, index) => ({
    index: index + 1,
    share: sectionError(made[0]!, sectionPoints(section), section.aftMm),
  }));
}

/** Sheets that no board bends to, or that come out falser than is told of. */
function sheetFaults(deck: DeckParameters, context: FormContext): readonly FormFault[] {
  const t = context.boardOf(deck.material).thicknessMm,
    sheets = deckSheets(deck, neutralDepth(deck, t)),
    length = (mm: number): string => formatLengthWithUnit(mm, context.unit),
    percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
  const tight = sheets.flatMap((sheet, index): readonly FormFault[] => {
    const radius = tightestOf(sheet);
    if (radius > t) return [];
    const path = `sections.${deck.sections.indexOf(sheet.fore)}.fullPercent`,
      wanted = Math.abs(sheet.fore.fullPercent - 50) < 1 ? undefined : 50;
    return [
      blocking(
        'DECK_FOLDED',
        wanted === undefined ? `sections.${deck.sections.indexOf(sheet.fore)}.widthMm` : path,
        `Sheet ${index + 1} would bend round ${length(radius)}, within its own thickness`,
        `The board is ${length(t)} thick: less full shoulders, or a larger section.`,
        wanted === undefined ? 'Make it as wide as it is high twice' : `Set ${wanted} %`,
        wanted === undefined
          ? [
              {
                path: `sections.${deck.sections.indexOf(sheet.fore)}.widthMm`,
                value: Math.max(2 * sheet.fore.riseMm, 4 * t),
              },
            ]
          : [{ path, value: wanted }],
      ),
    ];
  });
  if (tight.length > 0) return tight;
  const off = sheetErrors(deck, sheets).filter(({ share }) => share > MOST_EDGE_ERROR);
  if (off.length > 0) {
    const worst = off.reduce((most, one) => (one.share > most.share ? one : most));
    return [
      blocking(
        'DECK_MISSES',
        'sheets',
        `One sheet misses section ${worst.index + 1} by ${percent(worst.share)} of its length`,
        `Up to ${percent(MOST_EDGE_ERROR)} a sheet can be coaxed: make one for each bay, or let the sections swell evenly.`,
        'Make a sheet for each bay',
        [{ path: 'sheets', value: 'each bay' }],
      ),
    ];
  }
  return sheets.flatMap(({ flat, fore }, index): readonly FormFault[] =>
    flat.errorShare <= MOST_EDGE_ERROR
      ? []
      : [
          blocking(
            'DECK_FALSE',
            `sections.${deck.sections.indexOf(fore) + 1}.fullPercent`,
            `Sheet ${index + 1} comes out ${percent(flat.errorShare)} false`,
            `Up to ${percent(MOST_EDGE_ERROR)} goes well: its two sections are too unlike, or too near to each other.`,
            `Set ${fore.fullPercent} %`,
            [{ path: `sections.${deck.sections.indexOf(fore) + 1}.fullPercent`, value: fore.fullPercent }],
          ),
        ],
  );
}

/** What no deck can be made with. */
export function deckFaults(deck: DeckParameters, context: FormContext): readonly FormFault[] {
  const bounds = boundFaults(deck, deckNumbers(deck), context);
  if (bounds.length > 0) return bounds;
  const order = orderFaults(deck, context);
  return order.length > 0 ? order : sheetFaults(deck, context).slice(0, 1);
}
