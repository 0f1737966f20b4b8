import {
  applyRigid,
  composeRigid,
  STILL,
  turnAbout,
  type Point,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import type { FoldTree, Turn } from './fold-tree.ts';
import type { Hinge } from './plates.ts';

/** How far each hinge is turned, in degrees. */
export type HingeState = (hinge: Hinge) => number;

/** Every hinge a share of its way: 0 flat, 1 folded. */
export const foldedBy =
  (share: number): HingeState =>
  (hinge) =>
    hinge.turnDegrees * share;

/** Where every plate of a part lies: plate by plate, the map from the flat part into space. */
export type FoldedPlates = readonly RigidMap[];

/** The turn of a child plate about its hinge: the plate on the left rises with a right-handed turn along the line, the one on the right with the other. */
function turnMap({ hinge, child }: Turn, degrees: number): RigidMap {
  const { from, to, zMm, neutralMm = zMm, left } = hinge;
  return turnAbout(
    { ...from, z: neutralMm },
    { x: to.x - from.x, y: to.y - from.y, z: 0 },
    child === left ? degrees : -degrees,
  );
}

/**
 * Folds a tree of plates: each plate turns about its hinge together with all that hangs on it. The root stays where it is drawn.
 * Plates that hang on nothing stay flat.
 * @source forward kinematics: the map of a plate is its own turn, then the map of the plate before it
 */
export function fold(tree: FoldTree, state: HingeState = foldedBy(1)): FoldedPlates {
  const maps: RigidMap[] = tree.plates.map(() => STILL);
  for (const turn of tree.turns) maps[turn.child] = composeRigid(turnMap(turn, state(turn.hinge)), maps[turn.parent]!);
  return maps;
}

/** A point of the flat part at a height over its far skin, where a plate carries it. */
export const placedPoint = (map: RigidMap, p: Point, zMm: number): Point3 =>
  applyRigid(map, { x: p.x, y: p.y, z: zMm });
