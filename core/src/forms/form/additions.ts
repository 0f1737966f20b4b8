import {
  add,
  boundsCentre,
  boundsOf,
  cross,
  distance,
  distanceToRun,
  dot,
  isInside,
  leftOf,
  subtract,
  times,
  unitVector,
  type Point,
} from '../../geometry/index.ts';
import { isOnEdge, type Feature } from '../../features/index.ts';
import {
  brokenInvariant,
  findPath,
  isMadeId,
  outlineOf,
  pathsOf,
  type Contour,
  type DrawnLine,
  type Part,
} from '../../part/index.ts';
import { ringOf, type Segment } from '../../paths/index.ts';
import type { ParkedAddition } from './form.ts';

/** A made part with what the builder had added to it, and what of that found no place. */
export interface MergedPart {
  readonly part: Part;
  readonly parked: readonly ParkedAddition[];
}

/** An edge of a made part on the flat. */
interface Edge {
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
}

const RING_MM = 0.1;

const madeEdges = (part: Part): readonly Edge[] =>
  pathsOf(part)
    .filter(({ id }) => isMadeId(id))
    .flatMap(({ segments, nodes }) =>
      segments.map(({ id }, index) => ({ id, from: nodes[index]!, to: nodes[(index + 1) % nodes.length]! })),
    );

/** How a drawing moves from one making of a part to the next: with the made edge that lies nearest, from its nearer end. */
function mover(before: Part, after: Part): (about: Point) => (p: Point) => Point {
  const old = madeEdges(before),
    now = new Map(madeEdges(after).map((edge) => [edge.id, edge] as const));
  const shared = old.filter(({ id }) => now.has(id));
  return (about) => {
    const nearest = shared.reduce<Edge | undefined>(
      (best, edge) =>
        !best || distanceToRun(about, edge.from, edge.to) < distanceToRun(about, best.from, best.to) ? edge : best,
      undefined,
    );
    if (!nearest) return (p) => p;
    const next = now.get(nearest.id)!,
      isFromEnd = distance(about, nearest.to) < distance(about, nearest.from);
    const [a, b] = [unitVector(nearest.from, nearest.to), unitVector(next.from, next.to)],
      [left, right] = [leftOf(a), leftOf(b)];
    const [from, to] = isFromEnd ? [nearest.to, next.to] : [nearest.from, next.from];
    const turn = Math.abs(cross(a, b)) < 1e-9 && dot(a, b) > 0;
    return (p) => {
      const off = subtract(p, from);
      return turn ? add(to, off) : add(to, add(times(b, dot(off, a)), times(right, dot(off, left))));
    };
  };
}

function movedPath<P extends Contour | DrawnLine>(path: P, move: (p: Point) => Point): P {
  return {
    ...path,
    nodes: path.nodes.map((node) => ({ ...node, ...move(node) })),
    segments: path.segments.map((segment): Segment =>
      segment.kind === 'cubic'
        ? { ...segment, control1: move(segment.control1), control2: move(segment.control2) }
        : segment,
    ),
  };
}

const own = <T extends { readonly id: string }>(list: readonly T[] | undefined): readonly T[] =>
  (list ?? []).filter(({ id }) => !isMadeId(id));

/** What the builder drew on a part. */
const addedTo = (part: Part): ParkedAddition['pieces'] => ({
  contours: own(part.contours),
  lines: own(part.lines),
  operations: own(part.operations),
  ...(own(part.features).length > 0 ? { features: own(part.features) } : {}),
});

const NONE: ParkedAddition['pieces'] = { contours: [], lines: [], operations: [] };
const park = (role: string, what: string, pieces: Partial<ParkedAddition['pieces']>): ParkedAddition => ({
  role,
  what,
  pieces: { ...NONE, ...pieces },
});

