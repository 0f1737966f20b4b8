import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import type { FrustumRow, RoundFigures } from './round-figures.ts';
import type { RoundSite } from './round-site.ts';

/** The flat of one sheet, step by step. */
function sheetSteps(
  { frustum, foreArcMm, aftArcMm, longMm, wideMm }: FrustumRow,
  number: number,
  length: (mm: number) => string,
): readonly WorkingStep[] {
  const { fore, aft, slantMm, slopeDegrees, sectorDegrees, foreRadiusMm, aftRadiusMm } = frustum;
  const ends: WorkingStep = {
    words: `Sheet ${number}: round its ends, on the neutral line`,
    formula: `2π·ρ = 2π · ${length(fore.y)}, 2π · ${length(aft.y)}`,
    result: `${length(foreArcMm)} before, ${length(aftArcMm)} behind`,
    source: 'the board keeps its length on the neutral line only',
  };
  if (sectorDegrees === 0)
    return [
      ends,
      {
        words: `Sheet ${number}: a rectangle`,
        formula: 'length × 2π·ρ',
        result: `${length(longMm)} × ${length(wideMm)}`,
        source: 'a cylinder unrolled',
      },
    ];
  return [
    ends,
    {
      words: `Sheet ${number}: along its side`,
      formula: `√(Δx² + Δρ²) = √(${length(aft.x - fore.x)}² + ${length(Math.abs(aft.y - fore.y))}²)`,
      result: `${length(slantMm)}, leaning ${formatAngle(Math.abs(slopeDegrees))}`,
      source: 'slant of a frustum',
    },
    {
      words: `Sheet ${number}: the sector`,
      formula: 'radii ρ/sin α, angle 360°·sin α',
      result: `radii ${length(foreRadiusMm)} and ${length(aftRadiusMm)}, ${formatAngle(sectorDegrees)}`,
      source: 'a cone unrolled is a sector of a circle',
    },
  ];
}

/** The hand calculation that a round replaces. */
export function roundWorking(site: RoundSite, figures: RoundFigures, { unit }: FormContext): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    { neutralMm, neutralPercent, board, profile } = site;
  const curve: readonly WorkingStep[] =
    site.round.profile === 'curved'
      ? [
          {
            words: `The curve as ${figures.rows.length} frusta`,
            formula: 'of all stacks with their joints on the curve, that whose greatest deviation is least',
            result: `${formatLengthWithUnit(profile.deviationMm, unit, 2)} at ${length(profile.deviationAftMm)}`,
            source: 'dynamic programming over the joints',
          },
        ]
      : [];
  return [
    {
      words: 'The neutral line',
      formula: `k·t = ${neutralPercent} % · ${length(board.thicknessMm)}`,
      result: `${length(neutralMm)} under the outside`,
      source: 'at the skin that stays on, half way down in bare foam',
    },
    ...curve,
    ...figures.rows.flatMap((row, index) => sheetSteps(row, index + 1, length)),
    {
      words: 'A tube to roll on',
      formula: `0.8 · bore = 0.8 · ${length(figures.leastBoreMm)}`,
      result: `${length(figures.tubeMm)} across, or less`,
      source: 'the sheet springs back when it is let go',
    },
  ];
}
