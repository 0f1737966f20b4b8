import { curvePoint, distance, nearestOnCurve, type Path } from '../geometry/index.ts';
import { curvesOf, type DrawnPath, type PathNode, type Segment, segmentFrom } from './drawn-path.ts';
import type { PathIds } from './path-ids.ts';

const SAME_PLACE_MM = 1e-3;

/** A closed path made of curves that keeps the ids of what is still there. */
export interface RebuiltPath {
  readonly nodes: readonly PathNode[];
  readonly segments: readonly Segment[];
  /** Ids that stand for later pieces of an old segment, by the old segment's id. */
  readonly splits: ReadonlyMap<string, readonly string[]>;
}

/**
 * Gives curves the ids of an old path wherever a node stands in its old place or a curve lies on its old segment; the first piece of a
 * segment keeps its id. So operations stay where they were meant.
 */
export function rebuildPath(old: DrawnPath, curves: Path, ids: PathIds): RebuiltPath {
  const before = curvesOf(old);
  const usedNodes = new Set<string>(),
    usedSegments = new Set<string>();
  const splits = new Map<string, string[]>();
  const nodes = curves.map(({ from }): PathNode => {
    const same = old.nodes.find((node) => !usedNodes.has(node.id) && distance(node, from) < SAME_PLACE_MM);
    const id = same?.id ?? ids.next('n');
    usedNodes.add(id);
    return { id, x: from.x, y: from.y };
  });
  const segments = curves.map((curve): Segment => {
    const lies = (t: number): readonly number[] =>
      before.flatMap((one, index) =>
        nearestOnCurve(one, curvePoint(curve, t)).distance < SAME_PLACE_MM ? [index] : [],
      );
    const at = lies(0.5).find((index) => lies(0.2).includes(index) && lies(0.8).includes(index));
    const oldId = at === undefined ? undefined : old.segments[at]!.id;
    if (oldId !== undefined && !usedSegments.has(oldId)) {
      usedSegments.add(oldId);
      return segmentFrom(curve, oldId);
    }
    const id = ids.next('s');
    if (oldId !== undefined) splits.set(oldId, [...(splits.get(oldId) ?? []), id]);
    return segmentFrom(curve, id);
  });
  return { nodes, segments, splits };
}
