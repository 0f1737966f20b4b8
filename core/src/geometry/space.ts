import { radians } from '../units/index.ts';

/** A point or vector in space in mm; z up from the far skin of a board that lies face up. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A rigid map of space: the columns of its turn, and where the origin goes. */
export interface RigidMap {
  readonly x: Point3;
  readonly y: Point3;
  readonly z: Point3;
  readonly origin: Point3;
}

export const point3 = (x: number, y: number, z: number): Point3 => ({ x, y, z });
export const add3 = (a: Point3, b: Point3): Point3 => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
export const subtract3 = (a: Point3, b: Point3): Point3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
export const times3 = (a: Point3, k: number): Point3 => ({ x: a.x * k, y: a.y * k, z: a.z * k });
export const dot3 = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const cross3 = (a: Point3, b: Point3): Point3 => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
export const length3 = (a: Point3): number => Math.hypot(a.x, a.y, a.z);
export const distance3 = (a: Point3, b: Point3): number => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
export const interpolate3 = (a: Point3, b: Point3, t: number): Point3 => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
  z: a.z + (b.z - a.z) * t,
});
/** Unit vector of a vector; the zero vector for one of no length. */
export const unit3 = (a: Point3): Point3 => {
  const length = length3(a);
  return length === 0 ? a : times3(a, 1 / length);
};

export const STILL: RigidMap = { x: point3(1, 0, 0), y: point3(0, 1, 0), z: point3(0, 0, 1), origin: point3(0, 0, 0) };
/** A vector under the map's turn. */
export const turnVector = (map: RigidMap, v: Point3): Point3 =>
  add3(add3(times3(map.x, v.x), times3(map.y, v.y)), times3(map.z, v.z));
export const applyRigid = (map: RigidMap, p: Point3): Point3 => add3(turnVector(map, p), map.origin);
/** Applies `first`, then `second`. */
export const composeRigid = (first: RigidMap, second: RigidMap): RigidMap => ({
  x: turnVector(second, first.x),
  y: turnVector(second, first.y),
  z: turnVector(second, first.z),
  origin: applyRigid(second, first.origin),
});
/** The map back. */
export function invertRigid({ x, y, z, origin }: RigidMap): RigidMap {
  const turned = { x: point3(x.x, y.x, z.x), y: point3(x.y, y.y, z.y), z: point3(x.z, y.z, z.z) };
  const back = turnVector({ ...turned, origin: point3(0, 0, 0) }, origin);
  return { ...turned, origin: times3(back, -1) };
}

/**
 * Turn about a line through a point, by the right hand along its direction.
 * @param direction not of no length
 * @source Rodrigues' rotation formula
 */
export function turnAbout(through: Point3, direction: Point3, angleDegrees: number): RigidMap {
  const axis = unit3(direction),
    cos = Math.cos(radians(angleDegrees)),
    sin = Math.sin(radians(angleDegrees));
  const turned = (v: Point3): Point3 =>
    add3(add3(times3(v, cos), times3(cross3(axis, v), sin)), times3(axis, dot3(axis, v) * (1 - cos)));
  const turn = { x: turned(STILL.x), y: turned(STILL.y), z: turned(STILL.z) };
  return { ...turn, origin: subtract3(through, turnVector({ ...turn, origin: STILL.origin }, through)) };
}

/** Distance of a point from the straight run a to b. */
export function distanceToRun3(p: Point3, a: Point3, b: Point3): number {
  const along = subtract3(b, a),
    squared = dot3(along, along);
  const t = squared === 0 ? 0 : Math.min(1, Math.max(0, dot3(subtract3(p, a), along) / squared));
  return distance3(p, interpolate3(a, b, t));
}
