import { chain, cutCurve } from './combine-outlines.ts';
import {
  arcGeometry,
  bulgeThrough,
  curvePoint,
  curveTangent,
  nearestOnCurve,
  splitCurve,
  type Curve,
} from './curve.ts';
import { boundsOf, growBounds } from './bounds.ts';
import { curveBounds, curveIndex } from './curve-bounds.ts';
import { fitRing } from './fit-path.ts';
import { curveMeetings } from './meetings.ts';
import { flattenClosedPath, pathLength, pathSignedArea, reversePath, type Path } from './path.ts';
import { add, cross, distance, subtract, times, type Point } from './point.ts';
import { signedArea } from './polygon.ts';
import { growRegion, regionArea } from './region.ts';

/** Corners of an offset keep their point, up to this many times the distance; beyond, and when round, they get an arc. */
const SHARPEST_CORNER = 6;
const SLACK_MM = 5e-3;
/** Curves further apart than this meet nowhere. */
const REACH_MM = 0.2;
/** How true a moved cubic is to its distance. */
const CUBIC_FIT_MM = 2e-3;
/** How often a cubic is halved to be so: beyond, it comes to a point, and nothing near it is left. */
const MOST_HALVINGS = 6;

/** Fineness of the polygon that an offset is checked by, how much of it may be missing along the outline, and how true a fit to it is. */
const POLYGON_MM = 1e-3;
const LOST_MM = 0.01;
const FITTED_MM = 5e-3;

type Cubic = Extract<Curve, { kind: 'cubic' }>;

/**
 * A closed outline moved outwards by a distance (inwards below 0), exactly: lines and arcs stay what they are, cubics are fitted. Where
 * sharply bent cubics leave nothing that closes, the outline is moved as a fine polygon, and lines, arcs and cubics are fitted to that.
 * @param byMm distance, finite
 * @param corners whether outer corners stay sharp or become arcs about the old corner
 * @returns the loops that are left, counter-clockwise; several when the outline falls apart, none when it vanishes
 * @source raw offset of every curve with its joins; pieces that come nearer to the outline than the distance are dropped
 */
export function offsetOutline(outline: Path, byMm: number, corners: 'sharp' | 'round' = 'sharp'): readonly Path[] {
  const path = pathSignedArea(outline) < 0 ? reversePath(outline) : outline;
  if (byMm === 0) return [path];
  const exact = exactOffset(path, byMm, corners);
  const ring = [flattenClosedPath(path, POLYGON_MM)];
  const least = regionArea(growRegion(ring, byMm, POLYGON_MM)) - LOST_MM * pathLength(path) - LOST_MM;
  if (exact.reduce((sum, loop) => sum + pathSignedArea(loop), 0) >= least) return exact;
  return growRegion(ring, byMm, POLYGON_MM, corners)
    .filter((loop) => signedArea(loop) > 0)
    .map((loop) => fitRing(loop, FITTED_MM));
}

function exactOffset(path: Path, byMm: number, corners: 'sharp' | 'round'): readonly Path[] {
  const raw = rawOffset(path, byMm, corners);
  const others = curveIndex(raw),
    isClear = clearOf(path, Math.abs(byMm) - SLACK_MM);
  const pieces = raw.flatMap((curve, index) => {
    const cuts = others
      .touching(growBounds(curveBounds(curve), REACH_MM))
      .flatMap((at) => (at === index ? [] : curveMeetings(curve, raw[at]!).map(({ s }) => s)))
      .filter((s) => s > 1e-9 && s < 1 - 1e-9)
      .sort((m, n) => m - n);
    return cutCurve(curve, cuts);
  });
  const kept = pieces.filter((piece) => [0.5, 0.25, 0.75].every((t) => isClear(curvePoint(piece, t))));
  return chain(kept)
    .filter((loop) => pathSignedArea(loop) > 0)
    .map(withoutSeams);
}

/** A loop whose straight runs in one line are one run; it starts where its first run starts. */
function withoutSeams(loop: Path): Path {
  const goesOn = (a: Curve, b: Curve): boolean => {
    if (a.kind !== 'line' || b.kind !== 'line') return false;
    const u = subtract(a.to, a.from),
      v = subtract(b.to, b.from);
    return Math.abs(cross(u, v)) < 1e-9 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y) && u.x * v.x + u.y * v.y > 0;
  };
  const merged = loop.reduce<Curve[]>((list, curve) => {
    const last = list.at(-1);
    if (last && goesOn(last, curve)) list[list.length - 1] = { ...last, to: curve.to };
    else list.push(curve);
    return list;
  }, []);
  const [first, last] = [merged[0]!, merged.at(-1)!];
  return merged.length > 2 && goesOn(last, first) ? [{ ...first, from: last.from }, ...merged.slice(1, -1)] : merged;
}

