import { add3, point3 } from '../../geometry/index.ts';
import type { AnyForm, FormPlace, StandsBy } from './form.ts';

/** The form that another stands by: one that stands by none itself; undefined when there is none. */
export function leaderOf<F extends AnyForm>({ id, standsBy }: AnyForm, forms: readonly F[]): F | undefined {
  const leader = standsBy && forms.find((form) => form.id === standsBy.formId);
  return leader && leader.id !== id && !leader.standsBy ? leader : undefined;
}

/** The place of a form that stands by another. */
export const placeBy = (leader: AnyForm, { aftMm, upMm, noseDownDegrees }: StandsBy): FormPlace => ({
  at: add3(leader.place.at, point3(aftMm, 0, upMm)),
  incidenceDegrees: Math.max(-45, Math.min(45, leader.place.incidenceDegrees - noseDownDegrees)),
});
