import { composeRigid, point3, type Point, type RigidMap } from '../../geometry/index.ts';
import type { Place } from '../../part/index.ts';
import { degrees, radians } from '../../units/index.ts';
import type { FormPlace } from './form.ts';

/** Upright beyond this the roll and the yaw are one turn. */
const UPRIGHT = 1 - 1e-12;

/** A zero has no sign in a file. */
const unsigned = ({ x, y, z }: Place['at']): Place['at'] => ({ x: x + 0, y: y + 0, z: z + 0 });

/**
 * A rigid map from the flat part into the airframe as a place: rolled about x, pitched about y, yawed about z, then moved.
 * @param onPlate the point of the flat part whose plate lies so
 * @source Tait-Bryan angles of a turn whose columns are the images of the axes
 */
export function placeOf(map: RigidMap, onPlate: Point): Place {
  const { x, y, z, origin } = map;
  const isUpright = Math.abs(x.z) > UPRIGHT;
  return {
    at: unsigned(origin),
    rollDegrees: degrees(isUpright ? Math.atan2(-z.y, y.y) : Math.atan2(y.z, z.z)),
    pitchDegrees: degrees(Math.asin(Math.max(-1, Math.min(1, -x.z)))) + 0,
    yawDegrees: isUpright ? 0 : degrees(Math.atan2(x.y, x.x)),
    onPlate,
  };
}

/** From a wing's own frame (outboard to port, aft, up) into the axes of the airframe (aft, to starboard, up), as the form stands. */
export function standingOf({ at, incidenceDegrees }: FormPlace): RigidMap {
  const cos = Math.cos(radians(incidenceDegrees)),
    sin = Math.sin(radians(incidenceDegrees));
  return { x: point3(0, -1, 0), y: point3(cos, 0, -sin), z: point3(sin, 0, cos), origin: at };
}

/** The place of a part that lies by a map in the wing's own frame. */
export const placeIn = (place: FormPlace, map: RigidMap, onPlate: Point): Place =>
  placeOf(composeRigid(map, standingOf(place)), onPlate);
