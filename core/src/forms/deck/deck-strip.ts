import {
  cross3,
  distance,
  distance3,
  dot3,
  length3,
  point3,
  subtract3,
  unit3,
  type Point,
  type Point3,
} from '../../geometry/index.ts';
import { degrees } from '../../units/index.ts';
import { evenLeans, pointLeaning } from './deck-curve.ts';
import type { DeckSection } from './parameters.ts';

/** Strips of each half of a sheet. */
const STRIPS = 14;

/** A straight line of a sheet from its fore section to its aft one, along which the sheet has one plane. */
export interface Ruling {
  /** Of its normal, from upright, in radians; starboard. */
  readonly lean: number;
  /** Its ends outside. */
  readonly fore: Point3;
  readonly aft: Point3;
  /** Outward, of length 1. */
  readonly normal: Point3;
}

/**
 * The rulings of the starboard half of a sheet, from beside the top to the sill.
 * @source sections in parallel planes: the plane that touches both, as a developable sheet's does along a ruling, touches them where their
 * tangents are parallel
 */
export function rulings(fore: DeckSection, aft: DeckSection): readonly Ruling[] {
  const run = aft.aftMm - fore.aftMm;
  return evenLeans(fore, aft, STRIPS).map((lean): Ruling => {
    const p = pointLeaning(fore, lean),
      q = pointLeaning(aft, lean);
    const a = point3(fore.aftMm, p.x, fore.sillMm + p.y),
      b = point3(aft.aftMm, q.x, aft.sillMm + q.y);
    const across = point3(0, Math.sin(lean), Math.cos(lean)),
      rise = dot3(across, subtract3(b, a)) / run;
    return { lean, fore: a, aft: b, normal: unit3(point3(-rise, across.y, across.z)) };
  });
}

/** A place along a ruling's line by its place along the axis, so far under the outside; on the line itself between its ends and beyond them. */
export function underRuling({ fore, aft, normal }: Ruling, x: number, depthMm: number): Point3 {
  const share = (x - fore.x) / (aft.x - fore.x),
    // In the plane across, the board is thicker than square to it.
    by = depthMm / Math.hypot(normal.y, normal.z) ** 2;
  return point3(
    x,
    fore.y + (aft.y - fore.y) * share - by * normal.y,
    fore.z + (aft.z - fore.z) * share - by * normal.z,
  );
}

/** Half a sheet on its neutral surface, unrolled: x aft along its middle line, y to port; both halves are alike. */
export interface UnrolledDeck {
  /** Ends of the rulings on the flat, from beside the middle to the sill. */
  readonly fore: readonly Point[];
  readonly aft: readonly Point[];
  /** Turns over the rulings but the sill's, in degrees. */
  readonly turns: readonly number[];
  /** In space: middle of the middle strip's fore end, its direction aft and its way inward. */
  readonly origin: Point3;
  readonly along: Point3;
  readonly inward: Point3;
  /** Greatest share by which a length on the flat is false. */
  readonly errorShare: number;
}

/** The point at distances from two others, on the left of the way from the first to the second. */
function apex(a: Point, b: Point, fromA: number, fromB: number): Point {
  const base = distance(a, b),
    along = (base * base + fromA * fromA - fromB * fromB) / (2 * base),
    out = Math.sqrt(Math.max(0, fromA * fromA - along * along));
  const u = { x: (b.x - a.x) / base, y: (b.y - a.y) / base };
  return { x: a.x + u.x * along - u.y * out, y: a.y + u.y * along + u.x * out };
}

const portOf = ({ x, y, z }: Point3): Point3 => point3(x, -y, z);
/** Plane of four corners by its diagonals. */
const planeOf = (a: Point3, b: Point3, c: Point3, d: Point3): Point3 => unit3(cross3(subtract3(c, a), subtract3(d, b)));

/**
 * Unrolls a sheet strip by strip by the lengths of its edges, rulings and one diagonal of each strip; the other diagonal tells how false it is.
 * @param depthMm of its neutral surface under the outside
 */
export function unrollDeck(lines: readonly Ruling[], depthMm: number): UnrolledDeck {
  // Mirrored, so that the flat is seen from inside: port is up.
  const p = lines.map((line) => portOf(underRuling(line, line.fore.x, depthMm))),
    q = lines.map((line) => portOf(underRuling(line, line.aft.x, depthMm)));
  const [wideFore, wideAft] = [-p[0]!.y, -q[0]!.y],
    ruling = distance3(p[0]!, q[0]!);
  const fore: Point[] = [{ x: 0, y: wideFore }],
    aft: Point[] = [{ x: Math.sqrt(Math.max(0, ruling ** 2 - (wideAft - wideFore) ** 2)), y: wideAft }];
  let errorShare = 0;
  for (let at = 1; at < lines.length; at++) {
    const [a, b] = [fore[at - 1]!, aft[at - 1]!];
    // The strip lies to port of its ruling, which runs aft.
    const c = apex(a, b, distance3(p[at - 1]!, p[at]!), distance3(q[at - 1]!, p[at]!)),
      d = apex(c, b, distance3(p[at]!, q[at]!), distance3(q[at - 1]!, q[at]!));
    fore.push(c);
    aft.push(d);
    const wanted = distance3(p[at - 1]!, q[at]!);
    errorShare = Math.max(errorShare, Math.abs(distance(a, d) - wanted) / wanted);
  }
  const normals = p.slice(1).map((_, index) => planeOf(p[index]!, q[index]!, q[index + 1]!, p[index + 1]!));
  const middle = planeOf(portOf(p[0]!), portOf(q[0]!), q[0]!, p[0]!);
  const turns = normals.map((normal, index) => {
    const before = index === 0 ? middle : normals[index - 1]!;
    return degrees(Math.atan2(length3(cross3(before, normal)), dot3(before, normal)));
  });
  const foreMiddle = point3(p[0]!.x, 0, p[0]!.z),
    aftMiddle = point3(q[0]!.x, 0, q[0]!.z);
  const along = unit3(subtract3(aftMiddle, foreMiddle));
  return {
    fore,
    aft,
    turns,
    origin: foreMiddle,
    along,
    inward: point3(along.z, 0, -along.x),
    errorShare,
  };
}
