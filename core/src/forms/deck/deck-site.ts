import type { FormBoard, FormContext } from '../form/index.ts';
import { neutralDepth, neutralPercentOf } from '../rolled/index.ts';
import { rulings, unrollDeck, type Ruling, type UnrolledDeck } from './deck-strip.ts';
import type { DeckForm, DeckParameters, DeckSection } from './parameters.ts';

/** One sheet of a deck: between two of its sections. */
export interface DeckSheet {
  readonly fore: DeckSection;
  readonly aft: DeckSection;
  readonly lines: readonly Ruling[];
  readonly flat: UnrolledDeck;
}

/** All that the parts of a deck are made from. */
export interface DeckSite {
  readonly form: DeckForm;
  readonly deck: DeckParameters;
  readonly board: FormBoard;
  readonly boardOf: FormContext['boardOf'];
  readonly unit: FormContext['unit'];
  readonly sheets: readonly DeckSheet[];
  readonly neutralMm: number;
  readonly neutralPercent: number;
}

/** The sheets of a deck. */
export function deckSheets({ sections, sheets }: DeckParameters, neutralMm: number): readonly DeckSheet[] {
  const ends = sheets === 'one' ? [sections[0]!, sections.at(-1)!] : sections;
  return ends.slice(1).map((aft, index): DeckSheet => {
    const fore = ends[index]!,
      lines = rulings(fore, aft);
    return { fore, aft, lines, flat: unrollDeck(lines, neutralMm) };
  });
}

/** What a form of a deck, well in itself, is made from. */
export function deckSite(form: DeckForm, context: FormContext): DeckSite {
  const deck = form.parameters,
    board = context.boardOf(deck.material),
    neutralMm = neutralDepth(deck, board.thicknessMm);
  return {
    form,
    deck,
    board,
    boardOf: context.boardOf,
    unit: context.unit,
    sheets: deckSheets(deck, neutralMm),
    neutralMm,
    neutralPercent: neutralPercentOf(deck),
  };
}

/** Outside radius of a sheet where it is rolled tightest, in mm: the length of its strips by how far they turn. */
export function tightestOf({ lines }: Pick<DeckSheet, 'lines'>): number {
  const radii = (end: 'fore' | 'aft'): readonly number[] =>
    lines.slice(1).map((line, index) => {
      const before = lines[index]!,
        run = Math.hypot(line[end].y - before[end].y, line[end].z - before[end].z);
      return run / (line.lean - before.lean);
    });
  return Math.min(...radii('fore'), ...radii('aft'));
}

/** How much longer or shorter a sheet is over a section between its ends than that section, as a share. */
export function sectionError(
  { lines }: DeckSheet,
  own: readonly { readonly x: number; readonly y: number }[],
  aftMm: number,
): number {
  const over = lines.map(({ fore, aft }) => {
    const share = (aftMm - fore.x) / (aft.x - fore.x);
    return { x: fore.y + (aft.y - fore.y) * share, y: fore.z + (aft.z - fore.z) * share };
  });
  const length = (points: readonly { readonly x: number; readonly y: number }[]): number =>
    points
      .slice(1)
      .reduce((sum, p, index) => sum + Math.hypot(p.x - points[index]!.x, p.y - points[index]!.y), points[0]!.x);
  return Math.abs(length(over) / length(own) - 1);
}
