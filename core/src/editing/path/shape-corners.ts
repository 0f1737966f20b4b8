import { add, cross, distance, dot, times, unitVector, type Point } from '../../geometry/index.ts';
import { type Part, findNode, IdSource, withPath } from '../../part/index.ts';
import type { DrawnPath, PathNode, Segment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

interface Corner {
  readonly index: number;
  readonly before: Point;
  readonly after: Point;
  readonly reach: number;
  readonly bulge: number;
}

/**
 * Rounds or chamfers corners between straight runs: an arc of the radius that is tangent to both, or a straight cut that starts the
 * length away on both. The corner's id stays on the first of its two new points.
 */
export function shapeCorners(
  part: Part,
  args: { readonly nodeIds: readonly string[]; readonly how: 'round' | 'chamfer'; readonly sizeMm: number },
): CommandResult {
  if (!(args.sizeMm > 0 && args.sizeMm <= 10_000))
    return refused(`A ${args.how === 'round' ? 'radius' : 'chamfer'} must be more than 0, got ${args.sizeMm}.`);
  if (args.nodeIds.length === 0) return refused('Choose the corners first.');
  let shaped = part;
  for (const nodeId of args.nodeIds) {
    const found = findNode(shaped, nodeId);
    if (!found) return refused(`There is no point "${nodeId}" in ${part.name}.`);
    const corner = cornerAt(found.path, found.index, args.how, args.sizeMm);
    if (typeof corner === 'string') return refused(corner);
    shaped = cutCorner(shaped, found.path, corner);
  }
  const count = args.nodeIds.length;
  return done(shaped, `${args.how === 'round' ? 'Round' : 'Chamfer'} ${count === 1 ? 'corner' : `${count} corners`}`);
}

/** How a corner is cut, or why it cannot be. */
function cornerAt(path: DrawnPath, index: number, how: 'round' | 'chamfer', sizeMm: number): Corner | string {
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
    return `The shorter run at that corner has ${room.toFixed(1)} mm: ${how === 'round' ? 'a radius' : 'a chamfer'} of at most ${most.toFixed(1)} mm fits.`;
  }
  const sweep = Math.PI - angle;
  const bulge = how === 'round' ? Math.tan(sweep / 4) * (cross(u, v) < 0 ? 1 : -1) : 0;
  return { index, reach, bulge, before: add(node, times(u, reach)), after: add(node, times(v, reach)) };
}

function cutCorner(part: Part, path: DrawnPath, { index, before, after, bulge }: Corner): Part {
  const ids = new IdSource(part);
  const second: PathNode = { id: ids.next('n'), x: after.x, y: after.y };
  const id = ids.next('s');
  const between: Segment = bulge === 0 ? { id, kind: 'line' } : { id, kind: 'arc', bulge };
  const shaped = withPath(part, path.id, (one) => ({
    ...one,
    nodes: one.nodes.with(index, { ...one.nodes[index]!, x: before.x, y: before.y }).toSpliced(index + 1, 0, second),
    segments: one.segments.toSpliced(index, 0, between),
  }));
  return { ...shaped, lastId: ids.lastId };
}
