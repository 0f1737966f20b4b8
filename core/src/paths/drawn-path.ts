import { flattenClosedPath, type Curve, type Path, type Point, type Polygon } from '../geometry/index.ts';
import { CoreError, memo } from '../units/index.ts';

/** A corner or end of a drawn path. Its id never changes while it exists. */
export interface PathNode extends Point {
  readonly id: string;
}

/** How a path runs from one node to the next. Its id never changes; a split keeps it on the first half. */
export type Segment =
  | { readonly id: string; readonly kind: 'line' }
  | {
      readonly id: string;
      readonly kind: 'arc';
      /** tan of a quarter of the sweep, positive counter-clockwise */ readonly bulge: number;
    }
  | { readonly id: string; readonly kind: 'cubic'; readonly control1: Point; readonly control2: Point };

/** Nodes joined by segments: segment i runs from node i to node i + 1; a closed path has one from the last to the first. */
export interface DrawnPath {
  readonly id: string;
  readonly closed: boolean;
  readonly nodes: readonly PathNode[];
  readonly segments: readonly Segment[];
}

/** What scaling does to a hole or a closed line: it grows, it keeps its size, or only its length grows (a slot for a plate). */
export const SIZINGS = ['scaled', 'fixed', 'slot'] as const;
export type Sizing = (typeof SIZINGS)[number];

/** A curve's shape as a stored segment. */
export function segmentFrom(curve: Curve, id: string): Segment {
  switch (curve.kind) {
    case 'line':
      return { id, kind: 'line' };
    case 'arc':
      return { id, kind: 'arc', bulge: curve.bulge };
    case 'cubic':
      return { id, kind: 'cubic', control1: curve.control1, control2: curve.control2 };
  }
}

interface KnownCurve {
  readonly from: PathNode;
  readonly to: PathNode;
  readonly curve: Curve;
}
const knownCurves = new WeakMap<Segment, KnownCurve>();

/** Segment i of a drawn path as a curve; the same object while the segment and its ends are, so that a drag makes only what it moves anew. */
export function curveOf(path: DrawnPath, index: number): Curve {
  const segment = path.segments[index],
    from = path.nodes[index],
    to = path.nodes[(index + 1) % path.nodes.length];
  if (!segment || !from || !to)
    throw new CoreError('NOT_FOUND', `path ${path.id} has no segment ${index}`, { path: path.id, index });
  const known = knownCurves.get(segment);
  if (known && known.from === from && known.to === to) return known.curve;
  const curve = curveBetween(segment, from, to);
  knownCurves.set(segment, { from, to, curve });
  return curve;
}

function curveBetween(segment: Segment, from: PathNode, to: PathNode): Curve {
  const ends = { from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y } };
  switch (segment.kind) {
    case 'line':
      return { kind: 'line', ...ends };
    case 'arc':
      return { kind: 'arc', ...ends, bulge: segment.bulge };
    case 'cubic':
      return { kind: 'cubic', ...ends, control1: segment.control1, control2: segment.control2 };
  }
}

/** The whole drawn path as curves. */
export const curvesOf = (path: DrawnPath): Path => path.segments.map((_, index) => curveOf(path, index));

/** A closed drawn path as a polygon no further from it than the tolerance in mm. Remembered by the path. */
export const ringOf: (path: DrawnPath, toleranceMm: number) => Polygon = memo(
  (path: DrawnPath, toleranceMm: number) => flattenClosedPath(curvesOf(path), toleranceMm),
  (toleranceMm) => toleranceMm,
);

export const SIZING_WORDS: Readonly<Record<Sizing, string>> = {
  scaled: 'scales',
  fixed: 'keeps its size',
  slot: 'keeps its width',
};

/** Tolerance for turning curves into polygons where exactness matters more than speed. */
export const FINE_TOLERANCE_MM = 0.01;
