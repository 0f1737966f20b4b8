import {
  add,
  bandAlong,
  counterClockwise,
  distance,
  distanceToRun,
  dot,
  intersectionOf,
  isInside,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
  type Polygon,
  type Region,
} from '../geometry/index.ts';
import type { OperationSite } from './operation-kind.ts';

/** A line ends on an edge when it comes this near to it, in mm. */
const ON_EDGE_MM = 0.05;
/** Edges that lean more than this from square to a line, as a tangent, are run along rather than run to: 80°. */
export const STEEPEST_LEAN = Math.tan((80 * Math.PI) / 180);

/** A run moved to the left of its direction (right below 0), as a whole. */
function movedLeft(run: readonly Point[], byMm: number): readonly Point[] {
  const first = run[0],
    last = run.at(-1);
  if (byMm === 0 || !first || !last) return run;
  const left = leftOf(unitVector(first, last));
  return run.map((p) => ({ x: p.x + left.x * byMm, y: p.y + left.y * byMm }));
}

/**
 * The band of a width on a site's lines, or wholly to one side of them, as far as it lies on the part. Where a line ends on an edge that is
 * not square to it the band runs on to that edge, so that no spur of foam is left.
 */
export function bandOn(site: OperationSite, widthMm: number, side: 'centre' | 'left' | 'right' = 'centre'): Region {
  const byMm = side === 'centre' ? 0 : side === 'left' ? widthMm / 2 : -widthMm / 2;
  const reach = { left: widthMm / 2 + byMm, right: widthMm / 2 - byMm };
  const bands = site.runs.flatMap((run) => bandAlong(movedLeft(run, byMm), widthMm));
  const spurs = site.closed ? [] : site.runs.flatMap((run) => spursOf(run, reach, site.body));
  return intersectionOf([...bands, ...spurs], site.body);
}

/** How far work reaches to both sides of its line, in mm. */
interface Reach {
  readonly left: number;
  readonly right: number;
}

function spursOf(run: readonly Point[], reach: Reach, body: Region): Region {
  return endsOf(run, reach).flatMap(({ at, outward, aside, reachMm }) => {
    const edge = edgeBeside(at, outward, aside, body);
    return edge && edge.lean > 0 && edge.lean <= STEEPEST_LEAN
      ? [spurTo(edge.corners, at, outward, aside, reachMm)]
      : [];
  });
}

/** Both sides of both ends of a run: where it leads out, and square to that. */
function endsOf(
  run: readonly Point[],
  reach: Reach,
): readonly { readonly at: Point; readonly outward: Point; readonly aside: Point; readonly reachMm: number }[] {
  if (run.length < 2) return [];
  return [
    { at: run[0]!, from: run[1]!, onLeft: reach.right, onRight: reach.left },
    { at: run.at(-1)!, from: run.at(-2)!, onLeft: reach.left, onRight: reach.right },
  ].flatMap(({ at, from, onLeft, onRight }) => {
    const outward = unitVector(from, at),
      left = leftOf(outward);
    return [
      { at, outward, aside: left, reachMm: onLeft },
      { at, outward, aside: times(left, -1), reachMm: onRight },
    ].filter(({ reachMm }) => reachMm > ON_EDGE_MM);
  });
}

/** The edge that leaves a place on the outline to one side of a line that ends there, with foam between: its corners onwards, and its lean. */
function edgeBeside(
  at: Point,
  outward: Point,
  aside: Point,
  body: Region,
): { readonly corners: Polygon; readonly lean: number } | undefined {
  for (const ring of body) {
    for (let index = 0; index < ring.length; index++) {
      const next = (index + 1) % ring.length;
      if (distanceToRun(at, ring[index]!, ring[next]!) > ON_EDGE_MM) continue;
      const onwards = [...ring.slice(next), ...ring.slice(0, next)];
      for (const corners of [onwards, [...onwards].reverse()]) {
        const first = corners.find((corner) => distance(corner, at) > ON_EDGE_MM);
        if (!first) continue;
        const along = unitVector(at, first),
          aslant = dot(along, aside);
        if (aslant < 1e-6) continue;
        const lean = dot(along, outward) / aslant;
        const between = add(at, add(times(aside, ON_EDGE_MM), times(outward, (ON_EDGE_MM * lean) / 2)));
        if (isOnBody(between, body)) return { corners, lean };
      }
    }
  }
  return undefined;
}
const isOnBody = (p: Point, body: Region): boolean => body.filter((ring) => isInside(p, ring)).length % 2 === 1;

/** The foam between the square end of a band and the edge, followed from corner to corner as far as the band reaches. */
function spurTo(corners: Polygon, at: Point, outward: Point, aside: Point, reachMm: number): Polygon {
  const ring: Point[] = [at];
  let before = { aside: 0, out: 0 };
  for (const corner of corners) {
    const step = subtract(corner, at);
    const now = { aside: dot(step, aside), out: Math.max(0, dot(step, outward)) };
    if (now.aside < before.aside + 1e-9) {
      if (before.aside > 0) break;
      continue;
    }
    const share = Math.min(1, (reachMm - before.aside) / (now.aside - before.aside));
    before = {
      aside: before.aside + (now.aside - before.aside) * share,
      out: before.out + (now.out - before.out) * share,
    };
    ring.push(add(at, add(times(aside, before.aside), times(outward, before.out))));
    if (share < 1) break;
  }
  ring.push(add(at, times(aside, before.aside)));
  return counterClockwise(ring);
}

/**
 * How slant the edges are that a run's band ends at, as the angle from square in degrees; only those that it cannot be run to.
 * @returns where, and at how many degrees the line runs to the edge
 */
export function tooSlantEnds(
  run: readonly Point[],
  widthMm: number,
  body: Region,
): readonly { readonly at: Point; readonly toEdgeDegrees: number }[] {
  return endsOf(run, { left: widthMm / 2, right: widthMm / 2 }).flatMap(({ at, outward, aside }) => {
    const edge = edgeBeside(at, outward, aside, body);
    return edge && edge.lean > STEEPEST_LEAN ? [{ at, toEdgeDegrees: (Math.atan2(1, edge.lean) * 180) / Math.PI }] : [];
  });
}
