import {
  applyRigid,
  convexPieces,
  counterClockwise,
  cross,
  cross3,
  distance,
  dot,
  dot3,
  intersectionOf,
  isInside,
  leftOf,
  point3,
  polygonArea,
  signedArea,
  subtract,
  subtract3,
  times3,
  turnVector,
  unit3,
  unitVector,
  type Point3,
  type Polygon,
  type RigidMap,
} from '../geometry/index.ts';
import { memo } from '../units/index.ts';
import type { PlateSolid, RunOn } from './plate-solid.ts';

/** A side of a convex piece of foam: places on its inside have `normal · p` of at most `mostMm`. */
export interface FoamSide {
  readonly normal: Point3;
  readonly mostMm: number;
}
/** A convex piece of foam. */
export interface FoamPiece {
  readonly sides: readonly FoamSide[];
  readonly corners: readonly Point3[];
}

const LEAST_PIECE_MM2 = 1e-6;

/**
 * The foam of a plate as convex pieces, in the plate's own frame: what stands upright between its skins, and a wedge along every side that
 * is cut at a slant.
 */
export const foamPieces = memo((solid: PlateSolid): readonly FoamPiece[] => {
  const cuts = (solid.runOns ?? []).map((one) => runOnSide(one, solid.thicknessMm));
  const pieces = wholePieces(solid);
  return cuts.length === 0 ? pieces : pieces.map(({ sides, corners }) => ({ sides: [...sides, ...cuts], corners }));
});

/** The plane of a slant that runs on over a plate. */
function runOnSide({ from, along, farMm, faceMm }: RunOn, thicknessMm: number): FoamSide {
  const inward = leftOf(along);
  // Foam lies where the way in from the line is at least that of the slant at its height.
  const normal = unit3(point3(-inward.x, -inward.y, (faceMm - farMm) / thicknessMm));
  return { normal, mostMm: dot3(normal, point3(from.x + inward.x * farMm, from.y + inward.y * farMm, 0)) };
}

function wholePieces(solid: PlateSolid): readonly FoamPiece[] {
  const { bottom, top, holes, thicknessMm } = solid;
  if (bottom === top) return uprights(bottom, holes, thicknessMm);
  const core = intersectionOf([bottom], [top]);
  const outers = core.filter((ring) => signedArea(ring) > LEAST_PIECE_MM2),
    inners = core.filter((ring) => signedArea(ring) < -LEAST_PIECE_MM2);
  return [
    ...outers.flatMap((outer) =>
      uprights(
        outer,
        [...inners, ...holes].filter((hole) => isInside(hole[0]!, outer)),
        thicknessMm,
      ),
    ),
    ...bottom.flatMap((_, index) => wedges(solid, index)),
  ];
}

const uprights = (outer: Polygon, holes: readonly Polygon[], thicknessMm: number): readonly FoamPiece[] =>
  convexPieces(outer, holes)
    .filter((ring) => polygonArea(ring) > LEAST_PIECE_MM2)
    .map((ring) => upright(ring, thicknessMm));

/** A convex ring as foam from skin to skin. */
function upright(ring: Polygon, thicknessMm: number): FoamPiece {
  const walls = ring.flatMap((from, index): readonly FoamSide[] => {
    const to = ring[(index + 1) % ring.length]!;
    if (Math.hypot(to.x - from.x, to.y - from.y) < 1e-9) return [];
    const { x, y } = leftOf(unitVector(from, to));
    return [{ normal: point3(-x, -y, 0), mostMm: dot({ x: -x, y: -y }, from) }];
  });
  return {
    sides: [...walls, ...skins(thicknessMm)],
    corners: ring.flatMap(({ x, y }) => [point3(x, y, 0), point3(x, y, thicknessMm)]),
  };
}
const skins = (thicknessMm: number): readonly FoamSide[] => [
  { normal: point3(0, 0, -1), mostMm: 0 },
  { normal: point3(0, 0, 1), mostMm: thicknessMm },
];

