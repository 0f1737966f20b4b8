import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import type { DeckFigures } from './deck-figures.ts';
import type { DeckSite } from './deck-site.ts';

/** The hand calculation that a deck replaces. */
export function deckWorking(
  site: DeckSite,
  { rows, missed }: DeckFigures,
  { unit }: FormContext,
): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    { neutralMm, neutralPercent, board } = site;
  return [
    {
      words: 'The neutral line',
      formula: `k·t = ${neutralPercent} % · ${length(board.thicknessMm)}`,
      result: `${length(neutralMm)} under the outside`,
      source: 'at the skin that stays on, half way down in bare foam',
    },
    ...rows.flatMap((row, index): readonly WorkingStep[] => [
      {
        words: `Sheet ${index + 1}: round its ends, from sill to sill`,
        formula: 'the sum of the steps along |y/a|ⁿ + |z/b|ⁿ = 1, on the neutral line',
        result: `${length(row.foreMm)} before, ${length(row.aftMm)} behind`,
        source: `${2 * site.sheets[index]!.lines.length - 1} strips`,
      },
      {
        words: `Sheet ${index + 1}: along its middle and along a sill`,
        formula: 'lines between places where both sections lean alike',
        result: `${length(row.middleMm)}, ${length(row.sillMm)}`,
        source: 'there one plane touches both sections: a sheet that bends one way lies in it',
      },
      {
        words: `Sheet ${index + 1}: unrolled strip by strip`,
        formula: 'triangles by their three sides; the diagonal that is left over',
        result: `${(100 * row.errorShare).toFixed(2)} % false at most`,
        source: 'a sheet that bends one way unrolls without stretch: what is left comes from the width of the strips',
      },
      {
        words: `Sheet ${index + 1}: the knife along its ends`,
        formula: 'lean of the sheet against the plane of the end',
        result: `${formatAngle(row.foreLeans[0])} to ${formatAngle(row.foreLeans[1])} before, ${formatAngle(row.aftLeans[0])} to ${formatAngle(row.aftLeans[1])} behind`,
        source: 'above 0° the inside is cut back, below the outside',
      },
    ]),
    ...missed.map(({ index, share }): WorkingStep => ({
      words: `Section ${index + 1} under one sheet`,
      formula: 'length of the sheet over it / its own length − 1',
      result: `${(100 * share).toFixed(2)} %`,
      source: 'its former is cut to the sheet',
    })),
  ];
}
