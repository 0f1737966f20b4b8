import { add, cross, distance, dot, leftOf, subtract, times, unitVector, type Point } from '../geometry/index.ts';

/** Where a guide runs: without end through a place, or round a centre. */
export type GuideShape =
  | { readonly kind: 'line'; readonly through: Point; readonly direction: Point }
  | { readonly kind: 'circle'; readonly centre: Point; readonly radiusMm: number };
/** Points this near a guide lie on it, in mm. */
export const ON_GUIDE_MM = 1e-6;

/** The shape that runs beside another: to the left of a line, outside a circle. Undefined for a circle that would have no radius left. */
export function shapeBeside(shape: GuideShape, byMm: number): GuideShape | undefined {
  if (shape.kind === 'line') return { ...shape, through: add(shape.through, times(leftOf(shape.direction), byMm)) };
  return shape.radiusMm + byMm > 1e-6 ? { ...shape, radiusMm: shape.radiusMm + byMm } : undefined;
}

/** The place on a guide nearest to a point; the right of a circle for its centre. */
export function nearestOnGuide(shape: GuideShape, p: Point): Point {
  if (shape.kind === 'line')
    return add(shape.through, times(shape.direction, dot(subtract(p, shape.through), shape.direction)));
  const from = distance(p, shape.centre) < 1e-9 ? { x: 1, y: 0 } : unitVector(shape.centre, p);
  return add(shape.centre, times(from, shape.radiusMm));
}
export const isOnGuide = (shape: GuideShape, p: Point): boolean => distance(nearestOnGuide(shape, p), p) <= ON_GUIDE_MM;

/** Where two guides cross: none, one, or two places. */
export function guideCrossings(a: GuideShape, b: GuideShape): readonly Point[] {
  if (a.kind === 'line' && b.kind === 'line') {
    const turn = cross(a.direction, b.direction);
    return Math.abs(turn) < 1e-9
      ? []
      : [add(a.through, times(a.direction, cross(subtract(b.through, a.through), b.direction) / turn))];
  }
  if (a.kind === 'circle' && b.kind === 'line') return guideCrossings(b, a);
  if (a.kind === 'line' && b.kind === 'circle') {
    const foot = nearestOnGuide(a, b.centre),
      off = distance(foot, b.centre);
    if (off > b.radiusMm) return [];
    const half = Math.sqrt(b.radiusMm ** 2 - off ** 2);
    return [add(foot, times(a.direction, half)), add(foot, times(a.direction, -half))];
  }
  if (a.kind === 'circle' && b.kind === 'circle') {
    const apart = distance(a.centre, b.centre);
    if (apart < 1e-9 || apart > a.radiusMm + b.radiusMm || apart < Math.abs(a.radiusMm - b.radiusMm)) return [];
    const along = (apart ** 2 + a.radiusMm ** 2 - b.radiusMm ** 2) / (2 * apart);
    const half = Math.sqrt(Math.max(0, a.radiusMm ** 2 - along ** 2)),
      way = unitVector(a.centre, b.centre);
    const foot = add(a.centre, times(way, along));
    return [add(foot, times(leftOf(way), half)), add(foot, times(leftOf(way), -half))];
  }
  return [];
}
