import {
  applyRigid,
  composeRigid,
  distance3,
  interpolate3,
  leftOf,
  STILL,
  subtract3,
  times3,
  turnAbout,
  unit3,
  unitVector,
  add3,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import { drawnId } from '../part/index.ts';
import type { FoldTree } from './fold-tree.ts';
import type { Hinge } from './plates.ts';
import type { Line3, SeamEdge } from './seam-edges.ts';

/** One fold on the way round a ring: from the plate before to the plate after it. */
export interface RingJoint {
  readonly hinge: Hinge;
  /** The fold as it is drawn. */ readonly operationId: string;
  /** 1 where the plate after it lies on the hinge's left. */ readonly sign: 1 | -1;
  /** The plate that the joint leads out of. */ readonly before: number;
}

/** A ring of plates that a seam is to close: its folds from the seam's first edge to its second. */
export interface RingChain {
  readonly joints: readonly RingJoint[];
  /** The last plate, that of the second edge. */ readonly last: number;
  /** Both edges on the flat part, on the skin that the folds turn about. */
  readonly lines: readonly [Line3, Line3];
}

/** The folds that lead from one edge's plate to another's; undefined when none do. */
export function ringChain(tree: FoldTree, a: SeamEdge, b: SeamEdge): RingChain | undefined {
  const way = wayBetween(tree, a.solid.plate.index, b.solid.plate.index);
  if (!way || way.length === 0) return undefined;
  // Plates turn about the skin that stays: that of most of the folds.
  const skin = 2 * way.filter(({ hinge }) => hinge.zMm > 0).length > way.length ? 1 : 0;
  return { joints: way, last: b.solid.plate.index, lines: [a.flat[skin], b.flat[skin]] };
}

function wayBetween({ turns }: FoldTree, from: number, to: number): readonly RingJoint[] | undefined {
  const reached = new Map<number, readonly RingJoint[]>([[from, []]]);
  const queue = [from];
  for (const plate of queue) {
    // grows while it is walked
    for (const { hinge, parent, child } of turns) {
      const next = parent === plate ? child : child === plate ? parent : undefined;
      if (next === undefined || reached.has(next)) continue;
      const sign = next === hinge.left ? 1 : -1;
      reached.set(next, [
        ...reached.get(plate)!,
        { hinge, operationId: drawnId(hinge.operationId), sign, before: plate },
      ]);
      queue.push(next);
    }
  }
  return reached.get(to);
}

/** How much longer a plate of the ring is taken than it is drawn, across its next fold. */
export interface Longer {
  /** Place in the ring: 0 the plate of the first edge. */ readonly at: number;
  readonly byMm: number;
}

/**
 * How far the second edge lies from the first, folded: the way between their middles and, half a length out, between their directions.
 * @param turns of the joints in degrees, toward the face
 */
export function ringGap(chain: RingChain, turns: readonly number[], longer?: Longer): readonly number[] {
  const [a, b] = [chain.lines[0], endOfRing(chain, turns, longer)];
  const middle = ([p, q]: Line3): Point3 => interpolate3(p, q, 0.5),
    direction = ([p, q]: Line3): Point3 => unit3(subtract3(q, p));
  const half = Math.min(distance3(...a), distance3(...b)) / 2;
  const u = direction(a);
  const apart = subtract3(middle(b), middle(a)),
    // Both edges have their plates on their left: where they meet they run against each other.
    askew = times3(add3(u, direction(b)), half);
  return [apart.x, apart.y, apart.z, askew.x, askew.y, askew.z];
}

/** The second edge where the ring's folds carry it, seen from the first plate. */
function endOfRing({ joints, lines }: RingChain, turns: readonly number[], longer?: Longer): Line3 {
  let map: RigidMap = STILL;
  joints.forEach(({ hinge, sign }, index) => {
    if (longer?.at === index) map = composeRigid(stretch(hinge, -sign as 1 | -1, longer.byMm), map);
    const along = { x: hinge.to.x - hinge.from.x, y: hinge.to.y - hinge.from.y, z: 0 };
    map = composeRigid(turnAbout({ ...hinge.from, z: hinge.neutralMm ?? hinge.zMm }, along, sign * turns[index]!), map);
  });
  const lastJoint = joints.at(-1)!;
  if (longer?.at === joints.length)
    map = composeRigid(stretch(lastJoint.hinge, -lastJoint.sign as 1 | -1, longer.byMm), map);
  return [applyRigid(map, lines[1][0]), applyRigid(map, lines[1][1])];
}

/** What lies beyond a plate moved out, square to a hinge: to its left for a plate after it on the left. */
function stretch({ from, to }: Hinge, side: 1 | -1, byMm: number): RigidMap {
  const { x, y } = leftOf(unitVector(from, to));
  return { ...STILL, origin: { x: -side * x * byMm, y: -side * y * byMm, z: 0 } };
}
