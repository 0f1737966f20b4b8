import { curvePoint } from './curve.ts';
import { flattenPathWithOrigin, type Path, type PathPoint } from './path.ts';
import { cross, distance, interpolate, subtract, type Point } from './point.ts';
import { boundsOf } from './bounds.ts';
import { edgesNear, insideOf } from './ring-index.ts';

/** Runs shorter than this are no runs but rounding, in mm. */
const SHORTEST_RUN_MM = 1e-6;

/** Where two runs cross strictly, as parameters on each, or undefined. */
export function runCrossing(
  a: Point,
  b: Point,
  c: Point,
  d: Point,
): { readonly s: number; readonly t: number } | undefined {
  const ab = subtract(b, a),
    cd = subtract(d, c);
  const denominator = cross(ab, cd);
  if (denominator === 0) return undefined;
  const ac = subtract(c, a);
  const s = cross(ac, cd) / denominator,
    t = cross(ac, ab) / denominator;
  return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? { s, t } : undefined;
}

/** A crossing of a path with itself: the two places, earlier one first, and the point. */
export interface SelfCrossing {
  readonly point: Point;
  readonly first: { readonly curve: number; readonly t: number };
  readonly second: { readonly curve: number; readonly t: number };
}

/**
 * Finds where a path crosses or touches itself, other than at shared ends of neighbours.
 * @param toleranceMm flattening tolerance; crossings are refined on the true curves to about 1e-6 mm
 * @param mostWanted stops after this many
 */
export function selfCrossings(
  path: Path,
  toleranceMm: number,
  closed: boolean,
  mostWanted = 20,
): readonly SelfCrossing[] {
  const points = flattenPathWithOrigin(path, toleranceMm, closed);
  const runs = closed ? points.length : points.length - 1;
  const found: SelfCrossing[] = [];
  const order = Array.from({ length: runs }, (_, index) => index)
    .map((index) => ({ index, a: points[index]!, b: points[(index + 1) % points.length]! }))
    .map(({ index, a, b }) => ({
      index,
      a,
      b,
      minX: Math.min(a.point.x, b.point.x),
      maxX: Math.max(a.point.x, b.point.x),
      minY: Math.min(a.point.y, b.point.y),
      maxY: Math.max(a.point.y, b.point.y),
    }))
    .sort((p, q) => p.minX - q.minX);
  for (let i = 0; i < order.length && found.length < mostWanted; i++) {
    // sweep in x: only runs whose x spans meet are compared
    const own = order[i]!;
    for (let j = i + 1; j < order.length && order[j]!.minX <= own.maxX; j++) {
      if (order[j]!.minY > own.maxY || order[j]!.maxY < own.minY) continue;
      const [p, q] = order[i]!.index < order[j]!.index ? [order[i]!, order[j]!] : [order[j]!, order[i]!];
      const gap = q.index - p.index;
      if (gap === 1 || (closed && gap === runs - 1)) {
        if (foldsBack(p, q, gap === 1))
          found.push({
            point: gap === 1 ? q.a.point : p.a.point,
            first: { curve: p.a.curve, t: p.a.t },
            second: { curve: q.a.curve, t: q.a.t },
          });
        continue;
      }
      const at = runCrossing(p.a.point, p.b.point, q.a.point, q.b.point);
      if (at) found.push(refine(path, p.a, p.b, q.a, q.b, at));
    }
  }
  return found;
}

interface Run {
  readonly a: PathPoint;
  readonly b: PathPoint;
}

/** Neighbouring runs lie on each other when the turn between them is a full half turn. */
function foldsBack(p: Run, q: Run, inOrder: boolean): boolean {
  const [first, second] = inOrder ? [p, q] : [q, p];
  const u = subtract(first.b.point, first.a.point),
    v = subtract(second.b.point, second.a.point);
  const lengths = Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y);
  return lengths > 0 && Math.abs(cross(u, v)) < 1e-9 * lengths && u.x * v.x + u.y * v.y < 0;
}

