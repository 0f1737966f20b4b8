import { mitreMouthWidth } from '../allowance/index.ts';
import {
  applyRigid,
  boundsOf,
  composeRigid,
  cross,
  distance,
  distanceToEdge,
  distanceToRun,
  interpolate,
  interpolate3,
  invertRigid,
  isInside,
  subtract,
  unitVector,
  type Bounds,
  type Point3,
  type Polygon,
  type RigidMap,
} from '../geometry/index.ts';
import { defined, memo } from '../units/index.ts';
import type { FoldTree } from './fold-tree.ts';
import { fold, foldedBy, placedPoint, type FoldedPlates } from './fold.ts';
import { movedIn, type PlateSolid } from './plate-solid.ts';
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
const EDGE_SAMPLES = [0.1, 0.3, 0.5, 0.7, 0.9];

interface Placed {
  readonly solid: PlateSolid;
  readonly map: RigidMap;
  readonly back: RigidMap;
  readonly corners: readonly Point3[];
  readonly edges: readonly (readonly [Point3, Point3])[];
  readonly box: Box;
  readonly ground: Bounds;
}
interface Box {
  readonly low: Point3;
  readonly high: Point3;
}

function placed({ solid, map }: CarriedSolid): Placed {
  const low = solid.bottom.map((p) => placedPoint(map, p, 0)),
    high = solid.top.map((p) => placedPoint(map, p, solid.thicknessMm));
  const ring = (points: readonly Point3[]): readonly (readonly [Point3, Point3])[] =>
    points.map((p, index) => [p, points[(index + 1) % points.length]!] as const);
  const corners = [...low, ...high];
  return {
    solid,
    map,
    back: invertRigid(map),
    corners,
    edges: [...ring(low), ...ring(high), ...low.map((p, index) => [p, high[index]!] as const)],
    box: boxOf(corners),
    ground: boundsOf(solid.plate.outer),
  };
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

/** How deep a point in a plate's own frame lies in its foam; 0 outside. */
function depthIn({ bottom, top, holes, thicknessMm }: PlateSolid, p: Point3): number {
  if (p.z <= 0 || p.z >= thicknessMm) return 0;
  const level: Polygon =
    bottom === top ? bottom : bottom.map((corner, index) => interpolate(corner, top[index]!, p.z / thicknessMm));
  if (!isInside(p, level) || holes.some((hole) => isInside(p, hole))) return 0;
  return Math.min(p.z, thicknessMm - p.z, distanceToEdge(p, level));
}

/** Shares of a plate's thickness at which rings are laid within it, and how far in from its sides. */
const LEVELS = [0.1, 0.5, 0.9],
  INSETS = [0.1, 0.5];

/** Rings within a plate, as the edges of its flat part: plates that lie flush in each other share their corners' planes, not these. */
const ringsWithin = memo((solid: PlateSolid): readonly (readonly [Point3, Point3])[] => {
  const { bottom, top, thicknessMm } = solid;
  return LEVELS.flatMap((level) => {
    const whole = bottom === top ? bottom : bottom.map((p, index) => interpolate(p, top[index]!, level));
    const ring = whole.filter((p, index) => distance(p, whole[(index + 1) % whole.length]!) > 1e-6);
    if (ring.length < 3) return [];
    return INSETS.flatMap((inset) => {
      const inner = movedIn(
        ring,
        ring.map(() => inset * thicknessMm),
      ).map(({ x, y }) => ({ x, y, z: level * thicknessMm }));
      return inner.map((p, index) => [p, inner[(index + 1) % inner.length]!] as const);
    });
  });
});

/** How deep rings within one plate lie in another. */
function depthWithin({ solid, map }: Placed, outer: Placed): number {
  const over = composeRigid(map, outer.back),
    {
      ground: box,
      solid: { thicknessMm },
    } = outer;
  let deepest = 0;
  for (const [a, b] of ringsWithin(solid)) {
    const [p, q] = [applyRigid(over, a), applyRigid(over, b)];
    if (
      (p.z <= 0 && q.z <= 0) ||
      (p.z >= thicknessMm && q.z >= thicknessMm) ||
      (p.x <= box.minX && q.x <= box.minX) ||
      (p.x >= box.maxX && q.x >= box.maxX) ||
      (p.y <= box.minY && q.y <= box.minY) ||
      (p.y >= box.maxY && q.y >= box.maxY)
    )
      continue;
    for (const sample of RING_SAMPLES) deepest = Math.max(deepest, depthIn(outer.solid, interpolate3(p, q, sample)));
  }
  return deepest;
}
const RING_SAMPLES = [0, 0.2, 0.4, 0.6, 0.8];

/** How deep two plates are in each other. */
const depthBetween = (a: Placed, b: Placed): number =>
  Math.max(depthOf(a, b), depthOf(b, a), depthWithin(a, b), depthWithin(b, a));

/** How deep one plate's corners and edges lie in another. */
function depthOf(inner: Placed, outer: Placed): number {
  const {
    ground: box,
    solid: { thicknessMm },
  } = outer;
  let deepest = 0;
  const look = (p: Point3): void => {
    if (p.z > 0 && p.z < thicknessMm && p.x > box.minX && p.x < box.maxX && p.y > box.minY && p.y < box.maxY)
      deepest = Math.max(deepest, depthIn(outer.solid, p));
  };
  const corners = new Map(inner.corners.map((corner) => [corner, applyRigid(outer.back, corner)]));
  for (const corner of corners.values()) look(corner);
  for (const [a, b] of inner.edges) {
    const [p, q] = [corners.get(a)!, corners.get(b)!];
    const isBeside =
      (p.x <= box.minX && q.x <= box.minX) ||
      (p.x >= box.maxX && q.x >= box.maxX) ||
      (p.y <= box.minY && q.y <= box.minY) ||
      (p.y >= box.maxY && q.y >= box.maxY) ||
      (p.z <= 0 && q.z <= 0) ||
      (p.z >= thicknessMm && q.z >= thicknessMm);
    if (isBeside) continue;
    const [low, high] = [Math.max(0, Math.min(p.z, q.z)), Math.min(thicknessMm, Math.max(p.z, q.z))];
    if (high - low <= 0 && (p.z <= 0 || p.z >= thicknessMm)) continue;
    const share = (z: number): number => (Math.abs(q.z - p.z) < 1e-9 ? 0 : (z - p.z) / (q.z - p.z));
    const [s, t] = Math.abs(q.z - p.z) < 1e-9 ? [0, 1] : [share(low), share(high)];
    for (const sample of EDGE_SAMPLES) look(interpolate3(p, q, s + (t - s) * sample));
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
 * @source corners, edges and rings within each plate are looked for in the other's own frame; depth is the distance to its nearest side
 */
export function clashesOf(
  solids: readonly PlateSolid[],
  tree: FoldTree,
  maps: FoldedPlates,
  isWanted: (a: number, b: number) => boolean = () => true,
): readonly Clash[] {
  const all = solids.map((solid) => placed({ solid, map: maps[solid.plate.index]! }));
  const soft = new Set(
    tree.hinges
      .filter(({ kind }) => kind === 'crease')
      .map(({ left, right }) => [left, right].sort((a, b) => a - b).join()),
  );
  return all.flatMap((a, index) =>
    all.slice(index + 1).flatMap((b): readonly Clash[] => {
      if (
        a.solid.plate.kind === 'skin' ||
        b.solid.plate.kind === 'skin' ||
        !isWanted(a.solid.plate.index, b.solid.plate.index) ||
        isApart(a.box, b.box)
      )
        return [];
      const allowed = soft.has(`${a.solid.plate.index},${b.solid.plate.index}`)
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