/** Pieces laid on a part where they find a place. */
function laid(part: Part, role: string, pieces: ParkedAddition['pieces'], move: ReturnType<typeof mover>): MergedPart {
  const outline = outlineOf(part),
    ring = outline ? ringOf(outline, RING_MM) : [];
  const isOn = (p: Point): boolean => ring.length > 2 && isInside(p, ring);
  const parked: ParkedAddition[] = [];
  const workOf = (pathId: string): Part['operations'] => pieces.operations.filter(({ on }) => on.pathId === pathId);
  const contours: Contour[] = [],
    lines: DrawnLine[] = [],
    operations: Part['operations'][number][] = [];
  const moved = <P extends Contour | DrawnLine>(path: P): P =>
    movedPath(path, move(boundsCentre(boundsOf(path.nodes))));
  for (const path of pieces.contours) {
    const there = moved(path),
      work = workOf(path.id);
    if (there.nodes.every(isOn)) {
      contours.push(there);
      operations.push(...work);
    } else parked.push(park(role, 'a hole', { contours: [path], operations: work }));
  }
  for (const path of pieces.lines) {
    const there = moved(path),
      work = workOf(path.id);
    if (there.nodes.some(isOn) || isOn(boundsCentre(boundsOf(there.nodes)))) {
      lines.push(there);
      operations.push(...work);
    } else parked.push(park(role, 'a line', { lines: [path], operations: work }));
  }
  const added = new Set([...pieces.contours, ...pieces.lines].map(({ id }) => id));
  for (const operation of pieces.operations) {
    if (added.has(operation.on.pathId)) continue;
    const path = findPath(part, operation.on.pathId);
    const segmentIds = operation.on.segmentIds?.filter((id) => path?.segments.some((segment) => segment.id === id));
    if (!path || segmentIds?.length === 0) parked.push(park(role, `work on an edge`, { operations: [operation] }));
    else operations.push({ ...operation, on: { ...operation.on, ...(segmentIds ? { segmentIds } : {}) } });
  }
  const features = (pieces.features ?? []).flatMap((feature): readonly Feature[] => {
    if (isOnEdge(feature)) {
      const there = findPath(part, feature.on.pathId)?.segments.some(({ id }) => id === feature.on.segmentId);
      if (there) return [feature];
    } else {
      const at = move(feature.at)(feature.at);
      if (isOn(at)) return [{ ...feature, at }];
    }
    parked.push(park(role, `a ${feature.kind}`, { features: [feature] }));
    return [];
  });
  return {
    part: {
      ...part,
      contours: [...part.contours, ...contours],
      lines: [...part.lines, ...lines],
      operations: [...part.operations, ...operations],
      ...(features.length > 0 ? { features } : {}),
    },
    parked,
  };
}

/** Details and links of the builder's that a new making takes over as they are, as far as what they name is there. */
function withOwnSayings(made: Part, before: Part): Part {
  const kept = before.source?.own ?? [];
  const segments = new Set(pathsOf(made).flatMap((path) => path.segments.map(({ id }) => id)));
  const nodes = new Set(pathsOf(made).flatMap((path) => path.nodes.map(({ id }) => id)));
  const seams = [
    ...(made.seams ?? []),
    ...own(before.seams).filter(
      (seam) => segments.has(seam.fromSegmentId) && (seam.toPartId !== undefined || segments.has(seam.toSegmentId)),
    ),
  ];
  const joints = own(before.joints).filter(({ ownSegmentId }) => segments.has(ownSegmentId));
  const dimensions = (before.dimensions ?? []).filter(
    ({ fromNodeId, toNodeId }) => nodes.has(fromNodeId) && nodes.has(toNodeId),
  );
  return {
    ...made,
    ...Object.fromEntries(kept.map((key) => [key, before[key]])),
    ...(seams.length > 0 ? { seams } : {}),
    ...(joints.length > 0 ? { joints } : {}),
    ...(dimensions.length > 0 ? { dimensions } : {}),
    source: before.source ?? made.source!,
    lastId: before.lastId,
  };
}

/**
 * A part as its form makes it now, with what the builder added to the making before: his details, and his drawing moved along with the made
 * edge that it lies nearest to.
 * @returns what no longer lies on the part is parked
 */
export function mergeMade(made: Part, before: Part): MergedPart {
  const role = made.source!.role;
  const merged = laid(made, role, addedTo(before), mover(before, made));
  const part = withOwnSayings(merged.part, before);
  if (brokenInvariant(part) === undefined) return { part, parked: merged.parked };
  // What cannot stand beside the new making waits as a whole.
  return {
    part: withOwnSayings(made, { ...before, seams: [], dimensions: [] }),
    parked: [park(role, 'all that was drawn', addedTo(before))],
  };
}

/** A part at another size as its form makes it then, with what was drawn on it moved along; what does not fit is left off. */
export const mergeScaled = (made: Part, scaled: Part): Part => mergeMade(made, scaled).part;

/** Puts a parked addition back on its part, where it was. @returns undefined when it still finds no place */
export function putBack(part: Part, addition: ParkedAddition): Part | undefined {
  const merged = laid(part, addition.role, addition.pieces, () => (p) => p);
  return merged.parked.length > 0 || brokenInvariant(merged.part) !== undefined ? undefined : merged.part;
}

/** All that was drawn on a part that its form no longer makes. */
export function drawnOnGone(part: Part): readonly ParkedAddition[] {
  const pieces = addedTo(part);
  const isEmpty =
    pieces.contours.length + pieces.lines.length + pieces.operations.length + (pieces.features?.length ?? 0) === 0;
  return isEmpty ? [] : [park(part.source!.role, `all that was drawn on ${part.name}`, pieces)];
}

/** Parts of a form as drawn parts: the form no longer makes them. */
export const releaseParts = (parts: readonly Part[], formId: string): readonly Part[] =>
  parts.map((part) => {
    if (part.source?.formId !== formId) return part;
    const { source: _source, ...released } = part;
    return released;
  });
