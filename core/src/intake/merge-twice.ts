import {
  arcGeometry,
  boxIndex,
  cross,
  curveBounds,
  distance,
  dot,
  growBounds,
  subtract,
  unitVector,
  type Curve,
  type Point,
} from '../geometry/index.ts';

type Line = Extract<Curve, { kind: 'line' }>;
type Arc = Extract<Curve, { kind: 'arc' }>;

/** What is left of curves when each place is drawn once, and how many were drawn again. */
export interface DrawnOnce {
  readonly curves: readonly Curve[];
  readonly again: number;
}

/**
 * Draws every place once: runs that lie on each other are cut where one of them ends, and of those that are the same one stays. Points where
 * other lines meet them stay.
 * @param toleranceMm lines closer than this lie on each other
 */
export function drawnOnce(all: readonly Curve[], toleranceMm: number): DrawnOnce {
  const curves = withoutCopies(all);
  const boxes = boxIndex(curves.map(curveBounds));
  const group = groups(curves.length);
  curves.forEach((curve, index) => {
    for (const other of boxes.touching(growBounds(curveBounds(curve), toleranceMm)))
      if (other > index && group.of(other) !== group.of(index) && lieOnEachOther(curve, curves[other]!, toleranceMm))
        group.join(index, other);
  });
  const members = new Map<number, Curve[]>();
  curves.forEach((curve, index) => {
    const key = group.of(index),
      list = members.get(key);
    if (list) list.push(curve);
    else members.set(key, [curve]);
  });
  let again = all.length - curves.length;
  const once = [...members.values()].flatMap((list) => {
    if (list.length === 1) return list;
    const left = pieces(list, toleranceMm);
    again += Math.max(1, list.length - left.length);
    return left;
  });
  return { curves: once, again };
}

/** Ends that are the same to this, in mm, are those of a copy. */
const COPY_MM = 1e-6;

