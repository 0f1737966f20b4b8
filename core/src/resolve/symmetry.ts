import { applyTransform, distance, mirrorX, mirrorY, type Point, type Transform } from '../geometry/index.ts';
import { mirroredOperation, type Operation } from '../operations/index.ts';
import { mirrorId, pathsOf, type Contour, type DrawnLine, type Part, type Symmetry } from '../part/index.ts';
import type { DrawnPath, PathNode, Segment } from '../paths/index.ts';

/** Points this near the centre line lie on it, in mm. */
export const ON_CENTRE_LINE_MM = 0.01;

/** The map that carries each half of a symmetric drawing onto the other. */
export const mirrorOf = ({ along, atMm }: Symmetry): Transform => (along === 'level' ? mirrorY(atMm) : mirrorX(atMm));
/** How far a point lies from the centre line: above a level one or right of an upright one counts as more than 0. */
export const offCentreLine = (p: Point, { along, atMm }: Symmetry): number => (along === 'level' ? p.y : p.x) - atMm;
const isOnLine = (p: Point, symmetry: Symmetry): boolean => Math.abs(offCentreLine(p, symmetry)) <= ON_CENTRE_LINE_MM;

/** Which half is drawn: 1 above or right of the centre line, -1 below or left of it, 0 while nothing is drawn off it. */
export function drawnHalf(part: Part): -1 | 0 | 1 {
  const { symmetry } = part;
  if (!symmetry) return 0;
  const outline = part.contours.find(({ role }) => role === 'outer');
  const offsets = (outline ? outline.nodes : pathsOf(part).flatMap(({ nodes }) => nodes)).map((node) =>
    offCentreLine(node, symmetry),
  );
  const furthest = offsets.reduce((most, offset) => (Math.abs(offset) > Math.abs(most) ? offset : most), 0);
  return Math.abs(furthest) <= ON_CENTRE_LINE_MM ? 0 : furthest > 0 ? 1 : -1;
}

/** How a path of a symmetric drawing becomes whole. */
type Whole = 'lies on the line' | 'joins its image' | 'has an image';

function wholeOf(path: DrawnPath, symmetry: Symmetry): Whole {
  if (path.nodes.every((node) => isOnLine(node, symmetry)) || isOwnImage(path, symmetry)) return 'lies on the line';
  if (path.closed)
    return runOnLine(path, symmetry) >= 0 && 'role' in path && path.role === 'outer'
      ? 'joins its image'
      : 'has an image';
  const isContour = 'role' in path;
  const first = isOnLine(path.nodes[0]!, symmetry),
    last = isOnLine(path.nodes.at(-1)!, symmetry);
  return (isContour ? first && last : first || last) ? 'joins its image' : 'has an image';
}

/** The straight run of a closed path that lies on the centre line, or -1. */
function runOnLine(path: DrawnPath, symmetry: Symmetry): number {
  return path.segments.findIndex(
    ({ kind }, index) =>
      kind === 'line' &&
      isOnLine(path.nodes[index]!, symmetry) &&
      isOnLine(path.nodes[(index + 1) % path.nodes.length]!, symmetry),
  );
}

/** Whether a closed path is symmetric about the line as it is drawn: every point of it has its image in it. */
function isOwnImage(path: DrawnPath, symmetry: Symmetry): boolean {
  const image = mirrorOf(symmetry);
  return (
    path.closed &&
    path.nodes.every((node) =>
      path.nodes.some((other) => distance(applyTransform(image, node), other) <= ON_CENTRE_LINE_MM),
    )
  );
}

function mirroredSegment(segment: Segment, t: Transform): Segment {
  if (segment.kind === 'arc') return { ...segment, id: mirrorId(segment.id), bulge: -segment.bulge };
  if (segment.kind === 'cubic')
    return {
      id: mirrorId(segment.id),
      kind: 'cubic',
      control1: applyTransform(t, segment.control1),
      control2: applyTransform(t, segment.control2),
    };
  return { ...segment, id: mirrorId(segment.id) };
}
const mirroredNode = (node: PathNode, t: Transform): PathNode => ({
  id: mirrorId(node.id),
  ...applyTransform(t, node),
});

