import { STEEPEST_BEVEL_DEGREES } from '../../allowance/index.ts';
import type { TailParameters } from './parameters.ts';

/** Over its travel a hinge's relief is cut so much further, in degrees. */
const MARGIN_DEGREES = 2;

/** The relief of a control's hinge: its own edge is cut back on the skin that closes. */
export interface Relief {
  readonly face: 'face' | 'back';
  readonly degrees: number;
}
const reliefOf = (travelDegrees: number, face: Relief['face']): Relief => ({
  face,
  degrees: Math.min(STEEPEST_BEVEL_DEGREES, travelDegrees + MARGIN_DEGREES),
});

/** The relief of the elevator: taped on top it closes below on its way down. */
export const elevatorRelief = ({ elevator }: TailParameters): Relief =>
  elevator!.tape === 'top' ? reliefOf(elevator!.downDegrees, 'back') : reliefOf(elevator!.upDegrees, 'face');
/** The relief of a rudder: taped along its far skin it closes at its face. */
export const rudderRelief = ({ rudder }: TailParameters): Relief => reliefOf(rudder!.travelDegrees, 'face');
