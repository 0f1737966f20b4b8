import { type Part, findSegment, IdSource, withPath } from '../../part/index.ts';
import { splitSegment } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Puts a point on a segment without changing its shape. The first half keeps the segment's id; operations run over both. */
export function insertNode(part: Part, args: { readonly segmentId: string; readonly t: number }): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found) return refused(`There is no edge "${args.segmentId}" in ${part.name}.`);
  if (!(args.t > 0.0001 && args.t < 0.9999)) return refused('There is a point at that end already.');
  const ids = new IdSource(part);
  const { secondId, ...shape } = splitSegment(found.path, found.index, args.t, ids);
  const split = withPath(part, found.path.id, (path) => ({ ...path, ...shape }));
  const operations = split.operations.map((operation) =>
    operation.on.segmentIds?.includes(args.segmentId)
      ? { ...operation, on: { ...operation.on, segmentIds: [...operation.on.segmentIds, secondId] } }
      : operation,
  );
  return done({ ...split, operations, lastId: ids.lastId }, 'Insert point');
}
