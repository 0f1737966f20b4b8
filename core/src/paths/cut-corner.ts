import { add, cross, distance, dot, times, unitVector, type Point } from '../geometry/index.ts';
import type { DrawnPath, PathNode, Segment } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';
import type { PathShape } from './split-path.ts';
import { lengthText } from '../units/index.ts';

/** How a corner is cut: where its two new points lie and what runs between them. */
export interface Corner {
  readonly index: number;
  readonly before: Point;
  readonly after: Point;
  readonly bulge: number;
}

/**
 * How a corner between straight runs is rounded or chamfered: an arc of the radius that is tangent to both, or a straight cut that starts
 * the length away on both.
 * @returns or why it cannot be
 */
export function cornerCut(path: DrawnPath, index: number, how: 'round' | 'chamfer', sizeMm: number): Corner | string {
  const count = path.nodes.length;
  const node = path.nodes[index]!;
  if (!path.closed && (index === 0 || index === count - 1)) return 'The end of an open line is no corner.';
  const into = path.segments[(index - 1 + path.segments.length) % path.segments.length]!,
    out = path.segments[index]!;
  if (into.kind !== 'line' || out.kind !== 'line')
    return 'Only corners between two straight runs can be rounded or chamfered.';
  const before = path.nodes[(index - 1 + count) % count]!,
    after = path.nodes[(index + 1) % count]!;
  const u = unitVector(node, before),
    v = unitVector(node, after);
  const angle = Math.acos(Math.max(-1, Math.min(1, dot(u, v))));
  if (angle < 1e-6 || Math.PI - angle < 1e-6) return 'Two runs in one line make no corner.';
  const reach = how === 'round' ? sizeMm / Math.tan(angle / 2) : sizeMm;
  const room = Math.min(distance(node, before), distance(node, after));
  if (reach > room + 1e-9) {
    const most = how === 'round' ? room * Math.tan(angle / 2) : room;
    return `The shorter run at that corner has ${lengthText(room)}: ${how === 'round' ? 'a radius' : 'a chamfer'} of at most ${lengthText(most)} fits.`;
  }
  const sweep = Math.PI - angle;
  const bulge = how === 'round' ? Math.tan(sweep / 4) * (cross(u, v) < 0 ? 1 : -1) : 0;
  return { index, bulge, before: add(node, times(u, reach)), after: add(node, times(v, reach)) };
}

/** The path with a corner cut; the corner's id stays on the first of its two new points. */
export function cutCorner(path: DrawnPath, { index, before, after, bulge }: Corner, ids: PathIds): PathShape {
  const second: PathNode = { id: ids.next('n'), x: after.x, y: after.y };
  const id = ids.next('s');
  const between: Segment = bulge === 0 ? { id, kind: 'line' } : { id, kind: 'arc', bulge };
  return {
    nodes: path.nodes.with(index, { ...path.nodes[index]!, x: before.x, y: before.y }).toSpliced(index + 1, 0, second),
    segments: path.segments.toSpliced(index, 0, between),
  };
}
