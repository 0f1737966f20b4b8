import { mitreMouthWidth } from '../allowance/index.ts';
import {
  cross,
  distanceToRun,
  dot3,
  furthestWithin,
  point3,
  subtract,
  unitVector,
  type Point3,
  type RigidMap,
} from '../geometry/index.ts';
import { defined } from '../units/index.ts';
import { bentBodies } from './bent-bodies.ts';
import { carriedPiece, foamPieces, type FoamPiece } from './foam-pieces.ts';
import type { FoldTree } from './fold-tree.ts';
import { fold, foldedBy, type FoldedPlates } from './fold.ts';
import type { PlateSolid } from './plate-solid.ts';
import type { Hinge } from './plates.ts';

/** Two plates that are in each other, and how deep at most, in mm. */
export interface Clash {
  readonly plates: readonly [number, number];
  readonly depthMm: number;
  /** The groove between them that is too narrow: the mouth that it needs, and by how much that is wider. */
  readonly widen?: { readonly operationId: string; readonly toMm: number; readonly byMm: number };
}

/** A plate's solid and where it has been carried to. */
export interface CarriedSolid {
  readonly solid: PlateSolid;
  readonly map: RigidMap;
}

/** Plates may press into each other by this much; less is rounding. */
export const CLASH_MM = 0.01;
/** Creased foam presses together; so do neighbours of a groove by what their knife leaves. Deeper than this share of the board is a clash. */
const PRESSED_SHARE = 0.35;

interface Placed {
  readonly solid: PlateSolid;
  readonly pieces: readonly (FoamPiece & { readonly box: Box })[];
  readonly box: Box;
}
interface Box {
  readonly low: Point3;
  readonly high: Point3;
}

function placed({ solid, map }: CarriedSolid): Placed {
  const pieces = foamPieces(solid).map((piece) => {
    const carried = carriedPiece(piece, map);
    return { ...carried, box: boxOf(carried.corners) };
  });
  return { solid, pieces, box: boxOf(pieces.flatMap(({ box: { low, high } }) => [low, high])) };
}
function boxOf(points: readonly Point3[]): Box {
  const low = { x: Infinity, y: Infinity, z: Infinity },
    high = { x: -Infinity, y: -Infinity, z: -Infinity };
  for (const p of points) {
    low.x = Math.min(low.x, p.x);
    low.y = Math.min(low.y, p.y);
    low.z = Math.min(low.z, p.z);
    high.x = Math.max(high.x, p.x);
    high.y = Math.max(high.y, p.y);
    high.z = Math.max(high.z, p.z);
  }
  return { low, high };
}
const isApart = ({ low: a, high: b }: Box, { low: c, high: d }: Box): boolean =>
  b.x < c.x + CLASH_MM ||
  d.x < a.x + CLASH_MM ||
  b.y < c.y + CLASH_MM ||
  d.y < a.y + CLASH_MM ||
  b.z < c.z + CLASH_MM ||
  d.z < a.z + CLASH_MM;

/** Whether all of a piece lies beyond one of another's sides, but for what counts as touching. */
const isBeyondASide = (piece: FoamPiece, { sides }: FoamPiece): boolean =>
  sides.some(({ normal, mostMm }) => piece.corners.every((corner) => dot3(normal, corner) > mostMm - CLASH_MM));

/** How thick the foam is that is in both of two convex pieces: the largest ball in it tells. */
function sharedThickness(a: FoamPiece, b: FoamPiece): number {
  if (isBeyondASide(a, b) || isBeyondASide(b, a)) return 0;
  const sides = [...a.sides, ...b.sides];
  const ball = furthestWithin(
    sides.map(({ normal, mostMm }) => ({ normal: [normal.x, normal.y, normal.z, 1], most: mostMm })),
    [0, 0, 0, 1],
  );
  if (!ball) return 0;
  const centre = point3(ball[0]!, ball[1]!, ball[2]!);
  return 2 * Math.max(0, Math.min(...sides.map(({ normal, mostMm }) => mostMm - dot3(normal, centre))));
}

/** How deep two plates are in each other. */
function depthBetween(a: Placed, b: Placed): number {
  let deepest = 0;
  for (const own of a.pieces) {
    if (isApart(own.box, b.box)) continue;
    for (const other of b.pieces)
      if (!isApart(own.box, other.box)) deepest = Math.max(deepest, sharedThickness(own, other));
  }
  return deepest;
}

/** How deep two plates are in each other, in mm; 0 when they are apart. */
export function overlapOf(a: CarriedSolid, b: CarriedSolid): number {
  const [p, q] = [placed(a), placed(b)];
  return isApart(p.box, q.box) ? 0 : depthBetween(p, q);
}

/** Plates of different bodies that are in each other: `[body, plate]` of both, deepest first. */
export function clashesBetween(
  bodies: readonly (readonly CarriedSolid[])[],
): readonly { readonly bodies: readonly [number, number]; readonly depthMm: number }[] {
  const all = bodies.map((solids) => solids.filter(({ solid }) => solid.plate.kind === 'board').map(placed));
  const boxes = all.map((plates) => boxOf(plates.flatMap(({ box: { low, high } }) => [low, high])));
  const found = all.flatMap((own, i) =>
    all.slice(i + 1).flatMap((others, k) => {
      const j = i + 1 + k;
      if (isApart(boxes[i]!, boxes[j]!)) return [];
      const depthMm = Math.max(
        0,
        ...own.flatMap((a) => others.map((b) => (isApart(a.box, b.box) ? 0 : depthBetween(a, b)))),
      );
      return depthMm > CLASH_MM ? [{ bodies: [i, j] as const, depthMm }] : [];
    }),
  );
  return found.sort((a, b) => b.depthMm - a.depthMm);
}

