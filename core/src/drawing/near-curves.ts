import { arcGeometry, boundsOf, flattenCurve, type Bounds, type Curve, type Point } from '../geometry/index.ts';
import { curveOf, type Contour, type DrawnLine, type DrawnPath, type Part, pathsOf } from './part.ts';

/** A curve of a part with where it belongs. */
export interface PlacedCurve {
  readonly path: Contour | DrawnLine;
  readonly index: number;
  readonly curve: Curve;
  readonly box: Bounds;
  /** Centre, when the curve is an arc. */ readonly centre?: Point;
}

const remembered = new WeakMap<DrawnPath, readonly PlacedCurve[]>();

/** Curves of a path with their boxes, remembered while the path is the same. */
export function placedCurves(path: Contour | DrawnLine): readonly PlacedCurve[] {
  const known = remembered.get(path);
  if (known) return known;
  const placed = path.segments.map((_, index): PlacedCurve => {
    const curve = curveOf(path, index);
    const box = boundsOf([...flattenCurve(curve, 0.1).map(({ point }) => point), curve.to]);
    return {
      path,
      index,
      curve,
      box,
      ...(curve.kind === 'arc' && Math.abs(curve.bulge) > 1e-9 ? { centre: arcGeometry(curve).centre } : {}),
    };
  });
  remembered.set(path, placed);
  return placed;
}

const rememberedCentres = new WeakMap<DrawnPath, readonly PlacedCurve[]>();

/** The arcs of a part, which have centres. Remembered path by path. */
export const centresOf = (part: Part): readonly PlacedCurve[] =>
  pathsOf(part).flatMap((path) => {
    const known = rememberedCentres.get(path) ?? placedCurves(path).filter(({ centre }) => centre !== undefined);
    rememberedCentres.set(path, known);
    return known;
  });

/** The curves of a part that a pointer can reach. Boxes are flattened to a tenth of a millimetre, so the reach is a little more. */
export function curvesNear(part: Part, pointer: Point, reachMm: number): readonly PlacedCurve[] {
  const reach = reachMm + 0.2;
  const near: PlacedCurve[] = [];
  for (const path of pathsOf(part)) {
    for (const placed of placedCurves(path)) {
      const { box } = placed;
      if (
        pointer.x >= box.minX - reach &&
        pointer.x <= box.maxX + reach &&
        pointer.y >= box.minY - reach &&
        pointer.y <= box.maxY + reach
      )
        near.push(placed);
    }
  }
  return near;
}
