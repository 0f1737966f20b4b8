import { distance, reversePath } from '../geometry/index.ts';
import { curvesOf, segmentFrom, type DrawnPath, type PathNode } from './drawn-path.ts';
import type { PathShape } from './split-path.ts';

/**
 * Two open paths as one, joined where their ends lie nearest; the second of them is moved onto the first by leaving out its point.
 * @returns the path and how far apart the joined ends were, mm
 */
export function joinPaths(a: DrawnPath, b: DrawnPath): PathShape & { readonly gapMm: number } {
  const { gapMm, first, second } = [
    { gapMm: distance(a.nodes.at(-1)!, b.nodes[0]!), first: a, second: b },
    { gapMm: distance(a.nodes.at(-1)!, b.nodes.at(-1)!), first: a, second: reversed(b) },
    { gapMm: distance(a.nodes[0]!, b.nodes.at(-1)!), first: b, second: a },
    { gapMm: distance(a.nodes[0]!, b.nodes[0]!), first: reversed(b), second: a },
  ].sort((p, q) => p.gapMm - q.gapMm)[0]!;
  return {
    gapMm,
    nodes: [...first.nodes, ...second.nodes.slice(1)],
    segments: [...first.segments, ...second.segments],
  };
}

function reversed(path: DrawnPath): PathShape {
  const curves = reversePath(curvesOf(path));
  const nodes: readonly PathNode[] = [...path.nodes].reverse();
  const segments = [...path.segments].reverse().map((segment, index) => segmentFrom(curves[index]!, segment.id));
  return { nodes, segments };
}
