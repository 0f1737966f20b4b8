import { radians } from '../units/index.ts';

/** A point or vector in mm; x to the right, y up, as seen from the face. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const add = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const subtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const times = (a: Point, factor: number): Point => ({ x: a.x * factor, y: a.y * factor });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
/** z of the cross product: positive when b lies counter-clockwise of a. */
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
export const midpoint = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
export const interpolate = (a: Point, b: Point, t: number): Point => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});
/** Direction from a to b in degrees, counter-clockwise from the x axis, in (-180, 180]. */
export const directionDegrees = (a: Point, b: Point): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
/** The point a length away in a direction. */
export function polar(from: Point, lengthMm: number, angleDegrees: number): Point {
  return {
    x: from.x + lengthMm * Math.cos(radians(angleDegrees)),
    y: from.y + lengthMm * Math.sin(radians(angleDegrees)),
  };
}
/** Unit vector from a to b; the zero vector when they coincide. */
export function unitVector(a: Point, b: Point): Point {
  const length = distance(a, b);
  return length === 0 ? { x: 0, y: 0 } : { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
}
/** The vector turned a quarter counter-clockwise: the left side of a direction. */
export const leftOf = (vector: Point): Point => ({ x: -vector.y, y: vector.x });
/** Distance of a point from the straight run a to b (not the endless line). */
export function distanceToRun(p: Point, a: Point, b: Point): number {
  return distance(p, interpolate(a, b, nearestParameter(p, a, b)));
}
/** Parameter in [0, 1] of the point of run a to b that is nearest to p. */
export function nearestParameter(p: Point, a: Point, b: Point): number {
  const along = subtract(b, a);
  const lengthSquared = dot(along, along);
  return lengthSquared === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(p, a), along) / lengthSquared));
}
export const isFinitePoint = (p: Point): boolean => Number.isFinite(p.x) && Number.isFinite(p.y);
