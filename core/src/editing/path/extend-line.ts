import { findPath, FURTHEST_COORDINATE_MM, pathsOf, type Part, withPath } from '../../part/index.ts';
import { curvesOf, extensionOf } from '../../paths/index.ts';
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
  const others = pathsOf(part)
    .filter(({ id }) => id !== path.id)
    .flatMap(curvesOf);
  const extension = extensionOf(path, args.end, others, 2 * FURTHEST_COORDINATE_MM);
  if (!extension) return refused('It meets no line or edge in that direction.');
  return done(
    withPath(part, path.id, (one) => ({
      ...one,
      nodes: one.nodes.map((node) => (node.id === extension.nodeId ? { ...node, ...extension.at } : node)),
    })),
    'Extend line',
  );
}