/**
 * Whether two plates that do not touch along a fold belong to bent bodies that do: a fold's bevels run on over the next piece of a bent body,
 * which the solid of that piece does not show, and the pieces at the fold are looked at themselves.
 */
function sharedWork({ hinges }: FoldTree, bodyOf: readonly number[]): (a: number, b: number) => boolean {
  const key = (a: number, b: number): string => (a < b ? `${a},${b}` : `${b},${a}`);
  const isBent = new Set(bodyOf.filter((body, index) => bodyOf.indexOf(body) !== index));
  const bodies = new Set(hinges.map(({ left, right }) => key(bodyOf[left]!, bodyOf[right]!))),
    plates = new Set(hinges.map(({ left, right }) => key(left, right)));
  return (a, b) =>
    (isBent.has(bodyOf[a]!) || isBent.has(bodyOf[b]!)) &&
    bodies.has(key(bodyOf[a]!, bodyOf[b]!)) &&
    !plates.has(key(a, b));
}

/** The groove between two plates when it is too narrow for its turn. */
function narrowGroove(
  { hinges, thicknessMm }: FoldTree,
  solids: readonly PlateSolid[],
  a: number,
  b: number,
): Clash['widen'] {
  const hinge = hinges.find(
    ({ kind, left, right }) => kind === 'groove' && ((left === a && right === b) || (left === b && right === a)),
  );
  if (!hinge || Math.abs(hinge.turnDegrees) >= 170) return undefined;
  const toMm = mitreMouthWidth(Math.abs(hinge.turnDegrees), thicknessMm),
    mouthMm = mouthOf(solids, hinge);
  return mouthMm !== undefined && toMm - mouthMm > CLASH_MM
    ? { operationId: hinge.operationId, toMm, byMm: toMm - mouthMm }
    : undefined;
}

/** The mouth that was cut for a groove: how far its two plates' worked skins stand from its line. */
function mouthOf(solids: readonly PlateSolid[], { left, right, from, to, zMm }: Hinge): number | undefined {
  const runs = [left, right]
    .map((index) => solids.find(({ plate }) => plate.index === index))
    .map((solid) => {
      const side =
        solid?.plate.outer.findIndex(
          (p, at) =>
            distanceToRun(p, from, to) < 0.02 &&
            distanceToRun(solid.plate.outer[(at + 1) % solid.plate.outer.length]!, from, to) < 0.02,
        ) ?? -1;
      if (!solid || side < 0) return undefined;
      return Math.abs(cross(unitVector(from, to), subtract((zMm === 0 ? solid.top : solid.bottom)[side]!, from)));
    });
  return runs[0] === undefined || runs[1] === undefined ? undefined : runs[0] + runs[1];
}

/**
 * Plates that are in each other as they lie. Neighbours at a crease press their foam together, which is not counted until it would crush.
 * @param isWanted which pairs of plates are looked at
 * @source plates as convex pieces; two of them are in each other where a ball has room in both, whose greatest diameter is found by linear
 * programming
 */
export function clashesOf(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  maps: FoldedPlates,
  isWanted: (a: number, b: number) => boolean = () => true,
): readonly Clash[] {
  const all = solids.map((solid) => placed({ solid, map: maps[solid.plate.index]! }));
  const bodyOf = bentBodies(tree);
  const soft = new Set(
    tree.hinges
      .filter(({ kind }) => kind === 'crease' || kind === 'bend')
      .flatMap(({ left, right }) => [`${bodyOf[left]},${bodyOf[right]}`, `${bodyOf[right]},${bodyOf[left]}`]),
  );
  const isShared = sharedWork(tree, bodyOf);
  return all.flatMap((a, index) =>
    all.slice(index + 1).flatMap((b): readonly Clash[] => {
      if (
        isShared(a.solid.plate.index, b.solid.plate.index) ||
        a.solid.plate.kind === 'skin' ||
        b.solid.plate.kind === 'skin' ||
        !isWanted(a.solid.plate.index, b.solid.plate.index) ||
        isApart(a.box, b.box)
      )
        return [];
      const allowed = soft.has(`${bodyOf[a.solid.plate.index]},${bodyOf[b.solid.plate.index]}`)
        ? PRESSED_SHARE * a.solid.thicknessMm
        : CLASH_MM;
      const depthMm = depthBetween(a, b);
      if (depthMm <= allowed) return [];
      const widen = narrowGroove(tree, solids, a.solid.plate.index, b.solid.plate.index);
      return [{ plates: [a.solid.plate.index, b.solid.plate.index], depthMm, ...defined({ widen }) }];
    }),
  );
}

/** The first clash on the way from flat to folded, all folds turning together, and at which share of the way; undefined when nothing is in the way. */
export function firstClash(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  steps = 12,
): (Clash & { readonly share: number }) | undefined {
  for (let step = 1; step <= steps; step++) {
    const worst = [...clashesOf(solids, tree, fold(tree, foldedBy(step / steps)))].sort(
      (a, b) => b.depthMm - a.depthMm,
    )[0];
    if (worst) return { ...worst, share: step / steps };
  }
  return undefined;
}
