import { Bezier } from 'bezier-js';
import {
  add,
  cross,
  distance,
  interpolate,
  nearestParameter,
  leftOf,
  midpoint,
  subtract,
  times,
  type Point,
} from './point.ts';
import { applyTransform, isMirroring, type Transform } from './transform.ts';

/** A straight run, a circular arc (bulge = tan of a quarter of its sweep, positive counter-clockwise), or a cubic curve. */
export type Curve =
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
  | { readonly kind: 'arc'; readonly from: Point; readonly to: Point; readonly bulge: number }
  | {
      readonly kind: 'cubic';
      readonly from: Point;
      readonly to: Point;
      readonly control1: Point;
      readonly control2: Point;
    };

type Arc = Extract<Curve, { kind: 'arc' }>;
type Cubic = Extract<Curve, { kind: 'cubic' }>;

/** Centre, radius, start angle and sweep (radians, signed) of an arc. */
export function arcGeometry(arc: Arc): {
  readonly centre: Point;
  readonly radius: number;
  readonly start: number;
  readonly sweep: number;
} {
  const sweep = 4 * Math.atan(arc.bulge);
  const chord = distance(arc.from, arc.to);
  const radius = (chord * (1 + arc.bulge * arc.bulge)) / (4 * Math.abs(arc.bulge));
  // The centre lies on the chord's perpendicular, to the left for a counter-clockwise arc under half a turn.
  const toCentre = (1 - arc.bulge * arc.bulge) / (4 * arc.bulge);
  const centre = add(midpoint(arc.from, arc.to), times(leftOf(subtract(arc.to, arc.from)), toCentre));
  return { centre, radius, start: Math.atan2(arc.from.y - centre.y, arc.from.x - centre.x), sweep };
}

/** Bulge of the arc from `from` to `to` through a third point; 0 when the three lie on a line. */
export function bulgeThrough(from: Point, through: Point, to: Point): number {
  const a = subtract(from, through),
    b = subtract(to, through);
  const angleAtThrough = Math.atan2(cross(a, b), a.x * b.x + a.y * b.y);
  // Inscribed angle: sweep = 2·(π - |angle|), on the side away from the third point.
  const quarterSweep = (Math.PI - Math.abs(angleAtThrough)) / 2;
  const bulge = Math.tan(quarterSweep) * (angleAtThrough > 0 ? -1 : 1);
  return Math.abs(bulge) < 1e-9 ? 0 : bulge;
}

const bezierOf = (c: Cubic): Bezier =>
  new Bezier(c.from.x, c.from.y, c.control1.x, c.control1.y, c.control2.x, c.control2.y, c.to.x, c.to.y);
const isStraight = (curve: Curve): boolean =>
  curve.kind === 'line' || (curve.kind === 'arc' && Math.abs(curve.bulge) < 1e-9);

/** A cubic's length is true to this many mm, and it is halved at most so often to be so: each time, what a cusp hides falls to a quarter. */
const LENGTH_MM = 1e-7;
const MOST_HALVINGS = 14;

function cubicLength(cubic: Cubic, whole: number, depth: number): number {
  const halves = splitCurve(cubic, 0.5) as readonly [Cubic, Cubic];
  const [head, tail] = halves.map((half) => bezierOf(half).length()) as [number, number];
  if (Math.abs(head + tail - whole) < LENGTH_MM || depth >= MOST_HALVINGS) return head + tail;
  return cubicLength(halves[0], head, depth + 1) + cubicLength(halves[1], tail, depth + 1);
}

/** Length along the curve; cubics by Legendre-Gauss quadrature, halved until it settles: at a cusp it does so slowly. */
export function curveLength(curve: Curve): number {
  if (curve.kind === 'cubic') return cubicLength(curve, bezierOf(curve).length(), 0);
  if (isStraight(curve)) return distance(curve.from, curve.to);
  const { radius, sweep } = arcGeometry(curve as Arc);
  return radius * Math.abs(sweep);
}

/** Point at parameter t in [0, 1]. */
export function curvePoint(curve: Curve, t: number): Point {
  if (curve.kind === 'cubic') {
    const u = 1 - t;
    const w = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t] as const;
    return {
      x: w[0] * curve.from.x + w[1] * curve.control1.x + w[2] * curve.control2.x + w[3] * curve.to.x,
      y: w[0] * curve.from.y + w[1] * curve.control1.y + w[2] * curve.control2.y + w[3] * curve.to.y,
    };
  }
  if (isStraight(curve)) return interpolate(curve.from, curve.to, t);
  if (t === 0) return curve.from;
  if (t === 1) return curve.to;
  const { centre, radius, start, sweep } = arcGeometry(curve as Arc);
  return { x: centre.x + radius * Math.cos(start + sweep * t), y: centre.y + radius * Math.sin(start + sweep * t) };
}