/** The plane of a side that is cut at a slant; undefined for one that is square. */
function slantOf({ bottom, top, thicknessMm }: PlateSolid, index: number): FoamSide | undefined {
  const next = (index + 1) % bottom.length;
  const low = [bottom[index]!, bottom[next]!] as const,
    high = [top[index]!, top[next]!] as const;
  if (polygonArea([low[0], low[1], high[1], high[0]]) < LEAST_PIECE_MM2) return undefined;
  const [from, to] = distance(...low) > distance(...high) ? low : high;
  const along = subtract(to, from),
    inward = leftOf(along);
  const foot = point3(low[0].x, low[0].y, 0);
  const normal = unit3(cross3(point3(along.x, along.y, 0), subtract3(point3(high[1].x, high[1].y, thicknessMm), foot)));
  const outward = dot(normal, inward) < 0 ? normal : times3(normal, -1);
  return { normal: outward, mostMm: dot3(outward, foot) };
}

/** Whether a ring, counter-clockwise, turns left at a corner. */
function isConvexAt(ring: Polygon, index: number): boolean {
  const at = ring[index]!,
    before = ring[(index + ring.length - 1) % ring.length]!,
    after = ring[(index + 1) % ring.length]!;
  return cross(subtract(at, before), subtract(after, at)) > 0;
}

/** Sides shorter than this are steps of an end, in mm: what is slanted beyond one ends the foam of a side as its neighbour does. */
const LONGEST_STEP_MM = 8;
const BESIDE_MM = 0.1;

/** The sides beyond the steps next to a side, within whose lines it lies. */
function pastSteps({ plate: { outer } }: PlateSolid, index: number): readonly number[] {
  const count = outer.length,
    [from, to] = [outer[index]!, outer[(index + 1) % count]!];
  const reached = (way: 1 | -1): readonly number[] => {
    let side = (index + way + count) % count;
    const isStep = (at: number): boolean => distance(outer[at]!, outer[(at + 1) % count]!) < LONGEST_STEP_MM;
    if (!isStep(side)) return [];
    while (side !== index && isStep(side)) side = (side + way + count) % count;
    if (side === index) return [];
    const inward = leftOf(unitVector(outer[side]!, outer[(side + 1) % count]!));
    return [from, to].every((p) => dot(subtract(p, outer[side]!), inward) > -BESIDE_MM) ? [side] : [];
  };
  return [...reached(1), ...reached(-1)];
}

/**
 * The foam between a slanted side and the upright core, where the plate has ground: beside a slit or a strip the core ends sooner. Where
 * two slanted sides meet in a corner each ends the other's foam.
 */
function wedges(solid: PlateSolid, index: number): readonly FoamPiece[] {
  const { bottom, top, plate, thicknessMm } = solid;
  const own = slantOf(solid, index);
  if (!own) return [];
  const count = bottom.length,
    next = (index + 1) % count,
    before = (index + count - 1) % count;
  const ground = [bottom[index]!, bottom[next]!, top[next]!, top[index]!];
  const { normal: slant, mostMm } = own;
  // Under a slant that leans in over the plate foam stands on the far skin, else it hangs from the face.
  const skin = slant.z > 0 ? 0 : thicknessMm;
  const beside = [
    ...(isConvexAt(plate.outer, index) ? [slantOf(solid, before)] : []),
    ...(isConvexAt(plate.outer, next) ? [slantOf(solid, next)] : []),
    ...pastSteps(solid, index).map((side) => slantOf(solid, side)),
  ].filter((side) => side !== undefined);
  return intersectionOf([counterClockwise(ground)], [counterClockwise(plate.outer)])
    .flatMap((ring) => convexPieces(ring, []))
    .filter((ring) => polygonArea(ring) > LEAST_PIECE_MM2)
    .map((ring) => ({
      sides: [...upright(ring, thicknessMm).sides, own, ...beside],
      corners: ring.flatMap(({ x, y }) => [
        point3(x, y, skin),
        point3(x, y, (mostMm - slant.x * x - slant.y * y) / slant.z),
      ]),
    }));
}

/** A piece carried to where its plate lies. */
export const carriedPiece = ({ sides, corners }: FoamPiece, map: RigidMap): FoamPiece => ({
  sides: sides.map(({ normal, mostMm }) => {
    const turned = turnVector(map, normal);
    return { normal: turned, mostMm: mostMm + dot3(turned, map.origin) };
  }),
  corners: corners.map((corner) => applyRigid(map, corner)),
});
