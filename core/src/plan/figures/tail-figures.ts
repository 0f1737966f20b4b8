import { formatLengthWithUnit, formatWingArea, type LengthUnit } from '../../units/index.ts';
import type { Plan } from '../plan.ts';
import { TYPE_TRAITS } from '../proposals/plan-types.ts';
import { BEGIN, figure, type PlanFigure } from './plan-figure.ts';
import { tailPulls, type TailPull, type WingSet } from './wing-set.ts';

/** Volumes of tails and fins, a V-tail by its shares. */
export function tailFigures(plan: Plan, set: WingSet, unit: LengthUnit): readonly PlanFigure[] {
  const traits = TYPE_TRAITS[plan.type],
    pulls = tailPulls(plan);
  const length = (mm: number): string => formatLengthWithUnit(mm, unit),
    area = (mm2: number): string => formatWingArea(mm2, unit);
  const armOf = (pull: TailPull): number => pull.quarterMm - set.quarterMm;
  const volumeOf = (of: (pull: TailPull) => number, by: number): number =>
    pulls.reduce((sum, pull) => sum + of(pull) * Math.abs(armOf(pull)), 0) / (set.areaMm2 * by);
  const line = (pull: TailPull, counts: number): string =>
    `${pull.surface.name}: ${area(counts)}${counts < pull.areaMm2 * 0.999 ? ` of ${area(pull.areaMm2)}` : ''} at an arm of ${length(armOf(pull))}.`;
  const pitch = pulls.filter(({ horizontalMm2, areaMm2 }) => horizontalMm2 > 0.001 * areaMm2),
    yaw = pulls.filter(({ verticalMm2, areaMm2 }) => verticalMm2 > 0.001 * areaMm2);
  const tail = volumeOf(({ horizontalMm2 }) => horizontalMm2, set.chordMm),
    fin = volumeOf(({ verticalMm2 }) => verticalMm2, set.spanMm);
  const isV = pulls.some(({ surface, verticalMm2 }) => surface.kind === 'tail' && verticalMm2 > 0);
  const shares = isV ? ' A panel at an angle counts by cos² of it for pitch, by sin² for yaw.' : '';
  return [
    ...(pitch.length > 0
      ? [
          figure({
            key: 'tailVolume',
            word: 'Tail volume',
            text: tail.toFixed(2),
            amount: tail,
            ...(traits.tailVolume ? { usual: traits.tailVolume } : {}),
            working: [
              ...pitch.map((pull) => line(pull, pull.horizontalMm2)),
              `Area times arm over wing area times mean chord = ${tail.toFixed(3)}.${shares}`,
            ],
            source: `arms from quarter chord to quarter chord; usual: ${BEGIN}`,
          }),
        ]
      : []),
    ...(yaw.length > 0
      ? [
          figure({
            key: 'finVolume',
            word: 'Fin volume',
            text: fin.toFixed(3),
            amount: fin,
            usual: traits.finVolume,
            working: [
              ...yaw.map((pull) => line(pull, pull.verticalMm2)),
              `Area times arm over wing area times span = ${fin.toFixed(4)}.${shares}`,
            ],
            source: `arms from quarter chord to quarter chord; usual: ${BEGIN}`,
          }),
        ]
      : []),
  ];
}
