import type { Feature } from '../features/index.ts';
import { arcGeometry, flattenSteps, type Curve } from '../geometry/index.ts';
import { curveOf, FINE_TOLERANCE_MM } from '../paths/index.ts';
import { lengthText, memo } from '../units/index.ts';
import { FURTHEST_COORDINATE_MM, pathsOf, type Part } from './part.ts';
import { MOST_MADE, MOST_POINTS } from './part-bounds.ts';

/** The first broken rule of a part and where. */
export interface Broken {
  readonly field: string;
  readonly message: string;
}

/** Slots that a row is counted as: how many it has follows the tabs of another part. */
const SLOTS_OF_A_ROW = 20;

/** Holes, tabs, slots, marks and letters that a feature becomes. */
function madeBy(feature: Feature): number {
  switch (feature.kind) {
    case 'tabs':
      return feature.count;
    case 'slots':
      return SLOTS_OF_A_ROW;
    case 'stations':
      return feature.places.length;
    case 'lettering':
      return feature.text.length;
    default:
      return 1;
  }
}

/** Points that a curve is followed by where exactness matters. */
const pointsOf = memo((curve: Curve): number => flattenSteps(curve, FINE_TOLERANCE_MM));

/**
 * What of a part is more than can be worked with in good time, by its field: arcs larger than any part, curves that take too many points to
 * follow, features that become too many things; undefined when it is not. Runs at every step of a drag.
 */
export function tooMuch(part: Part): Broken | undefined {
  let points = 0;
  for (const [index, path] of pathsOf(part).entries()) {
    for (let at = 0; at < path.segments.length; at++) {
      const curve = curveOf(path, at);
      if (curve.kind === 'arc' && Math.abs(curve.bulge) > 1 && arcGeometry(curve).radius > FURTHEST_COORDINATE_MM) {
        const isContour = index < part.contours.length;
        return {
          field: `${isContour ? `contours[${index}]` : `lines[${index - part.contours.length}]`}.segments[${at}].bulge`,
          message: `the radius of an arc goes up to ${lengthText(FURTHEST_COORDINATE_MM, 0)}, got ${lengthText(arcGeometry(curve).radius, 0)}`,
        };
      }
      points += pointsOf(curve);
    }
  }
  if (points > MOST_POINTS)
    return {
      field: 'contours',
      message: `the curves of a part are followed by at most ${MOST_POINTS} points, these take ${points}: draw them with fewer or smaller curves`,
    };
  const made = (part.features ?? []).reduce((sum, feature) => sum + madeBy(feature), 0);
  return made > MOST_MADE
    ? {
        field: 'features',
        message: `the features of a part become at most ${MOST_MADE} holes, tabs, slots, marks and letters together, these would be ${made}`,
      }
    : undefined;
}
