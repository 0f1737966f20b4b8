import { arcGeometry, curvePoint, curveTangent, splitCurve, type Curve } from './curve.ts';
import { add, cross, distance, distanceToRun, dot, subtract, times, type Point } from './point.ts';

type Cubic = Extract<Curve, { kind: 'cubic' }>;
type Flat = Extract<Curve, { kind: 'line' } | { kind: 'arc' }>;

const MOST_HALVINGS = 12;
/** Places at which arcs are held against the cubic. */
const LOOKED_AT = [0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9];

/**
 * A cubic as arcs that meet smoothly, and straight runs where it is straight.
 * @param toleranceMm greatest distance from the cubic, above 0
 * @source pairs of arcs with the directions of the cubic's ends and one direction where they meet (biarcs), halved until they are near enough
 */
export const cubicArcs = (cubic: Cubic, toleranceMm: number): readonly Flat[] => halved(cubic, toleranceMm, 0);

function halved(cubic: Cubic, toleranceMm: number, depth: number): readonly Flat[] {
  const { from, to } = cubic;
  if (distance(from, to) < toleranceMm / 4 && depth > 0)
    return distance(from, to) === 0 ? [] : [{ kind: 'line', from, to }];
  const pair = biarc(from, directionAt(cubic, 0), to, directionAt(cubic, 1));
  if (pair && (isNear(pair, cubic, toleranceMm) || depth >= MOST_HALVINGS)) return pair;
  if (depth >= MOST_HALVINGS) return [{ kind: 'line', from, to }];
  const [head, tail] = splitCurve(cubic, 0.5) as readonly [Cubic, Cubic];
  return [...halved(head, toleranceMm, depth + 1), ...halved(tail, toleranceMm, depth + 1)];
}

/** Unit direction at an end; where a control point lies on the end, towards the next one. */
function directionAt(cubic: Cubic, t: 0 | 1): Point {
  const tangent = curveTangent(cubic, t),
    length = Math.hypot(tangent.x, tangent.y);
  if (length > 1e-9) return times(tangent, 1 / length);
  const near = curvePoint(cubic, t === 0 ? 1e-3 : 1 - 1e-3),
    along = t === 0 ? subtract(near, cubic.from) : subtract(cubic.to, near);
  return times(along, 1 / Math.max(1e-12, Math.hypot(along.x, along.y)));
}

/** Two arcs from a point in one direction to another in another, with handles of one length. */
function biarc(p: Point, u: Point, q: Point, v: Point): readonly Flat[] | undefined {
  const w = subtract(q, p),
    t = add(u, v);
  const a = 2 * (1 - dot(u, v)),
    b = dot(w, t),
    c = dot(w, w);
  // The handles' length solves a·d² + 2·b·d - c = 0; with one direction it is c / (2·b).
  const d = Math.abs(a) < 1e-9 ? (Math.abs(b) < 1e-12 ? Number.NaN : c / (2 * b)) : (-b + Math.sqrt(b * b + a * c)) / a;
  if (!(d > 0) || !Number.isFinite(d)) return undefined;
  const middle = times(add(add(p, times(u, d)), subtract(q, times(v, d))), 0.5);
  const first = arcFrom(p, u, middle),
    second = arcFrom(q, times(v, -1), middle);
  return [first, { ...second, from: middle, to: q, ...(second.kind === 'arc' ? { bulge: -second.bulge } : {}) }];
}

/** The arc from a point in a direction to another point. @source its sweep is twice the angle between direction and chord */
function arcFrom(p: Point, u: Point, q: Point): Flat {
  const chord = subtract(q, p);
  const half = Math.atan2(cross(u, chord), dot(u, chord));
  const bulge = Math.tan(half / 2);
  return Math.abs(bulge) < 1e-9 ? { kind: 'line', from: p, to: q } : { kind: 'arc', from: p, to: q, bulge };
}

/** Whether a pair of arcs follows a cubic: each of its places lies on the circle of one of them, which is enough for so small a turn. */
function isNear(pair: readonly Flat[], cubic: Cubic, toleranceMm: number): boolean {
  if (pair.some((curve) => curve.kind === 'arc' && Math.abs(curve.bulge) > 1)) return false;
  const offs = pair.map(distanceFrom);
  return LOOKED_AT.every((t) => {
    const p = curvePoint(cubic, t);
    return offs.some((off) => off(p) <= toleranceMm);
  });
}

function distanceFrom(curve: Flat): (p: Point) => number {
  if (curve.kind === 'line') return (p) => distanceToRun(p, curve.from, curve.to);
  const { centre, radius } = arcGeometry(curve);
  return (p) => Math.abs(distance(p, centre) - radius);
}
