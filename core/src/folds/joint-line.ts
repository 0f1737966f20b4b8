import {
  add3,
  applyRigid,
  composeRigid,
  cross3,
  distance,
  interpolate3,
  invertRigid,
  point3,
  subtract3,
  times3,
  turnAbout,
  turnVector,
  unit3,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import type { Joint } from '../part/index.ts';
import type { FoldedPlates } from './fold.ts';
import { edgesNamed, SKIN, type Line3, type SeamEdge } from './seam-edges.ts';
import type { StandingPart } from './standing.ts';

/** The longest free piece of a straight edge, or a straight line drawn on a plate. */
export function jointLine({ whole, body }: StandingPart, segmentId: string): SeamEdge | undefined {
  const length = ({ from, to }: SeamEdge): number => distance(from, to);
  return [...edgesNamed(whole, body, segmentId)].sort((a, b) => length(b) - length(a))[0];
}

/** A frame on a line of a plate: x along it, y to its left within the plate, z out of its face. */
function frameOn([from, to]: Line3, normal: Point3): RigidMap {
  const x = unit3(subtract3(to, from));
  return { x, y: cross3(normal, x), z: normal, origin: interpolate3(from, to, 0.5) };
}

/**
 * The map that stands a part on another by a joint.
 * @source the two lines run against each other like those of neighbours across a fold; then the piece turns about the line
 */
export function jointMap(
  joint: Joint,
  own: { readonly line: SeamEdge; readonly maps: FoldedPlates },
  to: { readonly line: SeamEdge; readonly maps: FoldedPlates },
): RigidMap {
  const carried = ({ line, maps }: typeof own, skin: 'back' | 'face'): RigidMap => {
    const map = maps[line.solid.plate.index]!,
      [a, b] = line.flat[SKIN[skin]];
    return frameOn([applyRigid(map, a), applyRigid(map, b)], turnVector(map, point3(0, 0, 1)));
  };
  const mine = carried(own, joint.ownSkin),
    there = carried(to, joint.toSkin),
    sign = joint.isReversed ? 1 : -1;
  const origin = add3(there.origin, times3(there.x, joint.alongMm));
  const onLine: RigidMap = { x: times3(there.x, sign), y: times3(there.y, sign), z: there.z, origin };
  return composeRigid(composeRigid(invertRigid(mine), onLine), turnAbout(origin, onLine.x, joint.turnDegrees));
}
