import {
  featureDrawing,
  isOnEdge,
  type Feature,
  type FeatureContext,
  type FeatureDrawing,
  type FeatureSite,
} from '../features/index.ts';
import { pathSignedArea } from '../geometry/index.ts';
import type { Operation } from '../operations/index.ts';
import { derivedId, pieceId, findPath, type Contour, type DrawnLine, type Part } from '../part/index.ts';
import { pathFromDraft, curveOf, curvesOf, type DrawnPath, type PathNode, type Segment } from '../paths/index.ts';

/** What a feature stands on in a part; an edge feature whose edge is gone stands on nothing. */
export function siteOf(part: Part, feature: Feature, context: FeatureContext): FeatureSite {
  if (!isOnEdge(feature)) return context;
  const path = findPath(part, feature.on.pathId);
  const index = path?.segments.findIndex(({ id }) => id === feature.on.segmentId) ?? -1;
  if (!path || index < 0) return context;
  const curves = curvesOf(path);
  const last = curves.at(-1)!;
  // An open half is closed along its centre line to tell its inside.
  const area = pathSignedArea(path.closed ? curves : [...curves, { kind: 'line', from: last.to, to: curves[0]!.from }]);
  const isHole = 'role' in path && path.role === 'hole';
  return { ...context, edge: { curve: curveOf(path, index), bodyIsLeft: area > 0 !== isHole } };
}

/** The part with its features drawn: holes, lines, and edges that run otherwise. What was drawn keeps its ids. */
export function expandFeatures(part: Part, features: readonly Feature[], context: FeatureContext): Part {
  return features.reduce(
    (drawn, feature) => withDrawing(drawn, feature, featureDrawing(feature, siteOf(part, feature, context))),
    part,
  );
}

function withDrawing(part: Part, feature: Feature, drawing: FeatureDrawing): Part {
  let number = 0;
  const ids = { next: (): string => derivedId(feature.id, ++number) };
  const optional = feature.variants ? { variants: feature.variants } : {};
  const holes = (drawing.holes ?? []).map(({ draft, sizing }): Contour => ({
    ...pathFromDraft(draft, ids, 'c'),
    role: 'hole',
    sizing,
    ...optional,
  }));
  const lines: DrawnLine[] = [],
    operations: Operation[] = [];
  for (const { draft, works } of drawing.lines ?? []) {
    const line: DrawnLine = { ...pathFromDraft(draft, ids, 'l'), sizing: 'scaled' };
    lines.push(line);
    for (const { operation, segments } of works) {
      const on = {
        pathId: line.id,
        ...(segments ? { segmentIds: segments.map((index) => line.segments[index]!.id) } : {}),
      };
      operations.push({ ...operation, id: ids.next(), on, ...optional } as Operation);
    }
  }
  const drawn: Part = {
    ...part,
    contours: [...part.contours, ...holes],
    lines: [...part.lines, ...lines],
    operations: [...part.operations, ...operations],
  };
  return drawing.edge && isOnEdge(feature)
    ? withEdge(drawn, feature.on.pathId, feature.on.segmentId, feature.id, drawing.edge)
    : drawn;
}

/** The path with one run led through points; work on the old run goes on along what lies on the old edge. */
function withEdge(
  part: Part,
  pathId: string,
  segmentId: string,
  featureId: string,
  { points, onEdge }: NonNullable<FeatureDrawing['edge']>,
): Part {
  const pieces = onEdge.map((isOn, index): Segment => ({
    id: index === 0 ? segmentId : isOn ? pieceId(segmentId, featureId, index) : derivedId(featureId, 1000 + index),
    kind: 'line',
  }));
  const kept = pieces.filter((_, index) => onEdge[index]).map(({ id }) => id);
  const lead = <P extends DrawnPath>(path: P): P => {
    const at = path.segments.findIndex(({ id }) => id === segmentId);
    if (path.id !== pathId || at < 0) return path;
    const nodes = points.map((p, index): PathNode => ({ id: derivedId(featureId, 2000 + index), ...p }));
    return {
      ...path,
      nodes: path.nodes.toSpliced(at + 1, 0, ...nodes),
      segments: path.segments.toSpliced(at, 1, ...pieces),
    };
  };
  const operations = part.operations.map((operation) =>
    operation.on.segmentIds?.includes(segmentId)
      ? {
          ...operation,
          on: {
            ...operation.on,
            segmentIds: operation.on.segmentIds.flatMap((id) => (id === segmentId ? kept : [id])),
          },
        }
      : operation,
  );
  return { ...part, contours: part.contours.map(lead), lines: part.lines.map(lead), operations };
}
