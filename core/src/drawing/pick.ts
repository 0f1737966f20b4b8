import { distance, isInside, nearestOnCurve, type Point } from '../geometry/index.ts';
import { curvesNear } from './near-curves.ts';
import { pathsOf, type Part } from './part.ts';
import type { ResolvedPart } from './resolve.ts';

/** What lies under a pointer. */
export type Picked =
  | { readonly kind: 'node'; readonly pathId: string; readonly nodeId: string }
  | { readonly kind: 'segment'; readonly pathId: string; readonly segmentId: string; readonly t: number }
  | { readonly kind: 'operation'; readonly operationId: string; readonly pathId: string };

/**
 * Finds what a pointer means: a point before an operation's line, that before an edge, that before the area of an operation.
 * @param reachMm how near the pointer must be, in mm of the drawing
 */
export function pick(part: Part, resolved: ResolvedPart, pointer: Point, reachMm: number): Picked | undefined {
  const nodes = pathsOf(part).flatMap((path) => path.nodes.map((node) => ({ node, pathId: path.id, d: distance(node, pointer) }))).filter(({ d }) => d <= reachMm);
  const node = nodes.sort((a, b) => a.d - b.d)[0];
  if (node) return { kind: 'node', pathId: node.pathId, nodeId: node.node.id };
  const segments = curvesNear(part, pointer, reachMm).map(({ path, index, curve }) => {
    const near = nearestOnCurve(curve, pointer);
    return { path, segment: path.segments[index]!, t: near.t, d: near.distance };
  }).filter(({ d }) => d <= reachMm).sort((a, b) => a.d - b.d);
  const onLine = segments.find(({ path }) => part.lines.some((line) => line.id === path.id));
  const operation = onLine && part.operations.find(({ on }) => on.pathId === onLine.path.id);
  if (onLine && operation) return { kind: 'operation', operationId: operation.id, pathId: onLine.path.id };
  const edge = segments[0];
  if (edge) return { kind: 'segment', pathId: edge.path.id, segmentId: edge.segment.id, t: edge.t };
  const inArea = resolved.strokes.find((stroke) => stroke.area.filter((ring) => isInside(pointer, ring)).length % 2 === 1);
  if (!inArea) return undefined;
  return { kind: 'operation', operationId: inArea.operationId, pathId: part.operations.find(({ id }) => id === inArea.operationId)!.on.pathId };
}
