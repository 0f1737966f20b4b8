import { add, cross, leftOf, subtract, times, unitVector, type Point } from '../../geometry/index.ts';

/** Where two lines cross, each by a point and its direction; the first point where they run alike. */
function crossing(p: Point, along: Point, q: Point, other: Point): Point {
  const sine = cross(along, other);
  return Math.abs(sine) < 1e-9 ? p : add(p, times(along, cross(subtract(q, p), other) / sine));
}

/**
 * A line moved to its left by a distance, corner by corner; ends keep their place along the body.
 * @param points neighbours apart, from nose to tail
 * @returns as many points
 */
export function offsetPoints(points: readonly Point[], by: number): readonly Point[] {
  if (by === 0) return points;
  const directions = points.slice(1).map((p, index) => unitVector(points[index]!, p));
  const upright = { x: 0, y: 1 };
  return points.map((p, index): Point => {
    const before = directions[index - 1] ?? directions[0]!,
      after = directions[index] ?? directions.at(-1)!;
    const from = add(p, times(leftOf(before), by));
    if (index === 0 || index === points.length - 1) return crossing(p, upright, from, before);
    const next = add(p, times(leftOf(after), by));
    return Math.abs(cross(before, after)) < 1e-9 ? from : crossing(from, before, next, after);
  });
}
