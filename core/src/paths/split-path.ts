import { splitCurve } from '../geometry/index.ts';
import { curveOf, segmentFrom, type DrawnPath } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';

/** What an edit of a path gives: its points and segments. */
export type PathShape = Pick<DrawnPath, 'nodes' | 'segments'>;

/**
 * Puts a point on a segment without changing the path's shape. The first half keeps the segment's id.
 * @param t place on the segment, between 0 and 1, ends excluded
 */
export function splitSegment(
  path: DrawnPath,
  index: number,
  t: number,
  ids: PathIds,
): PathShape & { readonly secondId: string } {
  const [first, second] = splitCurve(curveOf(path, index), t);
  const node = { id: ids.next('n'), ...first.to };
  const secondId = ids.next('s');
  return {
    nodes: path.nodes.toSpliced(index + 1, 0, node),
    segments: path.segments.toSpliced(
      index,
      1,
      segmentFrom(first, path.segments[index]!.id),
      segmentFrom(second, secondId),
    ),
    secondId,
  };
}

/** Splits an open path at one of its inner points; the second half starts in a new point at the same place. */
export function splitPath(path: DrawnPath, nodeIndex: number, ids: PathIds): readonly [PathShape, PathShape] {
  return [
    { nodes: path.nodes.slice(0, nodeIndex + 1), segments: path.segments.slice(0, nodeIndex) },
    {
      nodes: [{ ...path.nodes[nodeIndex]!, id: ids.next('n') }, ...path.nodes.slice(nodeIndex + 1)],
      segments: path.segments.slice(nodeIndex),
    },
  ];
}
