import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import { dowelMiddles } from './box-dowels.ts';
import type { PowerFigures } from './power-figures.ts';
import type { PowerSite } from './power-site.ts';

/** The hand calculation that a power box replaces. */
export function powerWorking(
  { power, board, plate }: PowerSite,
  figures: PowerFigures,
  { unit }: FormContext,
): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    { rightDegrees: right, downDegrees: down, reachMm, frontLayers, dowels } = power,
    boards = power.walls === 'doubled' ? 4 : 2;
  return [
    {
      words: 'Outside from the inside',
      formula: `inside + ${boards}·t, inside + t`,
      result: `${length(figures.widthMm)} × ${length(figures.heightMm)} at t = ${length(board.thicknessMm)}`,
      source:
        power.walls === 'doubled' ? 'two boards on either side, one below' : 'one board on either side, one below',
    },
    {
      words: 'The strip, across',
      formula: power.walls === 'doubled' ? '2·(h − t − 0.5 + 2·t + h) + w' : '2·h + w',
      result: length(figures.stripMm),
      source: 'walls, floor, and the skin that is laid over the walls’ edges',
    },
    {
      words: `${power.isPusher ? 'Starboard' : 'Port'} wall longer, for ${formatAngle(right)} to the right`,
      formula: 'w·tan(right)',
      result: length(power.isPusher ? -figures.portLongerMm : figures.portLongerMm),
      source: 'the front is cut in the plane square to the shaft',
    },
    {
      words: power.isPusher
        ? `Floor longer than the walls’ top, for ${formatAngle(down)} down`
        : `Walls’ top longer than the floor, for ${formatAngle(down)} down`,
      formula: 'h·tan(down)/cos(right)',
      result: length(power.isPusher ? -figures.topLongerMm : figures.topLongerMm),
      source: 'the same plane',
    },
    {
      words: 'The motor on the firewall',
      formula: '(reach + plates)·tan of the angle',
      result: `${length(Math.abs(figures.asideMm))} to ${figures.asideMm >= 0 ? 'port' : 'starboard'}, ${length(Math.abs(figures.aboveMm))} ${figures.aboveMm >= 0 ? 'up' : 'down'}`,
      source: `reach ${length(reachMm)}, plates ${length(frontLayers * plate.thicknessMm)}: so the propeller’s middle stays on the line`,
    },
    ...(dowels
      ? [
          {
            words: dowels.count > 1 ? 'The dowels, behind the firewall' : 'The dowel, behind the firewall',
            formula: 'first + n·apart',
            result: dowelMiddles(dowels)
              .map((mm) => length(mm))
              .join(', '),
            source: 'one hole through every wall of the box, and through those of the body that it sits in',
          },
        ]
      : []),
  ];
}
