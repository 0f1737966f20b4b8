import {
  add3,
  applyRigid,
  cross3,
  distance3,
  dot3,
  interpolate3,
  invertRigid,
  leftOf,
  subtract3,
  times3,
  unit3,
  unitVector,
  type Point,
  type Point3,
  type RigidMap,
} from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import type { EndPlane } from './end-cut.ts';

/** A straight line of a skin's outer side, from the panel's root to its tip: a corner of its section, carried along. */
export interface SkinLine {
  readonly root: Point3;
  readonly tip: Point3;
}

/** A plane piece of a skin, and where it lies flat: the map takes the flat skin, face up, to where the piece stands. */
export interface SkinPiece {
  readonly map: RigidMap;
  /** From the outer skin to the face. */
  readonly inward: Point3;
  readonly corners: readonly Point[];
}

/** A plate of a skin between two of its lines: one plane piece, or two when its ends are twisted against each other. */
export interface UnrolledPlate {
  readonly pieces: readonly [SkinPiece] | readonly [SkinPiece, SkinPiece];
  /** The piece that has the root's end, and the one that has the tip's. */
  readonly rootPiece: SkinPiece;
  readonly tipPiece: SkinPiece;
  /** Whether the line between two pieces runs from the first line's root to the second's tip, and the turn over it toward the face. */
  readonly bend?: { readonly isRising: boolean; readonly turnDegrees: number };
  /** How far the plate's fourth corner stands off the plane of the others, in mm. */
  readonly twistMm: number;
}

/** A skin unrolled: its lines and plates on the flat, as they end on the planes of both ends. */
export interface UnrolledSkin {
  /** Outer ends of every line in space, cut by the planes. */
  readonly ends: readonly SkinLine[];
  readonly flat: readonly { readonly root: Point; readonly tip: Point }[];
  readonly plates: readonly UnrolledPlate[];
  /** Turn over each line toward the face, in degrees; 0 for the first and the last, which are free. */
  readonly turns: readonly number[];
}

/** Plates whose fourth corner is off by less than this are plane, in mm: it moves their lengths by less than a ten-thousandth of that. */
const PLANE_MM = 0.03;

/** Where a line of the skin, gone on with, meets a plane. */
function meetPlane({ root, tip }: SkinLine, { normal, mostMm }: EndPlane): Point3 {
  const from = dot3(normal, root) - mostMm,
    to = dot3(normal, tip) - mostMm;
  return interpolate3(root, tip, from / (from - to));
}

const normalOf = (a: Point3, b: Point3, c: Point3): Point3 => unit3(cross3(subtract3(c, a), subtract3(b, a)));

/** The map of a plane piece whose line from a to b lies from p to q on the flat. */
function mapAlong(a: Point3, b: Point3, p: Point, q: Point, inward: Point3): RigidMap {
  const along = unitVector(p, q),
    left = leftOf(along);
  const u = unit3(subtract3(b, a)),
    v = cross3(inward, u);
  const x = add3(times3(u, along.x), times3(v, left.x)),
    y = add3(times3(u, along.y), times3(v, left.y));
  return { x, y, z: inward, origin: subtract3(a, add3(times3(x, p.x), times3(y, p.y))) };
}

/** The map of the first piece: outboard lies to the right, and aft goes up when its inside is above. */
function firstMap(at: Point3, inward: Point3): RigidMap {
  const out = { x: 1, y: 0, z: 0 };
  const x = unit3(subtract3(out, times3(inward, dot3(out, inward)))),
    y = cross3(inward, x);
  return { x, y, z: inward, origin: times3(inward, dot3(at, inward)) };
}

const onFlat = (map: RigidMap, p: Point3): Point => {
  const { x, y } = applyRigid(invertRigid(map), p);
  return { x, y };
};

/** Turn over a line from one inward normal to the next, toward the face above 0. */
function turnBetween(before: Point3, after: Point3, along: Point3): number {
  const axis = unit3(along);
  return degrees(Math.atan2(-dot3(cross3(before, after), axis), dot3(before, after)));
}

/** The plane pieces of a plate in space: their corners, as names of the plate's own. */
interface SpacePieces {
  readonly isPlane: boolean;
  readonly twistMm: number;
  /** Inward normals of the piece at the plate's first line and of that at its second. */
  readonly normals: readonly [Point3, Point3];
  /** Whether the line between two pieces runs from the first line's root to the second's tip. */
  readonly isRising: boolean;
}

function spacePieces(a: SkinLine, b: SkinLine): SpacePieces {
  const plane = normalOf(a.root, a.tip, b.root);
  const twistMm = Math.abs(dot3(plane, subtract3(b.tip, a.root)));
  if (twistMm < PLANE_MM) {
    // The longer end tells the plane better: a pointed one tells none.
    const isRoot = distance3(a.root, b.root) >= distance3(a.tip, b.tip);
    const normal = isRoot ? plane : normalOf(a.root, a.tip, b.tip);
    return { isPlane: true, twistMm, normals: [normal, normal], isRising: true };
  }
  const rising = [normalOf(a.root, a.tip, b.tip), normalOf(a.root, b.tip, b.root)] as const;
  const isRising = turnBetween(rising[0], rising[1], subtract3(b.tip, a.root)) >= 0;
  return {
    isPlane: false,
    twistMm,
    isRising,
    normals: isRising ? rising : [normalOf(a.root, a.tip, b.root), normalOf(a.tip, b.tip, b.root)],
  };
}

