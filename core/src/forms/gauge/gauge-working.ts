import { formatAngle } from '../../units/index.ts';
import type { WorkingStep } from '../form/index.ts';
import { isMiss } from '../standing/index.ts';
import type { GaugeSite } from './lay-set.ts';

/** How the figure of each gauge comes about, and what the incidences of a set are to each other. */
export function gaugeWorking({ laid }: GaugeSite): readonly WorkingStep[] {
  const made = laid.flatMap((one) => (isMiss(one) ? [] : [one]));
  const level = made.flatMap(({ gauge: { name }, incidenceDegrees }) =>
    incidenceDegrees === undefined ? [] : [{ name, degrees: incidenceDegrees }],
  );
  const [first, ...others] = level;
  return [
    ...made.map(({ gauge, formula, figure }): WorkingStep => ({
      words: gauge.name,
      formula,
      result: figure,
      source: 'measured on the parts as they stand',
    })),
    ...others.map(({ name, degrees }): WorkingStep => ({
      words: `Decalage, ${first!.name} to ${name}`,
      formula: 'i₁ − i₂',
      result: formatAngle(first!.degrees - degrees),
      source: 'both backs level: sighted one over the other they are parallel',
    })),
  ];
}
