import type { Operation, OperationPlace } from '../operations/index.ts';
import { defined } from '../units/index.ts';
import type { Guide } from './guide.ts';
import type { Part } from './part.ts';

/** What no longer has anything to stand on is dropped: operations, dimensions, features, guides and members of groups. */
export function withoutLostPlaces(part: Part): Part {
  const paths = [...part.contours, ...part.lines];
  const hasSegment = (segmentId: string): boolean =>
    paths.some(({ segments }) => segments.some(({ id }) => id === segmentId));
  const hasNode = (nodeId: string): boolean => paths.some(({ nodes }) => nodes.some(({ id }) => id === nodeId));
  const operations = part.operations.flatMap((operation): readonly Operation[] => {
    const path = paths.find((one) => one.id === operation.on.pathId);
    if (!path) return [];
    const wanted = operation.on.segmentIds;
    if (!wanted) return [operation];
    const left = wanted.filter((id) => path.segments.some((segment) => segment.id === id));
    const on: OperationPlace = { ...operation.on, segmentIds: left };
    return left.length > 0 ? [left.length === wanted.length ? operation : { ...operation, on }] : [];
  });
  const dimensions = part.dimensions?.filter(({ fromNodeId, toNodeId }) => hasNode(fromNodeId) && hasNode(toNodeId));
  const features = part.features?.filter(
    (feature) =>
      !('on' in feature) ||
      paths.some(
        ({ id, segments }) =>
          id === feature.on.pathId && segments.some((segment) => segment.id === feature.on.segmentId),
      ),
  );
  const guides = part.guides && standingGuides(part.guides, hasSegment);
  const attachments = part.attachments?.filter(
    ({ nodeId, guideId }) => hasNode(nodeId) && guides?.some(({ id }) => id === guideId),
  );
  const pathGroups = part.pathGroups
    ?.map((group) => ({ ...group, pathIds: group.pathIds.filter((pathId) => paths.some(({ id }) => id === pathId)) }))
    .filter(({ pathIds }) => pathIds.length > 1);
  const seams = part.seams?.filter(
    ({ fromSegmentId, toSegmentId, toPartId }) =>
      hasSegment(fromSegmentId) && (toPartId !== undefined || hasSegment(toSegmentId)),
  );
  const joints = part.joints?.filter(({ ownSegmentId }) => hasSegment(ownSegmentId));
  const foldOrder = part.foldOrder?.filter((operationId) => operations.some(({ id }) => id === operationId));
  const isEnd = (id: string): boolean => hasSegment(id) || operations.some((operation) => operation.id === id);
  const insideSizes = part.insideSizes?.filter(({ fromId, toId }) => isEnd(fromId) && isEnd(toId));
  return {
    ...part,
    operations,
    ...defined({ insideSizes, seams, joints, foldOrder, dimensions, features, guides, attachments, pathGroups }),
  };
}

/** Guides whose edge is still there, and those beside them; a guide that loses its own goes, and so do those beside it. */
function standingGuides(guides: readonly Guide[], hasSegment: (id: string) => boolean): readonly Guide[] {
  const left = guides.filter(
    (guide) =>
      guide.kind !== 'beside' ||
      ('guideId' in guide.of
        ? guides.some(({ id }) => 'guideId' in guide.of && id === guide.of.guideId)
        : hasSegment(guide.of.segmentId)),
  );
  return left.length === guides.length ? guides : standingGuides(left, hasSegment);
}