/** How far the corners of a plate lie beyond the planes of its ends, along its first and its second line, in mm. */
export interface PlateTrim {
  readonly root: readonly [first: number, second: number];
  readonly tip: readonly [first: number, second: number];
}
const UNTRIMMED: PlateTrim = { root: [0, 0], tip: [0, 0] };

/** A line of a plate between its own corners, as they are trimmed. */
function trimmed(line: SkinLine, { root, tip }: PlateTrim, side: 0 | 1): SkinLine {
  const outboard = unit3(subtract3(line.tip, line.root));
  return {
    root: subtract3(line.root, times3(outboard, root[side])),
    tip: add3(line.tip, times3(outboard, tip[side])),
  };
}

/**
 * Unrolls a skin of straight lines onto the flat, plate by plate; the face is its inside.
 * @param lines from the lower tail round the nose to the upper tail, at least two; no two neighbours in one place
 * @param first the plate that is laid first, as it stands; the others follow from it
 * @param trims where the corners of every plate are cut: a twisted one bends from corner to corner
 * @returns twisted plates as two plane pieces with a bend between them: nothing is stretched
 * @source a ruled strip between two lines in one plane is plane; else two triangles span it, and each keeps its lengths
 */
export function unrollSkin(
  lines: readonly SkinLine[],
  root: EndPlane,
  tip: EndPlane,
  first: number,
  trims: readonly PlateTrim[] = [],
): UnrolledSkin {
  const ends = lines.map((line): SkinLine => ({ root: meetPlane(line, root), tip: meetPlane(line, tip) }));
  const corners = ends.slice(1).map((line, index): readonly [SkinLine, SkinLine] => {
    const trim = trims[index] ?? UNTRIMMED;
    return [trimmed(ends[index]!, trim, 0), trimmed(line, trim, 1)];
  });
  const spaces = corners.map(([a, b]) => spacePieces(a, b));
  const flat: { root: Point; tip: Point }[] = [];
  const plates: UnrolledPlate[] = [];
  const lay = (index: number, isForward: boolean, own?: RigidMap): void => {
    const space = spaces[index]!,
      [a, b] = corners[index]!;
    const [start, end] = isForward ? [index, index + 1] : [index + 1, index];
    const [known, wanted] = isForward ? [a, b] : [b, a];
    const [near, far] = isForward ? space.normals : [space.normals[1], space.normals[0]];
    const [from3, to3] = [ends[start]!, ends[end]!];
    const nearMap = own ?? mapAlong(from3.root, from3.tip, flat[start]!.root, flat[start]!.tip, near);
    if (own) flat[start] = { root: onFlat(own, from3.root), tip: onFlat(own, from3.tip) };
    if (space.isPlane) {
      flat[end] = { root: onFlat(nearMap, to3.root), tip: onFlat(nearMap, to3.tip) };
      const piece: SkinPiece = { map: nearMap, inward: near, corners: cornersOf(flat, index) };
      plates[index] = { pieces: [piece], rootPiece: piece, tipPiece: piece, twistMm: space.twistMm };
      return;
    }
    // The piece at the known line reaches one end of the other line; over the bend the second piece reaches the other.
    const reachesTip = space.isRising === isForward;
    const reached = reachesTip ? wanted.tip : wanted.root,
      left = reachesTip ? wanted.root : wanted.tip;
    const from = reachesTip ? known.root : known.tip,
      flatFrom = onFlat(nearMap, from);
    const flatReached = onFlat(nearMap, reached);
    const farMap = mapAlong(from, reached, flatFrom, flatReached, far);
    const flatLeft = onFlat(farMap, left);
    flat[end] = { root: onFlat(farMap, to3.root), tip: onFlat(farMap, to3.tip) };
    const atKnown: SkinPiece = {
      map: nearMap,
      inward: near,
      corners: [onFlat(nearMap, known.root), onFlat(nearMap, known.tip), flatReached],
    };
    const atWanted: SkinPiece = {
      map: farMap,
      inward: far,
      corners: reachesTip ? [flatLeft, flatReached, flatFrom] : [flatReached, flatLeft, flatFrom],
    };
    const pieces = isForward ? ([atKnown, atWanted] as const) : ([atWanted, atKnown] as const);
    const [bendFrom, bendTo] = space.isRising ? [a.root, b.tip] : [a.tip, b.root];
    plates[index] = {
      pieces,
      rootPiece: reachesTip ? atWanted : atKnown,
      tipPiece: reachesTip ? atKnown : atWanted,
      twistMm: space.twistMm,
      bend: {
        isRising: space.isRising,
        turnDegrees:
          turnBetween(space.normals[0], space.normals[1], subtract3(bendTo, bendFrom)) * (space.isRising ? 1 : -1),
      },
    };
  };
  lay(first, true, firstMap(ends[first]!.root, spaces[first]!.normals[0]));
  for (let index = first + 1; index < spaces.length; index++) lay(index, true);
  for (let index = first - 1; index >= 0; index--) lay(index, false);
  const turns = ends.map(({ root: a, tip: b }, index) =>
    index === 0 || index === ends.length - 1
      ? 0
      : turnBetween(spaces[index - 1]!.normals[1], spaces[index]!.normals[0], subtract3(b, a)),
  );
  return { ends, flat, plates, turns };
}

const cornersOf = (flat: readonly { readonly root: Point; readonly tip: Point }[], index: number): readonly Point[] => [
  flat[index]!.root,
  flat[index]!.tip,
  flat[index + 1]!.tip,
  flat[index + 1]!.root,
];
