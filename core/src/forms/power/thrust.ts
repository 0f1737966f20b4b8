import {
  add3,
  cross3,
  dot3,
  point3,
  times3,
  unit3,
  type Point,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import { radians } from '../../units/index.ts';

/** The plane that a box's front is cut in, and the axis of the motor on it. Frame: x aft, y to starboard, z up from the floor's outside. */
export interface Thrust {
  /** Forward along the shaft, of length 1. */
  readonly forward: Point3;
  /** A point of the plane: on the line of the propeller. */
  readonly through: Point3;
  /** In the plane: level to starboard, and up. */
  readonly across: Point3;
  readonly up: Point3;
}

/**
 * The plane of a firewall that is turned to the right and down.
 * @param lineMm height of the line of the propeller over the floor's outside
 * @source the shaft's direction is that of the nose, turned down about the axis across, then to the right about the upright one
 */
export function thrustPlane(rightDegrees: number, downDegrees: number, lineMm: number): Thrust {
  const [r, d] = [radians(rightDegrees), radians(downDegrees)];
  const forward = point3(-Math.cos(r) * Math.cos(d), Math.sin(r) * Math.cos(d), -Math.sin(d)),
    aft = times3(forward, -1),
    across = unit3(cross3(point3(0, 0, 1), aft));
  return { forward, through: point3(0, 0, lineMm), across, up: cross3(aft, across) };
}

/** Where the plane is met going along the box at a place across and up. */
export function frontAt({ forward, through }: Thrust, y: number, z: number): number {
  return -(forward.y * (y - through.y) + forward.z * (z - through.z)) / forward.x;
}

/** The plane as a flat: x to starboard, y up, seen from behind; so far aft of the plane. */
export const planeMap = ({ forward, through, across, up }: Thrust, aftMm: number): RigidMap => ({
  x: across,
  y: up,
  z: times3(forward, -1),
  origin: add3(through, times3(forward, -aftMm)),
});

/** A place of the box's frame on the flat of the plane. */
export const onPlane = ({ through, across, up }: Thrust, p: Point3): Point => {
  const from = { x: p.x - through.x, y: p.y - through.y, z: p.z - through.z };
  return { x: dot3(from, across), y: dot3(from, up) };
};

/** Where the propeller's middle lies: on the line, so far before the firewall's front along the shaft. */
export function propellerMiddle({ forward, through }: Thrust, beforePlaneMm: number): Point3 {
  return add3(through, point3(beforePlaneMm / forward.x, 0, 0));
}

/** Where the motor stands on the plane, so that the propeller's middle stays on the line. */
export const motorPlace = (thrust: Thrust, beforePlaneMm: number): Point =>
  onPlane(thrust, propellerMiddle(thrust, beforePlaneMm));
