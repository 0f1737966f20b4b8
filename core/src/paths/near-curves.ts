import { arcGeometry, boundsOf, flattenCurve, type Bounds, type Curve, type Point } from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import { curveOf, type DrawnPath } from './drawn-path.ts';

/** A curve of a drawing with where it belongs. */
export interface PlacedCurve<P extends DrawnPath = DrawnPath> {
  readonly path: P;
  readonly index: number;
  readonly curve: Curve;
  readonly box: Bounds;
  /** Centre, when the curve is an arc. */
  readonly centre?: Point;
}

const placedOf = memo((path: DrawnPath): readonly PlacedCurve[] =>
  path.segments.map((_, index): PlacedCurve => {
    const curve = curveOf(path, index);
    const box = boundsOf([...flattenCurve(curve, 0.1).map(({ point }) => point), curve.to]);
    const isArc = curve.kind === 'arc' && Math.abs(curve.bulge) > 1e-9;
    return { path, index, curve, box, ...(isArc ? { centre: arcGeometry(curve).centre } : {}) };
  }),
);
const arcsOf = memo((path: DrawnPath): readonly PlacedCurve[] =>
  placedOf(path).filter(({ centre }) => centre !== undefined),
);

/** Curves of a path with their boxes. Remembered by path. */
export const placedCurves = <P extends DrawnPath>(path: P): readonly PlacedCurve<P>[] =>
  // What is remembered names the very path that it is remembered by.
  placedOf(path) as readonly PlacedCurve<P>[];

/** The arcs of paths, which have centres. */
export const centresOf = <P extends DrawnPath>(paths: readonly P[]): readonly PlacedCurve<P>[] =>
  paths.flatMap((path) => arcsOf(path) as readonly PlacedCurve<P>[]);

/** The curves that a pointer can reach. Boxes are flattened to a tenth of a millimetre, so the reach is a little more. */
export function curvesNear<P extends DrawnPath>(
  paths: readonly P[],
  pointer: Point,
  reachMm: number,
): readonly PlacedCurve<P>[] {
  const reach = reachMm + 0.2;
  const near: PlacedCurve<P>[] = [];
  for (const path of paths) {
    for (const placed of placedCurves(path)) {
      const { box } = placed;
      const isNear =
        pointer.x >= box.minX - reach &&
        pointer.x <= box.maxX + reach &&
        pointer.y >= box.minY - reach &&
        pointer.y <= box.maxY + reach;
      if (isNear) near.push(placed);
    }
  }
  return near;
}
