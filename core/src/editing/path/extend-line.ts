import { curveMeetings, distance, polar, directionDegrees } from '../../geometry/index.ts';
import { findPath, FURTHEST_COORDINATE_MM, pathsOf, type Part, withPath } from '../../part/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Lengthens a straight end of an open line until it meets the next line or edge. */
export function extendLine(
  part: Part,
  args: { readonly pathId: string; readonly end: 'start' | 'end' },
): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path || path.closed) return refused('Only open lines can be extended.');
  const last = path.segments.length - 1;
  const segment = path.segments[args.end === 'start' ? 0 : last]!;
  if (segment.kind !== 'line') return refused('Only a straight end can be extended: its direction is clear.');
  const [tip, back] =
    args.end === 'start' ? [path.nodes[0]!, path.nodes[1]!] : [path.nodes[last + 1]!, path.nodes[last]!];
  const ray = {
    kind: 'line' as const,
    from: { x: tip.x, y: tip.y },
    to: polar(tip, 2 * FURTHEST_COORDINATE_MM, directionDegrees(back, tip)),
  };
  const meetings = pathsOf(part)
    .filter(({ id }) => id !== path.id)
    .flatMap(curvesOf)
    .flatMap((curve) => curveMeetings(ray, curve))
    .filter(({ point }) => distance(point, tip) > 1e-4);
  const nearest = meetings.sort((a, b) => a.s - b.s)[0];
  if (!nearest) return refused('It meets no line or edge in that direction.');
  return done(
    withPath(part, path.id, (one) => ({
      ...one,
      nodes: one.nodes.map((node) => (node.id === tip.id ? { ...node, ...nearest.point } : node)),
    })),
    'Extend line',
  );
}
