import { offsetPoints } from '../form/index.ts';
import type { Profile } from './profile.ts';

/** Offset corners nearer along the body to the corner they come from than this stand under it, in mm: the line between is off by less than a hundredth. */
const UNDER_MM = 0.3;

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
