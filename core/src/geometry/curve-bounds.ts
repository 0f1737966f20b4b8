import { memo } from '../units/index.ts';
import { boundsOf, growBounds, type Bounds } from './bounds.ts';
import { boxIndex, type BoxIndex } from './box-index.ts';
import type { Curve } from './curve.ts';
import { arcGeometry } from './curve.ts';
import { distance } from './point.ts';
import type { Path } from './path.ts';

/** A box that holds a curve: of its ends, its controls, its arc's rise or its circle. It may be larger than need be. */
export function curveBounds(curve: Curve): Bounds {
  const { from, to } = curve;
  if (curve.kind === 'cubic') return boundsOf([from, curve.control1, curve.control2, to]);
  if (curve.kind === 'line' || curve.bulge === 0) return boundsOf([from, to]);
  const rise = (Math.abs(curve.bulge) * distance(from, to)) / 2;
  if (Math.abs(curve.bulge) <= 1) return growBounds(boundsOf([from, to]), rise);
  const { centre, radius } = arcGeometry(curve);
  return growBounds(boundsOf([centre]), radius);
}

/** The curves of a path by where they lie. Remembered by the path. */
export const curveIndex: (path: Path) => BoxIndex = memo((path: Path) => boxIndex(path.map(curveBounds)));
