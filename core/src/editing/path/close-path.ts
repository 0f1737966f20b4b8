import { distance } from '../../geometry/index.ts';
import { findPath, type Part, IdSource, pathWord, withoutLostPlaces, withPath } from '../../part/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Ends closer than this are taken for one point when a path is closed, in mm. */
const NEAR_MISS_MM = 0.5;

/** Joins the end of an open path to its start: near misses become one point, others get a straight run. */
export function closePath(part: Part, args: { readonly pathId: string }): CommandResult {
  const path = findPath(part, args.pathId);
  if (!path) return refused(`There is no line "${args.pathId}" in ${part.name}.`);
  if (path.closed) return refused(`The ${pathWord(path)} is closed already.`);
  const ids = new IdSource(part);
  const first = path.nodes[0]!,
    last = path.nodes.at(-1)!;
  const isNearMiss = distance(first, last) <= NEAR_MISS_MM && path.nodes.length > 3;
  if (!isNearMiss && path.nodes.length < 3) return refused(`Two points cannot close: draw one more.`);
  const closed = withPath(part, path.id, (one) =>
    isNearMiss
      ? { ...one, closed: true, nodes: one.nodes.slice(0, -1) }
      : { ...one, closed: true, segments: [...one.segments, { id: ids.next('s'), kind: 'line' }] },
  );
  return done(withoutLostPlaces({ ...closed, lastId: ids.lastId }), `Close ${pathWord(path)}`);
}
