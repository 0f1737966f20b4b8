import {
  cross,
  curvePoint,
  curveTangent,
  dot,
  nearestOnCurve,
  pathSignedArea,
  reversePath,
  type Curve,
  type Path,
} from '../geometry/index.ts';
import { curvesOf, segmentFrom, type DrawnPath } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';
import type { PathShape } from './split-path.ts';

/** How near the distance a moved edge's middle stands off the edge it came from, in mm. */
const STANDS_OFF_MM = 0.01;

/**
 * A closed path moved by a distance, with the ids of the edges that its curves came from, so that the work on them stays; new corners get
 * new ids.
 * @param loop one of the outlines that the path's own curves make when moved, running as `offsetOutline` gives it
 */
export function offsetPath(old: DrawnPath, loop: Path, byMm: number, ids: PathIds): PathShape {
  const curves = pathSignedArea(curvesOf(old)) < 0 ? reversePath(loop) : loop;
  const before = curvesOf(old);
  const used = new Set<number>();
  const origins = curves.map((curve) => {
    const at = before.findIndex((one, index) => !used.has(index) && standsOff(curve, one, Math.abs(byMm)));
    if (at >= 0) used.add(at);
    return at;
  });
  return {
    nodes: curves.map(({ from }, index) => ({
      id: old.nodes[origins[index]!]?.id ?? ids.next('n'),
      x: from.x,
      y: from.y,
    })),
    segments: curves.map((curve, index) => segmentFrom(curve, old.segments[origins[index]!]?.id ?? ids.next('s'))),
  };
}

/** Whether a curve runs beside another one, the same way, at a distance. */
function standsOff(curve: Curve, from: Curve, distanceMm: number): boolean {
  const near = nearestOnCurve(from, curvePoint(curve, 0.5));
  const u = curveTangent(curve, 0.5),
    v = curveTangent(from, near.t);
  return (
    Math.abs(near.distance - distanceMm) < STANDS_OFF_MM &&
    dot(u, v) > 0 &&
    Math.abs(cross(u, v)) < 1e-3 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)
  );
}
