import { findPath, type Part, withoutLostPlaces, withPath } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Makes a line one straight run from its first point to its last. */
export function straightenLine(part: Part, args: { readonly pathId: string }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (path.closed) return refused('A closed line has no two ends to run straight between.');
  return done(
    withoutLostPlaces(
      withPath(part, path.id, (line) => ({
        ...line,
        nodes: [line.nodes[0]!, line.nodes.at(-1)!],
        segments: [{ id: line.segments[0]!.id, kind: 'line' }],
      })),
    ),
    'Straighten fold',
  );
}
