import { add, cross, leftOf, subtract, times, unitVector, type Point } from '../../geometry/index.ts';
import type { Profile } from './profile.ts';

/** Offset corners nearer along the body to the corner they come from than this stand under it, in mm: the line between is off by less than a hundredth. */
const UNDER_MM = 0.3;

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

/** A line along the body moved up by a distance square to it, or down when below 0; corners that hardly move stand under their own. */
export function offsetProfile(profile: Profile, by: number): Profile {
  const moved = offsetPoints(
    profile.map(({ x, z }) => ({ x, y: z })),
    by,
  );
  const lines = profile.map(({ edge }, index) => ({ x: moved[index]!.x, z: moved[index]!.y, edge }));
  return lines.map((point, index) => {
    const own = profile[index]!;
    if (Math.abs(point.x - own.x) > UNDER_MM) return point;
    const a = lines[Math.max(0, index - 1)]!,
      b = lines[Math.min(lines.length - 1, index + 1)]!;
    const run = own.x >= point.x ? [point, b] : [a, point];
    const [p, q] = [run[0]!, run[1]!];
    const z = q.x === p.x ? point.z : p.z + ((q.z - p.z) * (own.x - p.x)) / (q.x - p.x);
    return { ...point, x: own.x, z };
  });
}
