import {
  boundsOf,
  curveIndex,
  curvePoint,
  distance,
  growBounds,
  nearestOnCurve,
  pointIndex,
  type Path,
} from '../geometry/index.ts';
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
  const before = curvesOf(old),
    curvesNear = curveIndex(before),
    nodesNear = pointIndex(old.nodes);
  const usedNodes = new Set<string>(),
    usedSegments = new Set<string>();
  const splits = new Map<string, string[]>();
  const nodes = curves.map(({ from }): PathNode => {
    const same = nodesNear(from, SAME_PLACE_MM)
      .map((index) => old.nodes[index]!)
      .find((node) => !usedNodes.has(node.id) && distance(node, from) < SAME_PLACE_MM);
    const id = same?.id ?? ids.next('n');
    usedNodes.add(id);
    return { id, x: from.x, y: from.y };
  });
  const segments = curves.map((curve): Segment => {
    const lies = (index: number, t: number): boolean =>
      nearestOnCurve(before[index]!, curvePoint(curve, t)).distance < SAME_PLACE_MM;
    const at = curvesNear
      .touching(growBounds(boundsOf([curvePoint(curve, 0.5)]), SAME_PLACE_MM))
      .find((index) => [0.5, 0.2, 0.8].every((t) => lies(index, t)));
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
