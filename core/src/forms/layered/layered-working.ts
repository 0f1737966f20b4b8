import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { WorkingStep } from '../form/index.ts';
import type { LayeredFigures } from './layered-figures.ts';
import type { LayeredSite } from './layered-site.ts';

/** The hand calculation that a profile body replaces. */
export function layeredWorking(
  { layered, board, unit, cuts }: LayeredSite,
  figures: LayeredFigures,
): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit);
  return [
    {
      words: 'Width of the body',
      formula: 'n · t',
      result: `${layered.layers} · ${length(board.thicknessMm)} = ${length(figures.widthMm)}`,
      source: 'layers as they are measured; glue of a spray or a thin coat adds nothing to speak of',
    },
    ...figures.openings.map(({ id, deepMm, isPockets }): WorkingStep => {
      const { name, fromLayer, toLayer } = layered.openings.find((one) => one.id === id)!;
      return {
        words: `Depth of ${name}`,
        formula: isPockets ? 'layers · t' : 'layers on both sides · t',
        result: length(deepMm),
        source: `layers ${fromLayer} to ${toLayer} from outside${isPockets ? '' : ', through the middle'}`,
      };
    }),
    ...cuts
      .filter(({ side }) => side !== 'clear')
      .map(({ name, fromMm, toMm, incidenceDegrees }): WorkingStep => ({
        words: `Seat of ${name}`,
        formula: 'its section at its incidence, with room for glue',
        result: `${length(fromMm)} to ${length(toMm)} at ${formatAngle(incidenceDegrees)}`,
        source: 'cut out of every layer alike, so that it sits square to the body',
      })),
  ];
}