/** The curves without those that are drawn again from end to end, either way: most that is drawn twice is, and is found by its numbers alone. */
export function withoutCopies(curves: readonly Curve[]): readonly Curve[] {
  const seen = new Set<string>();
  const number = (value: number): number => Math.round(value / COPY_MM);
  const at = ({ x, y }: Point): string => `${number(x)},${number(y)}`;
  return curves.filter((curve) => {
    const { from, to } = curve;
    const isForward = from.x < to.x || (from.x === to.x && from.y <= to.y);
    const ends = isForward ? `${at(from)} ${at(to)}` : `${at(to)} ${at(from)}`;
    const shape =
      curve.kind === 'line'
        ? ''
        : curve.kind === 'arc'
          ? number(isForward ? curve.bulge : -curve.bulge)
          : isForward
            ? `${at(curve.control1)} ${at(curve.control2)}`
            : `${at(curve.control2)} ${at(curve.control1)}`;
    const key = `${curve.kind} ${ends} ${shape}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Sets of numbers that are joined pair by pair. */
function groups(count: number): { of(index: number): number; join(a: number, b: number): void } {
  const parents = Array.from({ length: count }, (_, index) => index);
  const of = (index: number): number => {
    let root = index;
    while (parents[root] !== root) root = parents[root] = parents[parents[root]!]!;
    return root;
  };
  return {
    of,
    join: (a, b) => {
      parents[of(b)] = of(a);
    },
  };
}

function lieOnEachOther(a: Curve, b: Curve, toleranceMm: number): boolean {
  if (a.kind === 'line' && b.kind === 'line') return linesOverlap(a, b, toleranceMm);
  if (a.kind === 'arc' && b.kind === 'arc') return arcsOverlap(a, b, toleranceMm);
  return a.kind === 'cubic' && b.kind === 'cubic' && areSame(a, b, toleranceMm);
}

/** Lines turned against each other by more than this are two, whatever lies between them: its sine. */
const LEAST_TURN = 2e-3;

function linesOverlap(a: Line, b: Line, toleranceMm: number): boolean {
  const [long, short] = distance(a.from, a.to) >= distance(b.from, b.to) ? [a, b] : [b, a];
  const length = distance(long.from, long.to),
    shortLength = distance(short.from, short.to);
  if (shortLength <= toleranceMm) return false;
  const u = unitVector(long.from, long.to),
    v = unitVector(short.from, short.to);
  // The ends may lie as far apart as the tolerance, and turn a short line by as much.
  if (Math.abs(cross(u, v)) > Math.max(LEAST_TURN, (2 * toleranceMm) / shortLength)) return false;
  const off = (p: Point): number => Math.abs(cross(u, subtract(p, long.from)));
  if (off(short.from) > toleranceMm || off(short.to) > toleranceMm) return false;
  const [s, t] = [dot(u, subtract(short.from, long.from)), dot(u, subtract(short.to, long.from))].sort(
    (p, q) => p - q,
  ) as [number, number];
  return Math.min(t, length) - Math.max(s, 0) > toleranceMm;
}

function arcsOverlap(a: Arc, b: Arc, toleranceMm: number): boolean {
  const one = arcGeometry(a),
    other = arcGeometry(b);
  if (Math.abs(one.radius - other.radius) > toleranceMm || distance(one.centre, other.centre) > toleranceMm)
    return false;
  const least = toleranceMm / one.radius;
  const [s, e] = stretch(one);
  // The other's stretch may lie a turn before or behind.
  return [-1, 0, 1].some((turn) => {
    const [p, q] = stretch(other).map((angle) => angle + 2 * Math.PI * turn) as [number, number];
    return Math.min(e, q) - Math.max(s, p) > least;
  });
}

/** Start and end of an arc as angles, the lower first. */
const stretch = ({ start, sweep }: { start: number; sweep: number }): readonly [number, number] =>
  sweep >= 0 ? [start, start + sweep] : [start + sweep, start];

type Cubic = Extract<Curve, { kind: 'cubic' }>;
function areSame(a: Cubic, b: Cubic, toleranceMm: number): boolean {
  const near = (p: Point, q: Point): boolean => distance(p, q) <= toleranceMm;
  const isSame =
    near(a.from, b.from) && near(a.control1, b.control1) && near(a.control2, b.control2) && near(a.to, b.to);
  return (
    isSame || (near(a.from, b.to) && near(a.control1, b.control2) && near(a.control2, b.control1) && near(a.to, b.from))
  );
}

/** The places that curves on each other cover, cut where one of them ends. */
function pieces(list: readonly Curve[], toleranceMm: number): readonly Curve[] {
  const first = list[0]!;
  if (first.kind === 'line') return linePieces(list as readonly Line[], toleranceMm);
  if (first.kind === 'arc') return arcPieces(list as readonly Arc[], toleranceMm);
  return [first];
}

/** A stretch of numbers, the lower first. */
type Interval = readonly [number, number];

/** The stretches that intervals cover, cut at their ends; ends closer than the least are one. */
export function coveredPieces(intervals: readonly Interval[], least: number): readonly Interval[] {
  const ends = intervals
    .flat()
    .sort((a, b) => a - b)
    .reduce<number[]>((kept, end) => (kept.length > 0 && end - kept.at(-1)! <= least ? kept : [...kept, end]), []);
  const covers = (at: number): boolean => intervals.some(([from, to]) => from <= at && at <= to);
  return ends.slice(1).flatMap((to, index): readonly Interval[] => {
    const from = ends[index]!;
    return covers((from + to) / 2) ? [[from, to]] : [];
  });
}

function linePieces(lines: readonly Line[], toleranceMm: number): readonly Curve[] {
  const long = lines.reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a));
  const u = unitVector(long.from, long.to);
  const place = (p: Point): number => dot(u, subtract(p, long.from));
  const known = lines.flatMap(({ from, to }) => [from, to]);
  // An end stays where it was drawn: others meet it there.
  const at = (along: number): Point =>
    known.reduce((best, p) => (Math.abs(place(p) - along) < Math.abs(place(best) - along) ? p : best));
  const intervals = lines.map(({ from, to }): Interval => {
    const [s, t] = [place(from), place(to)];
    return s < t ? [s, t] : [t, s];
  });
  return coveredPieces(intervals, toleranceMm).map(([from, to]) => ({ kind: 'line', from: at(from), to: at(to) }));
}

function arcPieces(arcs: readonly Arc[], toleranceMm: number): readonly Curve[] {
  const longest = arcs.reduce((a, b) => (Math.abs(b.bulge) > Math.abs(a.bulge) ? b : a));
  const { centre, radius } = arcGeometry(longest);
  const full = 2 * Math.PI,
    least = toleranceMm / radius;
  const zero = stretch(arcGeometry(longest))[0];
  // From the longest's start on, within one turn; what runs over it is two stretches.
  const intervals = arcs.flatMap((arc): readonly Interval[] => {
    const [from, to] = stretch(arcGeometry(arc));
    let start = (((from - zero) % full) + full) % full;
    if (full - start < least) start = 0;
    const end = start + (to - from);
    return end > full + least
      ? [
          [start, full],
          [0, end - full],
        ]
      : [[start, Math.min(end, full)]];
  });
  const known = arcs.flatMap(({ from, to }) => [from, to]);
  const at = (angle: number): Point => {
    const p = { x: centre.x + radius * Math.cos(zero + angle), y: centre.y + radius * Math.sin(zero + angle) };
    const near = known.reduce((best, end) => (distance(end, p) < distance(best, p) ? end : best));
    return distance(near, p) <= 2 * toleranceMm ? near : p;
  };
  return coveredPieces(intervals, least).map(([from, to]) => ({
    kind: 'arc',
    from: at(from),
    to: at(to),
    bulge: Math.tan((to - from) / 4),
  }));
}
