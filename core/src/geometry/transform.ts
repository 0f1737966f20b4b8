import { CoreError, radians } from '../units/index.ts';
import type { Point } from './point.ts';

/** Affine map: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export interface Transform {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

export const IDENTITY: Transform = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
export const translation = (dx: number, dy: number): Transform => ({ ...IDENTITY, e: dx, f: dy });
/** Turn counter-clockwise about the origin; quarter turns are exact. */
export function rotation(angleDegrees: number): Transform {
  const quarter = ((Math.round(angleDegrees / 90) % 4) + 4) % 4;
  const isQuarter = Math.abs(angleDegrees / 90 - Math.round(angleDegrees / 90)) < 1e-12;
  const cos = isQuarter ? [1, 0, -1, 0][quarter]! : Math.cos(radians(angleDegrees));
  const sin = isQuarter ? [0, 1, 0, -1][quarter]! : Math.sin(radians(angleDegrees));
  return { a: cos, b: sin, c: -sin, d: cos, e: 0, f: 0 };
}
export const scaling = (kx: number, ky = kx): Transform => ({ a: kx, b: 0, c: 0, d: ky, e: 0, f: 0 });
/** Mirror in the vertical axis at x. */
export const mirrorX = (x: number): Transform => ({ a: -1, b: 0, c: 0, d: 1, e: 2 * x, f: 0 });
/** Mirror in the horizontal axis at y. */
export const mirrorY = (y: number): Transform => ({ a: 1, b: 0, c: 0, d: -1, e: 0, f: 2 * y });
/** Applies `first`, then `second`. */
export function compose(first: Transform, second: Transform): Transform {
  return {
    a: second.a * first.a + second.c * first.b,
    b: second.b * first.a + second.d * first.b,
    c: second.a * first.c + second.c * first.d,
    d: second.b * first.c + second.d * first.d,
    e: second.a * first.e + second.c * first.f + second.e,
    f: second.b * first.e + second.d * first.f + second.f,
  };
}
export const applyTransform = (t: Transform, p: Point): Point => ({
  x: t.a * p.x + t.c * p.y + t.e,
  y: t.b * p.x + t.d * p.y + t.f,
});
/** Whether the map turns a part over. */
export const isMirroring = (t: Transform): boolean => t.a * t.d - t.b * t.c < 0;
/** The map that carries `from` onto `origin` after turning by an angle about `from`. */
export const rotationAbout = (centre: Point, angleDegrees: number): Transform =>
  compose(compose(translation(-centre.x, -centre.y), rotation(angleDegrees)), translation(centre.x, centre.y));

/** The transform that takes everything back. @throws CoreError OUT_OF_RANGE when it flattens the plane to a line or a point */
export function inverse({ a, b, c, d, e, f }: Transform): Transform {
  const size = a * d - b * c;
  if (Math.abs(size) < 1e-12)
    throw new CoreError('OUT_OF_RANGE', 'A transform that flattens has no inverse.', { size });
  return {
    a: d / size,
    b: -b / size,
    c: -c / size,
    d: a / size,
    e: (c * f - d * e) / size,
    f: (b * e - a * f) / size,
  };
}
