import {
  add3,
  applyRigid,
  cross3,
  invertRigid,
  subtract3,
  turnVector,
  unit3,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';

/** A plate in space: a polygon on the skin of its hinges, seen counter-clockwise from its face. */
export interface SpacePlate {
  readonly outer: readonly Point3[];
}

/** Two plates of a body that stay joined when it is unrolled: the line they share in space. */
export interface SpaceHinge {
  readonly parent: number;
  readonly child: number;
  readonly from: Point3;
  readonly to: Point3;
}

/** The frame of a plate: x along its first edge, z its normal. */
function frameOf({ outer }: SpacePlate): RigidMap {
  let normal = { x: 0, y: 0, z: 0 };
  outer.forEach((p, index) => {
    normal = add3(normal, cross3(p, outer[(index + 1) % outer.length]!));
  }); // Newell: right for any plane polygon
  const z = unit3(normal),
    x = unit3(subtract3(outer[1]!, outer[0]!));
  return { x, y: cross3(z, x), z, origin: outer[0]! };
}

/** The map that lays a plate flat with a line of it where the line lies flat already. */
function laidFlat(plate: SpacePlate, from: Point3, to: Point3, flatFrom: Point3, flatTo: Point3): RigidMap {
  const { z } = frameOf(plate);
  const x = unit3(subtract3(to, from)),
    own: RigidMap = { x, y: cross3(z, x), z, origin: from };
  const flatX = unit3(subtract3(flatTo, flatFrom)),
    up = { x: 0, y: 0, z: 1 };
  const flat: RigidMap = { x: flatX, y: cross3(up, flatX), z: up, origin: flatFrom };
  const back = invertRigid(own);
  return {
    x: turnVector(flat, back.x),
    y: turnVector(flat, back.y),
    z: turnVector(flat, back.z),
    origin: applyRigid(flat, back.origin),
  };
}

/**
 * Unrolls a tree of plates from space into the plane of its first plate: the inverse of folding.
 * @param hinges every parent before its children; the root is the plate that no hinge has as a child
 * @returns for each plate the map from space onto the flat part, its hinge lines where its parent's are
 */
export function unfold(
  plates: readonly SpacePlate[],
  hinges: readonly SpaceHinge[],
  root: number,
): readonly RigidMap[] {
  const maps: RigidMap[] = [];
  maps[root] = invertRigid(frameOf(plates[root]!));
  for (const { parent, child, from, to } of hinges) {
    const before = maps[parent]!;
    maps[child] = laidFlat(plates[child]!, from, to, applyRigid(before, from), applyRigid(before, to));
  }
  return maps;
}
