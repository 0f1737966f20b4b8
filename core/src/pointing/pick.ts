import { distance, isInside, nearestOnCurve, type Point } from '../geometry/index.ts';
import { drawnId, featureIdOf, isMirrorId, placedGuides, pathsOf, type Part } from '../part/index.ts';
import { nearestOnGuide, curvesNear } from '../paths/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';

/** What lies under a pointer, as it was drawn; `isImage` for the mirror image of what was drawn. */
export type Picked = { readonly isImage?: boolean } & (
  | { readonly kind: 'node'; readonly pathId: string; readonly nodeId: string }
  | { readonly kind: 'segment'; readonly pathId: string; readonly segmentId: string; readonly t: number }
  | { readonly kind: 'operation'; readonly operationId: string; readonly pathId: string }
  | { readonly kind: 'feature'; readonly featureId: string }
  | { readonly kind: 'guide'; readonly guideId: string }
);

/**
 * Finds what a pointer means: a point before an operation's line, that before an edge, that before a guide, that before the area of an
 * operation. What a feature draws is the feature.
 * @param part the drawing made whole, with the guides of what was drawn
 * @param reachMm how near the pointer must be, in mm of the drawing
 */
export function pick(part: Part, resolved: ResolvedPart, pointer: Point, reachMm: number): Picked | undefined {
  const picked = pickWhole(part, resolved, pointer, reachMm);
  if (!picked) return undefined;
  switch (picked.kind) {
    case 'node':
      return drawn(picked.nodeId, picked.pathId, (nodeId, pathId) => ({ kind: 'node', nodeId, pathId }));
    case 'segment':
      return drawn(picked.segmentId, picked.pathId, (segmentId, pathId) => ({ ...picked, segmentId, pathId }));
    case 'operation':
      return drawn(picked.operationId, picked.pathId, (operationId, pathId) => ({
        kind: 'operation',
        operationId,
        pathId,
      }));
    default:
      return picked;
  }
}

/** What was drawn behind what was picked: the feature that made it, or the drawn thing itself. */
function drawn(id: string, pathId: string, make: (id: string, pathId: string) => Picked): Picked {
  const featureId = featureIdOf(id) ?? featureIdOf(pathId);
  const isImage = isMirrorId(id) ? { isImage: true } : {};
  return featureId ? { kind: 'feature', featureId, ...isImage } : { ...make(drawnId(id), drawnId(pathId)), ...isImage };
}

function nodeUnder(part: Part, pointer: Point, reachMm: number): Extract<Picked, { kind: 'node' }> | undefined {
  let nearest = reachMm,
    found: Extract<Picked, { kind: 'node' }> | undefined;
  for (const path of pathsOf(part)) {
    for (const node of path.nodes) {
      const d = distance(node, pointer);
      if (d <= nearest) [nearest, found] = [d, { kind: 'node', pathId: path.id, nodeId: node.id }];
    }
  }
  return found;
}

function pickWhole(part: Part, resolved: ResolvedPart, pointer: Point, reachMm: number): Picked | undefined {
  const node = nodeUnder(part, pointer, reachMm);
  if (node) return node;
  const segments = curvesNear(pathsOf(part), pointer, reachMm)
    .map(({ path, index, curve }) => {
      const near = nearestOnCurve(curve, pointer);
      return { path, segment: path.segments[index]!, t: near.t, d: near.distance };
    })
    .filter(({ d }) => d <= reachMm)
    .sort((a, b) => a.d - b.d);
  const onLine = segments.find(({ path }) => part.lines.some((line) => line.id === path.id));
  const operation = onLine && part.operations.find(({ on }) => on.pathId === onLine.path.id);
  if (onLine && operation) return { kind: 'operation', operationId: operation.id, pathId: onLine.path.id };
  const edge = segments[0];
  if (edge) return { kind: 'segment', pathId: edge.path.id, segmentId: edge.segment.id, t: edge.t };
  const guide = placedGuides(part)
    .map(({ guide: { id }, shape }) => ({ id, d: distance(nearestOnGuide(shape, pointer), pointer) }))
    .filter(({ d }) => d <= reachMm)
    .sort((a, b) => a.d - b.d)[0];
  if (guide) return { kind: 'guide', guideId: guide.id };
  const inArea = resolved.strokes.find(
    (stroke) => stroke.area.filter((ring) => isInside(pointer, ring)).length % 2 === 1,
  );
  if (!inArea) return undefined;
  return {
    kind: 'operation',
    operationId: inArea.operationId,
    pathId: part.operations.find(({ id }) => id === inArea.operationId)!.on.pathId,
  };
}