/** Whether places are at least a distance away from every curve of a path. */
function clearOf(path: Path, byMm: number): (p: Point) => boolean {
  const index = curveIndex(path);
  return (p) =>
    index
      .touching(growBounds(boundsOf([p]), Math.max(0, byMm)))
      .every((at) => nearestOnCurve(path[at]!, p).distance >= byMm);
}

/** Unit vector to the right of a curve's run: outwards on a counter-clockwise outline. */
function rightOf(curve: Curve, t: number): Point {
  const tangent = curveTangent(curve, t);
  const length = Math.hypot(tangent.x, tangent.y) || 1;
  return { x: tangent.y / length, y: -tangent.x / length };
}

function rawOffset(path: Path, byMm: number, corners: 'sharp' | 'round'): Path {
  const moved = path.map((curve) => offsetCurve(curve, byMm));
  return moved.flatMap((curves, index) => {
    const next = moved[(index + 1) % moved.length]!;
    const last = curves.at(-1),
      first = next[0];
    if (!last || !first) return curves;
    return [...curves, ...joinOf(last, first, path[index]!.to, byMm, corners)];
  });
}

/** A curve moved to its right; an arc that shrinks to nothing turns inside out and is dropped later. */
function offsetCurve(curve: Curve, byMm: number): readonly Curve[] {
  const shift = (p: Point, t: number): Point => add(p, times(rightOf(curve, t), byMm));
  if (curve.kind === 'line') return [{ kind: 'line', from: shift(curve.from, 0), to: shift(curve.to, 1) }];
  if (curve.kind === 'arc') {
    if (Math.abs(curve.bulge) < 1e-9) return [{ kind: 'line', from: shift(curve.from, 0), to: shift(curve.to, 1) }];
    const { radius } = arcGeometry(curve);
    const rest = radius + (curve.bulge > 0 ? byMm : -byMm);
    if (rest <= 1e-9) return [{ kind: 'line', from: shift(curve.from, 0), to: shift(curve.to, 1) }];
    return [{ kind: 'arc', from: shift(curve.from, 0), to: shift(curve.to, 1), bulge: curve.bulge }];
  }
  return offsetCubic(curve, byMm, 0);
}

/** A cubic moved to its right: handles scaled with the chord, halved until the middle is true to the distance. */
function offsetCubic(curve: Cubic, byMm: number, depth: number): readonly Curve[] {
  const [from, to] = [add(curve.from, times(rightOf(curve, 0), byMm)), add(curve.to, times(rightOf(curve, 1), byMm))];
  const chord = distance(curve.from, curve.to);
  const k = chord > 1e-9 ? distance(from, to) / chord : 1;
  const moved: Curve = {
    kind: 'cubic',
    from,
    to,
    control1: add(from, times(subtract(curve.control1, curve.from), k)),
    control2: add(to, times(subtract(curve.control2, curve.to), k)),
  };
  const isTrue = [0.25, 0.5, 0.75].every(
    (t) => Math.abs(nearestOnCurve(curve, curvePoint(moved, t)).distance - Math.abs(byMm)) < CUBIC_FIT_MM,
  );
  if (isTrue || depth >= MOST_HALVINGS) return [moved];
  const [head, tail] = splitCurve(curve, 0.5) as readonly [Cubic, Cubic];
  return [...offsetCubic(head, byMm, depth + 1), ...offsetCubic(tail, byMm, depth + 1)];
}

/** What joins two moved curves at an old corner: nothing, a sharp point, an arc, or a straight run that is dropped later. */
function joinOf(last: Curve, first: Curve, corner: Point, byMm: number, corners: 'sharp' | 'round'): readonly Curve[] {
  if (distance(last.to, first.from) < 1e-9) return [];
  const u = curveTangent(last, 1),
    v = curveTangent(first, 0);
  const turn = cross(u, v);
  const opens = byMm > 0 ? turn > 0 : turn < 0;
  if (!opens) return [{ kind: 'line', from: last.to, to: first.from }];
  if (corners === 'sharp') {
    const gap = subtract(first.from, last.to);
    const along = cross(gap, v) / turn;
    const tip = add(last.to, times(u, along));
    if (along > 0 && distance(tip, corner) <= SHARPEST_CORNER * Math.abs(byMm))
      return [
        { kind: 'line', from: last.to, to: tip },
        { kind: 'line', from: tip, to: first.from },
      ];
  }
  const middle = { x: (last.to.x + first.from.x) / 2 - corner.x, y: (last.to.y + first.from.y) / 2 - corner.y };
  const length = Math.hypot(middle.x, middle.y);
  if (length < 1e-9) return [{ kind: 'line', from: last.to, to: first.from }];
  const through = add(corner, times(middle, Math.abs(byMm) / length));
  return [{ kind: 'arc', from: last.to, to: first.from, bulge: bulgeThrough(last.to, through, first.from) }];
}
