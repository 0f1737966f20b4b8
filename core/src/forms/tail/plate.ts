import {
  applyRigid,
  composeRigid,
  convexPieces,
  invertRigid,
  point3,
  polygonArea,
  STILL,
  turnAbout,
  type Point,
  type Point3,
  type Polygon,
  type RigidMap,
} from '../../geometry/index.ts';

import { memo } from '../../units/index.ts';

/** A flat plate of a tail, where it stands at rest. */
export interface TailPlate {
  /** On the flat, counter-clockwise as seen from the face. */
  readonly ring: Polygon;
  /** From the flat, its far skin at height 0, into the tail's frame. */
  readonly map: RigidMap;
  readonly thicknessMm: number;
  /** The line that it turns about, in the tail's frame; it stands still when undefined. */
  readonly axis?: { readonly from: Point3; readonly to: Point3 };
  /** The axis on the flat, on which of its sides the plate lies, and how far it is cut back behind it on one of its skins. */
  readonly hinge?: {
    readonly from: Point;
    readonly to: Point;
    /** 1 to the left of the way from its first place to its second. */
    readonly behind: 1 | -1;
    readonly face: 'face' | 'back';
    readonly runMm: number;
  };
}

/** A stabiliser and its elevator lie as they are drawn: x aft, y to starboard, face up. */
export const LEVEL: RigidMap = STILL;
/** A fin and its rudder: x aft and y up on the drawing, the face to port, the far skin at a place across. */
export const uprightAt = (starboardMm: number): RigidMap => ({
  x: point3(1, 0, 0),
  y: point3(0, 0, 1),
  z: point3(0, -1, 0),
  origin: point3(0, starboardMm, 0),
});

/** Where a plate stands when it is turned so far about its axis, right-handed. */
export function turned({ map, axis }: TailPlate, degrees: number): RigidMap {
  if (!axis || degrees === 0) return map;
  const { from, to } = axis;
  return composeRigid(map, turnAbout(from, point3(to.x - from.x, to.y - from.y, to.z - from.z), degrees));
}

/** What of a convex ring lies on one side of a line, so far off it. */
function beside(ring: Polygon, from: Point, to: Point, byMm: number, side: 1 | -1): Polygon {
  const run = Math.hypot(to.x - from.x, to.y - from.y);
  const off = ({ x, y }: Point): number =>
    (side * ((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x))) / run - byMm;
  return ring.flatMap((p, index): readonly Point[] => {
    const q = ring[(index + 1) % ring.length]!,
      [a, b] = [off(p), off(q)];
    const met = a * b < 0 ? [{ x: p.x + ((q.x - p.x) * a) / (a - b), y: p.y + ((q.y - p.y) * a) / (a - b) }] : [];
    return a >= 0 ? [p, ...met] : met;
  });
}

/** A plate as convex bodies, each by its corners: what lies behind its hinge is cut back on the skin that is relieved. */
const bodiesOf = memo(({ ring, thicknessMm, hinge }: TailPlate): readonly (readonly Point3[])[] => {
  const upright = (low: Polygon, high: Polygon): readonly Point3[] => [
    ...low.map(({ x, y }) => point3(x, y, 0)),
    ...high.map(({ x, y }) => point3(x, y, thicknessMm)),
  ];
  if (!hinge) return convexPieces(ring, []).map((piece) => upright(piece, piece));
  const { from, to, behind, face, runMm } = hinge;
  const moves = beside(ring, from, to, 0, behind),
    cut = beside(ring, from, to, runMm, behind),
    before = beside(ring, from, to, 0, behind === 1 ? -1 : 1);
  return [
    face === 'face' ? upright(moves, cut) : upright(cut, moves),
    ...(before.length > 2 && polygonArea(before) > LEAST_MM2
      ? convexPieces(before, []).map((piece) => upright(piece, piece))
      : []),
  ];
});
/** What lies before a hinge and is smaller than this is none, in mm². */
const LEAST_MM2 = 0.5;

/**
 * The corners of the shadows that another plate throws on a plate's flat: of what of it lies within the thickness of this one.
 * @param own where this plate stands, and `otherMap` where the other does
 * @returns places whose convex hull holds all the shadows
 */
export function covered(plate: TailPlate, own: RigidMap, other: TailPlate, otherMap: RigidMap): readonly Point[] {
  const into = composeRigid(otherMap, invertRigid(own)),
    { thicknessMm } = plate,
    found: Point[] = [];
  // Thousands of states are looked at: loops, and nothing made but what is found.
  for (const body of bodiesOf(other)) {
    const corners = body.map((corner) => applyRigid(into, corner));
    for (let i = 0; i < corners.length; i++) {
      const a = corners[i]!;
      if (a.z >= 0 && a.z <= thicknessMm) found.push(a);
      // A convex body holds the run between any two of its corners, and its edges are among these.
      for (let j = i + 1; j < corners.length; j++) {
        const b = corners[j]!;
        for (const height of [0, thicknessMm]) {
          if (a.z < height === b.z < height) continue;
          const share = (height - a.z) / (b.z - a.z);
          found.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share });
        }
      }
    }
  }
  return found;
}
