import { splitCurve } from '../../geometry/index.ts';
import { type Part, findSegment, IdSource, withPath } from '../../part/index.ts';
import { segmentFrom, curveOf } from '../../paths/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Puts a point on a segment without changing its shape. The first half keeps the segment's id; operations run over both. */
export function insertNode(part: Part, args: { readonly segmentId: string; readonly t: number }): CommandResult {
  const found = findSegment(part, args.segmentId);
  if (!found) return refused(`There is no edge "${args.segmentId}" in ${part.name}.`);
  if (!(args.t > 0.0001 && args.t < 0.9999)) return refused('There is a point at that end already.');
  const ids = new IdSource(part);
  const [first, second] = splitCurve(curveOf(found.path, found.index), args.t);
  const node = { id: ids.next('n'), ...first.to };
  const newId = ids.next('s');
  const split = withPath(part, found.path.id, (path) => ({
    ...path,
    nodes: path.nodes.toSpliced(found.index + 1, 0, node),
    segments: path.segments.toSpliced(found.index, 1, segmentFrom(first, args.segmentId), segmentFrom(second, newId)),
  }));
  const operations = split.operations.map((operation) =>
    operation.on.segmentIds?.includes(args.segmentId)
      ? { ...operation, on: { ...operation.on, segmentIds: [...operation.on.segmentIds, newId] } }
      : operation,
  );
  return done({ ...split, operations, lastId: ids.lastId }, 'Insert point');
}
