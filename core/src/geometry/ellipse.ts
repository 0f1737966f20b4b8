import { arcGeometry, transformCurve, type Curve } from './curve.ts';
import type { Path } from './path.ts';
import type { Point } from './point.ts';
import type { Transform } from './transform.ts';

type Arc = Extract<Curve, { kind: 'arc' }>;
type Cubic = Extract<Curve, { kind: 'cubic' }>;

/** An arc of one cubic turns by this much at most, in radians. */
const CUBIC_SWEEP = Math.PI / 4;

/**
 * An arc as cubics of at most an eighth of a turn each, which leave the true arc by less than 5e-6 of its radius.
 * @source handle length 4/3·tan(sweep/4)
 */
export function arcCubics(arc: Arc): readonly Cubic[] {
  const { centre, radius, start, sweep } = arcGeometry(arc);
  const count = Math.max(1, Math.ceil(Math.abs(sweep) / CUBIC_SWEEP - 1e-9));
  const step = sweep / count,
    handle = (4 / 3) * Math.tan(step / 4) * radius;
  const on = (angle: number): Point => ({
    x: centre.x + radius * Math.cos(angle),
    y: centre.y + radius * Math.sin(angle),
  });
  return Array.from({ length: count }, (_, index) => {
    const a = start + step * index,
      b = a + step;
    const p = index === 0 ? arc.from : on(a),
      q = index === count - 1 ? arc.to : on(b);
    return {
      kind: 'cubic',
      from: p,
      to: q,
      control1: { x: p.x - handle * Math.sin(a), y: p.y + handle * Math.cos(a) },
      control2: { x: q.x + handle * Math.sin(b), y: q.y - handle * Math.cos(b) },
    };
  });
}

/** Whether a map keeps circles round: it turns, moves, mirrors and scales evenly. */
const keepsCircles = ({ a, b, c, d }: Transform): boolean => {
  const size = Math.max(Math.abs(a), Math.abs(b), Math.abs(c), Math.abs(d));
  const isTurn = Math.abs(a - d) < 1e-9 * size && Math.abs(b + c) < 1e-9 * size,
    isMirrored = Math.abs(a + d) < 1e-9 * size && Math.abs(b - c) < 1e-9 * size;
  return isTurn || isMirrored;
};

/** A curve under any affine map: an arc that does not stay round becomes cubics within 5e-6 of its radius. */
export function affineCurve(t: Transform, curve: Curve): Path {
  if (curve.kind !== 'arc' || keepsCircles(t)) return [transformCurve(t, curve)];
  if (Math.abs(curve.bulge) < 1e-9) return [transformCurve(t, { kind: 'line', from: curve.from, to: curve.to })];
  return arcCubics(curve).map((cubic) => transformCurve(t, cubic));
}

/**
 * A run of an ellipse: where the map takes the unit circle from one angle on by a sweep. Exact arcs where the map keeps circles round.
 * @param t takes the unit circle about the origin onto the ellipse
 * @param startRadians @param sweepRadians on the unit circle, counter-clockwise positive; a whole turn at most
 */
export function ellipseRun(t: Transform, startRadians: number, sweepRadians: number): Path {
  const sweep = Math.max(-2 * Math.PI, Math.min(2 * Math.PI, sweepRadians));
  // Halves of a turn and less, so that no bulge grows without end.
  const count = Math.max(1, Math.ceil(Math.abs(sweep) / Math.PI - 1e-9)),
    step = sweep / count;
  const on = (index: number): Point => {
    const angle = startRadians + step * index;
    return { x: Math.cos(angle), y: Math.sin(angle) };
  };
  const isRound = keepsCircles(t);
  return Array.from({ length: count }, (_, index): Arc => ({
    kind: 'arc',
    from: on(index),
    to: index === count - 1 && Math.abs(sweep) === 2 * Math.PI ? on(0) : on(index + 1),
    bulge: Math.tan(step / 4),
  })).flatMap((arc) => (isRound ? [transformCurve(t, arc)] : arcCubics(arc).map((cubic) => transformCurve(t, cubic))));
}

/** How much longer or shorter a map makes things, on the average over directions of area. */
export const scaleOf = ({ a, b, c, d }: Transform): number => Math.sqrt(Math.abs(a * d - b * c));

/** A circle as two halves of a turn, counter-clockwise. */
export const circlePath = (centre: Point, radius: number): Path =>
  ellipseRun({ a: radius, b: 0, c: 0, d: radius, e: centre.x, f: centre.y }, 0, 2 * Math.PI);
