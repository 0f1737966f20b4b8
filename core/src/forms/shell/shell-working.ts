import { formatAngle, formatLengthWithUnit } from '../../units/index.ts';
import type { FormContext, WorkingStep } from '../form/index.ts';
import type { ShellFigures } from './shell-figures.ts';

/** The hand calculation that a shell replaces: the true angle of every edge, steepest first. */
export function shellWorking({ edges }: ShellFigures, { unit }: FormContext): readonly WorkingStep[] {
  const MOST_STEPS = 40;
  return edges.slice(0, MOST_STEPS).map(({ words, turnDegrees, way, bevelDegrees, lengthMm }) => ({
    words: `Edge ${words}`,
    formula: 'turn = acos(n₁·n₂) of both faces; each is bevelled to half of it',
    result: `turns ${formatAngle(turnDegrees)}: ${way}${way === 'flat' ? '' : `, ${formatAngle(bevelDegrees)} a side`}, ${formatLengthWithUnit(lengthMm, unit)} long`,
    source: 'the true angle across the edge, not that of the section as it is seen from before',
  }));
}
