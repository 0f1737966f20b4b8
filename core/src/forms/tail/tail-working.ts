import { formatAngle, formatArea, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import type { TailFigures } from './tail-figures.ts';
import type { TailSite } from './tail-site.ts';

/** The hand calculation that a tail replaces. */
export function tailWorking({ tail }: TailSite, figures: TailFigures, { unit }: FormContext): readonly WorkingStep[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    percent = (share: number): string => `${Math.round(100 * share)} %`;
  const { up, down, side, elevatorLoses, rudderLoses, joiner } = figures,
    steps: WorkingStep[] = [
      {
        words: 'Area of the level plates',
        formula: 'stabiliser + elevator, what is cut out left out',
        result: `${formatArea(figures.levelMm2, unit)}, of which ${percent(figures.elevatorShare)} moves`,
        source: 'shoelace over the outlines',
      },
    ];
  if (figures.uprightMm2 > 0)
    steps.push({
      words: 'Area of the upright plates',
      formula: 'fin + rudder',
      result: `${formatArea(figures.uprightMm2, unit)}, of which ${percent(figures.rudderShare)} moves`,
      source: 'shoelace over the outlines',
    });
  if (up && down)
    steps.push({
      words: 'Throw of the elevator at its tail edge',
      formula: '2·c·sin(δ/2)',
      result: `${length(up.mm)} up at ${formatAngle(up.degrees)}, ${length(down.mm)} down at ${formatAngle(down.degrees)}`,
      source: 'chord of the arc that the edge goes along',
    });
  if (side)
    steps.push({
      words: 'Throw of the rudder at its foot',
      formula: '2·c·sin(δ/2)',
      result: `${length(side.mm)} either way at ${formatAngle(side.degrees)}`,
      source: 'chord of the arc that the edge goes along',
    });
  const room = (words: string, lost: NonNullable<TailFigures['elevatorLoses']>): WorkingStep => ({
    words,
    formula: `hull of all places within the board at which they meet, and ${length(tail.gapMm)} round it`,
    result: `${length(lost.alongMm)} along, ${length(lost.acrossMm)} across`,
    source: 'both turned through all of their travels together, in steps of 5°',
  });
  if (elevatorLoses)
    steps.push(
      room(
        tail.elevator?.halves === 'two' ? 'What each half of the elevator loses' : 'What the elevator loses',
        elevatorLoses,
      ),
    );
  if (rudderLoses) steps.push(room('What the rudder loses', rudderLoses));
  if (figures.elevatorReliefDegrees !== undefined)
    steps.push({
      words: 'Relief of the hinges',
      formula: 'travel toward the side that closes + 2°',
      result: [
        `elevator ${formatAngle(figures.elevatorReliefDegrees)}`,
        ...(figures.rudderReliefDegrees !== undefined ? [`rudder ${formatAngle(figures.rudderReliefDegrees)}`] : []),
      ].join(', '),
      source: 'one bevelled edge: its angle is the travel',
    });
  if (joiner)
    steps.push({
      words: 'The wire that joins both halves',
      formula: 'leg + bridge + leg',
      result: `${length(joiner.legMm)} + ${length(joiner.bridgeMm)} + ${length(joiner.legMm)}, bent ${formatAngle(joiner.bendDegrees)}`,
      source: 'its legs lie along the hinges, just behind them',
    });
  return steps;
}
