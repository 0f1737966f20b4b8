import { boundsOf } from './bounds.ts';
import { cross, distanceToRun, subtract, type Point } from './point.ts';

/** A closed ring of points, the last joined to the first; no point repeated. */
export type Polygon = readonly Point[];

/** Signed area in mm²: positive counter-clockwise. @source shoelace formula */
export function signedArea(ring: Polygon): number {
  let twice = 0;
  for (let index = 0; index < ring.length; index++) twice += cross(ring[index]!, ring[(index + 1) % ring.length]!);
  return twice / 2;
}
export const polygonArea = (ring: Polygon): number => Math.abs(signedArea(ring));
/** The ring in counter-clockwise order. */
export const counterClockwise = (ring: Polygon): Polygon => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** Centre of area; the middle of the box when the ring has no area. */
export function centroid(ring: Polygon): Point {
  const area = signedArea(ring);
  if (Math.abs(area) < 1e-12) {
    const box = boundsOf(ring);
    return { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  }
  let x = 0,
    y = 0;
  for (let index = 0; index < ring.length; index++) {
    const p = ring[index]!,
      q = ring[(index + 1) % ring.length]!;
    const weight = cross(p, q);
    x += (p.x + q.x) * weight;
    y += (p.y + q.y) * weight;
  }
  return { x: x / (6 * area), y: y / (6 * area) };
}

/** Whether a point lies inside a ring; on the edge it may be either. @source even-odd ray casting */
export function isInside(p: Point, ring: Polygon): boolean {
  let inside = false;
  for (let index = 0, last = ring.length - 1; index < ring.length; last = index++) {
    const a = ring[index]!,
      b = ring[last]!;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** Whether a point lies inside the outer ring and in none of the holes. */
export const isInsideRegion = (p: Point, outer: Polygon, holes: readonly Polygon[]): boolean =>
  isInside(p, outer) && !holes.some((hole) => isInside(p, hole));

/** Distance of a point from a ring's edge. */
export function distanceToEdge(p: Point, ring: Polygon): number {
  let nearest = Infinity;
  for (let index = 0; index < ring.length; index++)
    nearest = Math.min(nearest, distanceToRun(p, ring[index]!, ring[(index + 1) % ring.length]!));
  return nearest;
}

/** Smallest convex ring around points, counter-clockwise. @source Andrew's monotone chain */
export function convexHull(points: readonly Point[]): Polygon {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  if (sorted.length < 3) return sorted;
  const half = (ordered: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of ordered) {
      while (chain.length >= 2 && cross(subtract(chain.at(-1)!, chain.at(-2)!), subtract(p, chain.at(-1)!)) <= 0)
        chain.pop();
      chain.push(p);
    }
    chain.pop();
    return chain;
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}