function refine(
  path: Path,
  pa: PathPoint,
  pb: PathPoint,
  qa: PathPoint,
  qb: PathPoint,
  at: { s: number; t: number },
): SelfCrossing {
  const end = (a: PathPoint, b: PathPoint): number => (b.curve === a.curve && b.t > a.t ? b.t : 1);
  let s0 = pa.t,
    s1 = end(pa, pb),
    t0 = qa.t,
    t1 = end(qa, qb);
  let s = s0 + (s1 - s0) * at.s,
    t = t0 + (t1 - t0) * at.t;
  for (let round = 0; round < 8; round++) {
    // secant steps on shrinking chords around the crossing
    const halfS = (s1 - s0) / 8,
      halfT = (t1 - t0) / 8;
    [s0, s1, t0, t1] = [Math.max(0, s - halfS), Math.min(1, s + halfS), Math.max(0, t - halfT), Math.min(1, t + halfT)];
    const again = runCrossing(
      curvePoint(path[pa.curve]!, s0),
      curvePoint(path[pa.curve]!, s1),
      curvePoint(path[qa.curve]!, t0),
      curvePoint(path[qa.curve]!, t1),
    );
    if (!again) break;
    s = s0 + (s1 - s0) * again.s;
    t = t0 + (t1 - t0) * again.t;
  }
  const point = curvePoint(path[pa.curve]!, s);
  const other = curvePoint(path[qa.curve]!, t);
  return {
    point: distance(point, other) < 0.01 ? point : other,
    first: { curve: pa.curve, t: s },
    second: { curve: qa.curve, t },
  };
}

/**
 * Where the endless line through two points cuts a polygon, as signed distances from `a` along the line, ascending.
 */
export function lineCuts(a: Point, b: Point, ring: readonly Point[]): readonly number[] {
  const length = distance(a, b);
  if (length === 0) return [];
  const direction = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  const cuts: number[] = [];
  for (let index = 0; index < ring.length; index++) {
    const at = cutOf(a, direction, ring, index);
    if (at !== undefined) cuts.push(at);
  }
  return cuts.sort((m, n) => m - n);
}

/** Where the line through a point cuts edge i of a ring, as a signed distance along it; undefined where it does not. */
function cutOf(a: Point, direction: Point, ring: readonly Point[], index: number): number | undefined {
  const p = ring[index]!,
    q = ring[(index + 1) % ring.length]!;
  const sideP = cross(direction, subtract(p, a)),
    sideQ = cross(direction, subtract(q, a));
  if (sideP >= 0 === sideQ >= 0) return undefined;
  const at = { x: p.x + ((q.x - p.x) * sideP) / (sideP - sideQ), y: p.y + ((q.y - p.y) * sideP) / (sideP - sideQ) };
  return (at.x - a.x) * direction.x + (at.y - a.y) * direction.y;
}

/**
 * The parts of an open line that lie inside a region (even-odd), in their order along it.
 * @returns the whole line as one run when none of it lies outside
 */
export function runsInside(
  line: readonly Point[],
  region: readonly (readonly Point[])[],
): readonly (readonly Point[])[] {
  const runs: Point[][] = [];
  const isWithin = region.map(insideOf);
  for (let index = 0; index + 1 < line.length; index++) {
    const a = line[index]!,
      b = line[index + 1]!;
    const length = distance(a, b);
    if (length === 0) continue;
    const direction = { x: (b.x - a.x) / length, y: (b.y - a.y) / length },
      box = boundsOf([a, b]);
    const cuts = region
      .flatMap((ring) => edgesNear(ring, box, SHORTEST_RUN_MM).flatMap((edge) => cutOf(a, direction, ring, edge) ?? []))
      .filter((at) => at > 0 && at < length)
      .sort((m, n) => m - n);
    const marks = [0, ...cuts, length];
    for (let mark = 0; mark + 1 < marks.length; mark++) {
      const from = marks[mark]!,
        to = marks[mark + 1]!;
      const isIn =
        to - from > SHORTEST_RUN_MM &&
        isWithin.filter((isIn) => isIn(interpolate(a, b, (from + to) / 2 / length))).length % 2 === 1;
      if (!isIn) continue;
      const start = interpolate(a, b, from / length),
        end = interpolate(a, b, to / length);
      const last = runs.at(-1);
      if (last && distance(last.at(-1)!, start) < SHORTEST_RUN_MM) last.push(end);
      else runs.push([start, end]);
    }
  }
  return runs;
}
