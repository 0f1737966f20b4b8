import type { Point } from '../../geometry/index.ts';
import type { FormContext, StandingWing } from '../form/index.ts';
import type { TailForm } from './parameters.ts';
import { levelLines } from './tail-outlines.ts';

/** A tail as what it sits in sees it: the section of its stabiliser, a plate from its nose to its hinge. */
export function standingTail({ name, parameters, place }: TailForm, boardOf: FormContext['boardOf']): StandingWing {
  const { thicknessMm } = boardOf(parameters.material),
    { halfMm, noseAt, hingeAt } = levelLines(parameters),
    { x, z } = place.at;
  return {
    name,
    incidenceDegrees: 0,
    sectionAt: (outMm): readonly Point[] => {
      const out = Math.min(halfMm, outMm),
        [nose, tail] = [x + noseAt(out), x + hingeAt(out)];
      return [
        { x: tail, y: z },
        { x: nose, y: z },
        { x: nose, y: z + thicknessMm },
        { x: tail, y: z + thicknessMm },
      ];
    },
  };
}
