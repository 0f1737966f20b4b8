import {
  boundsOf,
  boundsTouch,
  distance,
  flattenClosedPath,
  growBounds,
  interpolate,
  nearestParameter,
  times,
  unitVector,
  type Bounds,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { featureIdOf, isMirrorId, holesOf, outlineOf, type Contour, type Part } from '../part/index.ts';
import { curvesOf } from '../paths/index.ts';
import type { Fault } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** A web narrower than this many board thicknesses tears when it is cut or handled. */
const NARROWEST_IN_THICKNESSES = 1.5;
const TOLERANCE_MM = 0.05;
const TOUCHES_MM = 0.01;
/** Rounding that does not count as too narrow, in mm. */
const SLACK_MM = 0.02;

interface Edged {
  readonly contour: Contour;
  readonly ring: Polygon;
  readonly box: Bounds;
}

/** The shortest way from one ring to another, up to a reach. */
function shortestWay(
  first: Edged,
  second: Edged,
  reachMm: number,
): { readonly from: Point; readonly to: Point } | undefined {
  if (!boundsTouch(growBounds(first.box, reachMm), second.box)) return undefined;
  let nearest = reachMm;
  let found: { readonly from: Point; readonly to: Point } | undefined;
  const look = (a: Edged, b: Edged, isTurned: boolean): void => {
    const reach = growBounds(b.box, nearest);
    a.ring.forEach((start, index) => {
      const end = a.ring[(index + 1) % a.ring.length]!;
      if (!boundsTouch(boundsOf([start, end]), reach)) return;
      for (const p of b.ring) {
        const foot = interpolate(start, end, nearestParameter(p, start, end)),
          gap = distance(foot, p);
        if (gap < nearest) [nearest, found] = [gap, isTurned ? { from: p, to: foot } : { from: foot, to: p }];
      }
    });
  };
  look(first, second, false);
  look(second, first, true);
  return found;
}

/** Holes of one feature stand as near each other as its hardware asks. */
const isOneFeature = (a: Contour, b: Contour): boolean => {
  const id = featureIdOf(a.id);
  return id !== undefined && id === featureIdOf(b.id);
};

/**
 * Webs between holes, and between a hole and the outline, that are narrower than one and a half boards. The mend moves the hole away
 * from what it is too near to.
 * @param scale of the drawn part, so that the step of the mend is in the drawing's own size
 */
export function webFaults(part: Part, thicknessMm: number, scale: number): readonly Fault[] {
  const outline = outlineOf(part);
  if (!outline?.closed) return [];
  const edged = (contour: Contour): Edged => {
    const ring = flattenClosedPath(curvesOf(contour), TOLERANCE_MM);
    return { contour, ring, box: boundsOf(ring) };
  };
  const outer = edged(outline),
    holes = holesOf(part)
      .filter(({ closed }) => closed)
      .map(edged);
  const leastMm = NARROWEST_IN_THICKNESSES * thicknessMm;
  return holes.flatMap((hole, index): readonly Fault[] => {
    if (isMirrorId(hole.contour.id)) return [];
    const ways = [outer, ...holes.slice(0, index)]
      .filter((other) => !isOneFeature(hole.contour, other.contour))
      .flatMap((other) => {
        const way = shortestWay(other, hole, leastMm - SLACK_MM);
        return way ? [{ ...way, gap: distance(way.from, way.to), isOuter: other === outer }] : [];
      })
      .filter(({ gap }) => gap > TOUCHES_MM); // holes that touch or cross an edge are named by their own check
    const worst = ways.sort((a, b) => a.gap - b.gap)[0];
    if (!worst) return [];
    const by = times(unitVector(worst.from, worst.to), (leastMm - worst.gap) / scale);
    const featureId = featureIdOf(hole.contour.id);
    return [
      {
        code: 'WEB_NARROW',
        partId: part.id,
        targetId: hole.contour.id,
        place: interpolate(worst.from, worst.to, 0.5),
        title: `Only ${lengthText(worst.gap)} of ${part.name} is left beside a hole`,
        detail: `Between ${worst.isOuter ? 'the hole and the edge' : 'two holes'} there should be ${lengthText(leastMm)}, one and a half times the board.`,
        mend: {
          label: `Move it ${lengthText(leastMm - worst.gap)} away`,
          command: featureId
            ? { name: 'moveFeature', args: { featureId, by } }
            : { name: 'movePath', args: { pathId: hole.contour.id, by } },
        },
      },
    ];
  });
}