/** The mirror image of a path, run the same way along. */
const imageOf = <P extends DrawnPath>(path: P, t: Transform): P => ({
  ...path,
  id: mirrorId(path.id),
  nodes: path.nodes.map((node) => mirroredNode(node, t)),
  segments: path.segments.map((segment) => mirroredSegment(segment, t)),
});

/** The segment run the other way. */
function turned(segment: Segment): Segment {
  if (segment.kind === 'arc') return { ...segment, bulge: -segment.bulge };
  return segment.kind === 'cubic' ? { ...segment, control1: segment.control2, control2: segment.control1 } : segment;
}

/** A half with its image run back after it; both ends on the line close it, one end on the line makes one open path. */
function joined<P extends Contour | DrawnLine>(path: P, symmetry: Symmetry): P {
  const t = mirrorOf(symmetry);
  let { nodes, segments } = path;
  if (path.closed) {
    // its run on the centre line is left out: start behind it
    const at = runOnLine(path, symmetry),
      count = nodes.length;
    nodes = Array.from({ length: count }, (_, step) => path.nodes[(at + 1 + step) % count]!);
    segments = Array.from({ length: count - 1 }, (_, step) => path.segments[(at + 1 + step) % count]!);
  }
  const back = [...segments].reverse().map((segment) => turned(mirroredSegment(segment, t)));
  const startsOn = isOnLine(nodes[0]!, symmetry),
    endsOn = isOnLine(nodes.at(-1)!, symmetry);
  if (startsOn && endsOn)
    return {
      ...path,
      closed: true,
      nodes: [
        ...nodes,
        ...nodes
          .slice(1, -1)
          .reverse()
          .map((node) => mirroredNode(node, t)),
      ],
      segments: [...segments, ...back],
    };
  const images = nodes.map((node) => mirroredNode(node, t)).reverse();
  return endsOn
    ? { ...path, closed: false, nodes: [...nodes, ...images.slice(1)], segments: [...segments, ...back] }
    : { ...path, closed: false, nodes: [...images.slice(0, -1), ...nodes], segments: [...back, ...segments] };
}

/**
 * The whole part of which one half is drawn: paths that end on the centre line are joined to their image, the others get one beside
 * them, with their work; what lies on the line or is symmetric in itself stays as it is.
 */
export function withMirrorHalf(part: Part): Part {
  const { symmetry } = part;
  if (!symmetry) return part;
  const t = mirrorOf(symmetry);
  const whole = <P extends Contour | DrawnLine>(path: P): readonly P[] => {
    switch (wholeOf(path, symmetry)) {
      case 'lies on the line':
        return [path];
      case 'joins its image':
        return [joined(path, symmetry)];
      // A second outline would be no part: one that does not meet the line stays as drawn and is named by the checks.
      case 'has an image':
        return 'role' in path && path.role === 'outer' ? [path] : [path, imageOf(path, t)];
    }
  };
  const contours = part.contours.flatMap(whole),
    lines = part.lines.flatMap(whole);
  const paths = [...contours, ...lines];
  const operations = part.operations.flatMap((operation): readonly Operation[] => {
    const path = paths.find(({ id }) => id === operation.on.pathId);
    const image = paths.find(({ id }) => id === mirrorId(operation.on.pathId));
    const { segmentIds } = operation.on;
    if (image)
      return [
        operation,
        {
          ...mirroredOperation(operation),
          id: mirrorId(operation.id),
          on: { pathId: image.id, ...(segmentIds ? { segmentIds: segmentIds.map(mirrorId) } : {}) },
        },
      ];
    if (!path || !segmentIds) return [operation];
    const there = new Set(path.segments.map(({ id }) => id));
    const wanted = segmentIds.flatMap((id) => [id, mirrorId(id)]).filter((id) => there.has(id));
    return wanted.length > 0 ? [{ ...operation, on: { ...operation.on, segmentIds: wanted } }] : [];
  });
  return { ...part, contours, lines, operations };
}
