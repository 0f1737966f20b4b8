import type { Point } from '../../geometry/index.ts';
import type { Guide } from '../guides.ts';
import type { Operation, OperationKind, OperationPlace } from '../operations/index.ts';
import type { Contour, DrawnLine, DrawnPath, Part, PathNode, Segment, Sizing } from '../part.ts';

/** A new part and what was done, or why it could not be done. */
export type CommandResult =
  { readonly ok: true; readonly part: Part; readonly label: string } | { readonly ok: false; readonly message: string };

export const done = (part: Part, label: string): CommandResult => ({ ok: true, part, label });
export const refused = (message: string): CommandResult => ({ ok: false, message });

/** How a path being drawn goes from one point to the next. */
export type DraftSegment =
  | { readonly kind: 'line' }
  | { readonly kind: 'arc'; readonly bulge: number }
  | { readonly kind: 'cubic'; readonly control1: Point; readonly control2: Point };

/** A path being drawn: n points with n - 1 segments, or n when closed. */
export interface PathDraft {
  readonly points: readonly Point[];
  readonly segments: readonly DraftSegment[];
  readonly closed: boolean;
}

/** An operation without the ids that it gets when it is added. */
export type OperationDraft = {
  [K in OperationKind]: Omit<Extract<Operation, { kind: K }>, 'id' | 'on' | 'variants'>;
}[OperationKind];

/** Hands out ids that the part has never used; lives for one command. */
export class IdSource {
  private last: number;
  constructor(part: Part) {
    this.last = part.lastId;
  }
  next(prefix: 'n' | 's' | 'c' | 'l' | 'o' | 'd' | 'f' | 'g' | 'j' | 'k'): string {
    return `${prefix}${++this.last}`;
  }
  get lastId(): number {
    return this.last;
  }
}

/** The draft as a path with fresh ids. */
export function pathFromDraft(draft: PathDraft, ids: { next(prefix: string): string }, prefix: 'c' | 'l'): DrawnPath {
  const nodes = draft.points.map((p): PathNode => ({ id: ids.next('n'), x: p.x, y: p.y }));
  const segments = draft.segments.map((segment): Segment => ({ id: ids.next('s'), ...segment }));
  return { id: ids.next(prefix), closed: draft.closed, nodes, segments };
}

/** Why a draft cannot become a path, or undefined. */
export function draftFault(draft: PathDraft): string | undefined {
  const least = draft.closed && draft.segments.every((segment) => segment.kind === 'line') ? 3 : 2;
  if (draft.points.length < least)
    return `A ${draft.closed ? 'closed' : 'drawn'} path needs at least ${least} points; this one has ${draft.points.length}.`;
  const wanted = draft.closed ? draft.points.length : draft.points.length - 1;
  if (draft.segments.length !== wanted)
    return `${draft.points.length} points need ${wanted} segments, not ${draft.segments.length}.`;
  const repeated = draft.points.findIndex((p, index) => {
    const next = draft.points[index + 1] ?? (draft.closed ? draft.points[0] : undefined);
    return next !== undefined && Math.hypot(next.x - p.x, next.y - p.y) < 1e-6;
  });
  if (repeated >= 0)
    return `Points ${repeated + 1} and ${((repeated + 1) % draft.points.length) + 1} lie on each other. Leave one out.`;
  return undefined;
}

/** The part with one path changed, whichever list it stands in. */
export function withPath(part: Part, pathId: string, change: <P extends Contour | DrawnLine>(path: P) => P): Part {
  const mend = <P extends Contour | DrawnLine>(path: P): P => (path.id === pathId ? change(path) : path);
  return { ...part, contours: part.contours.map(mend), lines: part.lines.map(mend) };
}

/** The path that holds a node, with the node's place in it. */
export function findNode(
  part: Part,
  nodeId: string,
): { readonly path: Contour | DrawnLine; readonly index: number } | undefined {
  for (const path of [...part.contours, ...part.lines]) {
    const index = path.nodes.findIndex((node) => node.id === nodeId);
    if (index >= 0) return { path, index };
  }
  return undefined;
}

/** The path that holds a segment, with the segment's place in it. */
export function findSegment(
  part: Part,
  segmentId: string,
): { readonly path: Contour | DrawnLine; readonly index: number } | undefined {
  for (const path of [...part.contours, ...part.lines]) {
    const index = path.segments.findIndex((segment) => segment.id === segmentId);
    if (index >= 0) return { path, index };
  }
  return undefined;
}

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
  return {
    ...part,
    operations,
    ...(seams ? { seams } : {}),
    ...(joints ? { joints } : {}),
    ...(foldOrder ? { foldOrder } : {}),
    ...(dimensions ? { dimensions } : {}),
    ...(features ? { features } : {}),
    ...(guides ? { guides } : {}),
    ...(attachments ? { attachments } : {}),
    ...(pathGroups ? { pathGroups } : {}),
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

/** What a path is called in messages and undo names. */
export function pathWord(path: Contour | DrawnLine): string {
  return 'role' in path ? (path.role === 'outer' ? 'outline' : 'hole') : 'line';
}

export const SIZING_WORDS: Readonly<Record<Sizing, string>> = {
  scaled: 'scales',
  fixed: 'keeps its size',
  slot: 'keeps its width',
};
