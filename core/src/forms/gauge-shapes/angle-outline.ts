import type { MadeCorner } from '../form/index.ts';
import { radians } from '../../units/index.ts';
import { gaugeCorner } from './gauge-marks.ts';

/** How deep the arms of a gauge are, in mm. */
export const ARM_MM = 22;
/** What is cut off a corner that goes into a corner: room for glue and tape, in mm along each arm. */
const RELIEF_MM = 5;
/** A corner wider than this is held by two arms, since a triangle has no depth there, in degrees. */
const WIDEST_TRIANGLE = 120;
/** A wedge narrower than this ends in an edge that no knife leaves: it is cut off where it is this thick, in mm. */
const LEAST_EDGE_MM = 1.5;

/**
 * Two arms held against the outside of an angle: the first lies along -x, the second turns up from it by `turnDegrees`.
 * @param turnDegrees from above 0 to 120
 */
export function angleOutline(turnDegrees: number, reachMm: number, secondMm = reachMm): readonly MadeCorner[] {
  const angle = radians(turnDegrees),
    [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [
    gaugeCorner(-reachMm, 0, 'inner'),
    gaugeCorner(0, 0, 'outer'),
    gaugeCorner(secondMm * cos, secondMm * sin, 'end'),
    gaugeCorner(secondMm * cos + ARM_MM * sin, secondMm * sin - ARM_MM * cos, 'back-outer'),
    gaugeCorner(ARM_MM * Math.tan(angle / 2), -ARM_MM, 'back-inner'),
    gaugeCorner(-reachMm, -ARM_MM, 'start'),
  ];
}

/**
 * A corner that is held into an angle: one side lies along x, the other turns up from it.
 * @param degrees the angle between both sides, from 20 to below 180
 */
export function cornerOutline(degrees: number, firstMm: number, secondMm: number): readonly MadeCorner[] {
  const angle = radians(degrees),
    [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const sides = [
    gaugeCorner(RELIEF_MM, 0, 'first'),
    gaugeCorner(firstMm, 0, degrees > WIDEST_TRIANGLE ? 'first-end' : 'back'),
  ];
  const ends = [
    gaugeCorner(secondMm * cos, secondMm * sin, 'second'),
    gaugeCorner(RELIEF_MM * cos, RELIEF_MM * sin, 'relief'),
  ];
  if (degrees <= WIDEST_TRIANGLE) return [...sides, ...ends];
  // Both arms as deep all along, their backs meeting on the bisector.
  const back = ARM_MM / Math.tan(angle / 2);
  return [
    ...sides,
    gaugeCorner(firstMm, ARM_MM, 'back-first'),
    gaugeCorner(back, ARM_MM, 'back-second'),
    gaugeCorner(secondMm * cos + ARM_MM * sin, secondMm * sin - ARM_MM * cos, 'second-end'),
    ...ends,
  ];
}

/** A wedge between two planes that lean little: along x its foot, its upper side turned up; its thin end is cut off. */
export function wedgeOutline(degrees: number, reachMm: number): readonly MadeCorner[] {
  const rise = Math.tan(radians(degrees)),
    from = Math.min(reachMm / 2, LEAST_EDGE_MM / rise);
  return [
    gaugeCorner(from, 0, 'first'),
    gaugeCorner(reachMm, 0, 'back'),
    gaugeCorner(reachMm, reachMm * rise, 'second'),
    gaugeCorner(from, from * rise, 'relief'),
  ];
}
