import {
  add3,
  applyRigid,
  composeRigid,
  cross3,
  distance,
  dot,
  interpolate3,
  invertRigid,
  point3,
  subtract,
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

/** The pieces of that edge, one after the other. */
export function jointPieces({ whole, body }: StandingPart, segmentId: string): readonly SeamEdge[] {
  const length = ({ from, to }: SeamEdge): number => distance(from, to);
  const pieces = edgesNamed(whole, body, segmentId),
    longest = [...pieces].sort((a, b) => length(b) - length(a))[0];
  if (!longest) return [];
  const along = subtract(longest.to, longest.from);
  return pieces.filter(({ solid }) => solid === longest.solid).sort((a, b) => dot(along, subtract(a.from, b.from)));
}

/**
 * The straight edge or line that a part stands by: of an edge that folds part, what is on the plate with its longest piece; tabs and laps
 * on it leave its ends where they are.
 */
export function jointLine(standing: StandingPart, segmentId: string): SeamEdge | undefined {
  const pieces = jointPieces(standing, segmentId),
    [first, last] = [pieces[0], pieces.at(-1)];
  if (!first || !last || pieces.length === 1) return first;
  const flat = ([0, 1] as const).map((skin): Line3 => [first.flat[skin][0], last.flat[skin][1]]);
  return { ...first, from: first.from, to: last.to, flat: [flat[0]!, flat[1]!] };
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