/** Both halves of a curve cut at t in (0, 1). */
export function splitCurve(curve: Curve, t: number): readonly [Curve, Curve] {
  const at = curvePoint(curve, t);
  if (curve.kind === 'line')
    return [
      { ...curve, to: at },
      { ...curve, from: at },
    ];
  if (curve.kind === 'arc') {
    const quarter = Math.atan(curve.bulge);
    return [
      { ...curve, to: at, bulge: Math.tan(quarter * t) },
      { ...curve, from: at, bulge: Math.tan(quarter * (1 - t)) },
    ];
  }
  const a = interpolate(curve.from, curve.control1, t),
    b = interpolate(curve.control1, curve.control2, t),
    c = interpolate(curve.control2, curve.to, t);
  return [
    { kind: 'cubic', from: curve.from, control1: a, control2: interpolate(a, b, t), to: at },
    { kind: 'cubic', from: at, control1: interpolate(b, c, t), control2: c, to: curve.to },
  ];
}

/** Parameter of the place that lies a length along the curve; 0 and 1 beyond its ends. Cubics by halving. */
export function parameterAtLength(curve: Curve, lengthMm: number): number {
  const whole = curveLength(curve);
  if (lengthMm <= 0 || whole === 0) return 0;
  if (lengthMm >= whole) return 1;
  if (curve.kind !== 'cubic') return lengthMm / whole;
  let low = 0,
    high = 1;
  for (let round = 0; round < 50; round++) {
    const middle = (low + high) / 2;
    if (curveLength(splitCurve(curve, middle)[0]) < lengthMm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Derivative of the curve by its parameter at t in [0, 1], in mm. */
export function curveTangent(curve: Curve, t: number): Point {
  if (isStraight(curve)) return subtract(curve.to, curve.from);
  if (curve.kind === 'cubic') {
    const u = 1 - t;
    const [p, q, r] = [
      subtract(curve.control1, curve.from),
      subtract(curve.control2, curve.control1),
      subtract(curve.to, curve.control2),
    ];
    return {
      x: 3 * (u * u * p.x + 2 * u * t * q.x + t * t * r.x),
      y: 3 * (u * u * p.y + 2 * u * t * q.y + t * t * r.y),
    };
  }
  const { radius, start, sweep } = arcGeometry(curve as Arc);
  return { x: -radius * sweep * Math.sin(start + sweep * t), y: radius * sweep * Math.cos(start + sweep * t) };
}

/** Parameter in [0, 1] and distance of the point of the curve nearest to p. */
export function nearestOnCurve(
  curve: Curve,
  p: Point,
): { readonly t: number; readonly point: Point; readonly distance: number } {
  if (isStraight(curve)) {
    const t = nearestParameter(p, curve.from, curve.to);
    const point = interpolate(curve.from, curve.to, t);
    return { t, point, distance: distance(point, p) };
  }
  const samples = Array.from({ length: NEAREST_SAMPLES + 1 }, (_, step) => curvePoint(curve, step / NEAREST_SAMPLES));
  const off = samples.map((sample) => distance(sample, p));
  let best = { t: 0, point: samples[0]!, distance: off[0]! };
  off.forEach((d, index) => {
    const before = off[index - 1] ?? Infinity,
      after = off[index + 1] ?? Infinity;
    if (d > before || d > after) return;
    // Between two samples the curve comes no nearer than they do, less the way to the next: a curve that passes by itself has several such places.
    const reach = Math.max(
      index > 0 ? distance(samples[index - 1]!, samples[index]!) : 0,
      index < NEAREST_SAMPLES ? distance(samples[index]!, samples[index + 1]!) : 0,
    );
    if (d - 1.5 * reach > best.distance) return;
    const found = nearestBetween(
      curve,
      p,
      Math.max(0, index - 1) / NEAREST_SAMPLES,
      Math.min(NEAREST_SAMPLES, index + 1) / NEAREST_SAMPLES,
    );
    if (found.distance < best.distance) best = found;
  });
  return best;
}

/** Samples along a bent curve between which its distance from a point has one least value. */
const NEAREST_SAMPLES = 48;

/** The nearest place within a stretch, by ternary search. */
function nearestBetween(
  curve: Curve,
  p: Point,
  from: number,
  to: number,
): { readonly t: number; readonly point: Point; readonly distance: number } {
  let [low, high] = [from, to];
  for (let round = 0; round < 60; round++) {
    const third = (high - low) / 3;
    if (distance(curvePoint(curve, low + third), p) < distance(curvePoint(curve, high - third), p)) high -= third;
    else low += third;
  }
  const t = (low + high) / 2,
    point = curvePoint(curve, t);
  return { t, point, distance: distance(point, p) };
}

/**
 * Points along the curve, the start included, the end left out, no chord further from it than the tolerance.
 * @param toleranceMm greatest distance between chord and curve, above 0
 */
export function flattenCurve(
  curve: Curve,
  toleranceMm: number,
): readonly { readonly point: Point; readonly t: number }[] {
  const steps = flattenSteps(curve, toleranceMm);
  if (curve.kind !== 'arc' || steps === 1)
    return Array.from({ length: steps }, (_, step) => ({ point: curvePoint(curve, step / steps), t: step / steps }));
  const { centre, radius, start, sweep } = arcGeometry(curve);
  return Array.from({ length: steps }, (_, step) => {
    const t = step / steps,
      angle = start + sweep * t;
    const point = { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
    return { point: step === 0 ? curve.from : point, t };
  });
}

/** How many chords follow a curve within a tolerance in mm: at most 2000. */
export function flattenSteps(curve: Curve, toleranceMm: number): number {
  if (isStraight(curve)) return 1;
  if (curve.kind === 'arc') {
    const { radius, sweep } = arcGeometry(curve);
    const perStep = 2 * Math.acos(Math.max(-1, 1 - Math.min(toleranceMm, radius) / radius));
    return Math.min(2000, Math.max(2, Math.ceil(Math.abs(sweep) / perStep)));
  }
  // Wang's bound: n = sqrt(d(d-1)/8 · max second difference / tolerance), d = 3.
  const cubic = curve as Cubic;
  const second = (a: Point, b: Point, c: Point): number => Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y);
  const most = Math.max(
    second(cubic.from, cubic.control1, cubic.control2),
    second(cubic.control1, cubic.control2, cubic.to),
  );
  return Math.min(2000, Math.max(2, Math.ceil(Math.sqrt((6 / 8) * (most / toleranceMm)))));
}

/** ∮ x dy of the curve less that of its chord: what a curve adds to a polygon's signed area (exact). @source Green's theorem */
export function areaBeyondChord(curve: Curve): number {
  if (isStraight(curve)) return 0;
  if (curve.kind === 'arc') {
    const { radius, sweep } = arcGeometry(curve);
    return (radius * radius * (sweep - Math.sin(sweep))) / 2;
  }
  const { from: a, control1: b, control2: c, to: d } = curve as Cubic;
  // Half the integral of B × B' over t, with the curve's start as origin (the chord then adds nothing).
  const p = subtract(b, a),
    q = subtract(c, a),
    r = subtract(d, a);
  return (3 / 20) * (cross(p, q) + cross(p, r) + 2 * cross(q, r));
}

/** The curve run the other way. */
export function reverseCurve(curve: Curve): Curve {
  switch (curve.kind) {
    case 'line':
      return { kind: 'line', from: curve.to, to: curve.from };
    case 'arc':
      return { kind: 'arc', from: curve.to, to: curve.from, bulge: -curve.bulge };
    case 'cubic':
      return { kind: 'cubic', from: curve.to, to: curve.from, control1: curve.control2, control2: curve.control1 };
  }
}

/** The curve under a map that keeps circles round (turn, move, mirror, even scale). */
export function transformCurve(t: Transform, curve: Curve): Curve {
  const from = applyTransform(t, curve.from),
    to = applyTransform(t, curve.to);
  switch (curve.kind) {
    case 'line':
      return { kind: 'line', from, to };
    case 'arc':
      return { kind: 'arc', from, to, bulge: isMirroring(t) ? -curve.bulge : curve.bulge };
    case 'cubic':
      return {
        kind: 'cubic',
        from,
        to,
        control1: applyTransform(t, curve.control1),
        control2: applyTransform(t, curve.control2),
      };
  }
}
