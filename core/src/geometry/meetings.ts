import { boundsOf, boundsTouch, growBounds } from './bounds.ts';
import { runCrossing } from './crossings.ts';
import { curvePoint, curveTangent, flattenCurve, type Curve } from './curve.ts';
import { cross, distance, distanceToRun, subtract, type Point } from './point.ts';

/** Where two curves meet: the place, and the parameter on each. */
export interface Meeting {
  readonly point: Point;
  readonly s: number;
  readonly t: number;
}

/** Flattening that the search starts from, in mm. */
const SEED_TOLERANCE_MM = 0.05;
/** Curves meet where they come nearer than this, in mm. */
const MEETING_MM = 1e-6;

/**
 * Every place where two curves cross or touch, ends included, ordered along the first. Curves that run on each other meet in their ends.
 * @source Newton's method on A(s) - B(t) = 0, started from the crossings of the flattened curves
 */
export function curveMeetings(a: Curve, b: Curve): readonly Meeting[] {
  const [runsA, runsB] = [runsOf(a), runsOf(b)];
  const found: Meeting[] = [];
  for (const p of runsA) {
    for (const q of runsB) {
      if (!boundsTouch(p.reach, q.box)) continue;
      for (const [s, t] of seeds(p, q)) {
        const meeting = refine(a, b, s, t);
        if (meeting && !found.some((other) => distance(other.point, meeting.point) < 1e-5)) found.push(meeting);
      }
    }
  }
  return found.sort((m, n) => m.s - n.s);
}

interface SeedRun {
  readonly a: Point;
  readonly b: Point;
  readonly from: number;
  readonly to: number;
  readonly box: ReturnType<typeof boundsOf>;
  readonly reach: ReturnType<typeof boundsOf>;
}

function runsOf(curve: Curve): readonly SeedRun[] {
  const points = [...flattenCurve(curve, SEED_TOLERANCE_MM), { point: curve.to, t: 1 }];
  return points.slice(1).map(({ point, t }, index): SeedRun => {
    const start = points[index]!;
    const box = boundsOf([start.point, point]);
    return { a: start.point, b: point, from: start.t, to: t, box, reach: growBounds(box, 3 * SEED_TOLERANCE_MM) };
  });
}

/** Parameters to start from: a crossing of the runs, or ends that come near the other run (a touch). */
function seeds(p: SeedRun, q: SeedRun): readonly (readonly [number, number])[] {
  const at = runCrossing(p.a, p.b, q.a, q.b);
  const between = (run: SeedRun, t: number): number => run.from + (run.to - run.from) * t;
  if (at) return [[between(p, at.s), between(q, at.t)]];
  const near = 3 * SEED_TOLERANCE_MM;
  const along = (point: Point, run: SeedRun): number => {
    const d = subtract(run.b, run.a),
      e = subtract(point, run.a);
    return Math.max(0, Math.min(1, (d.x * e.x + d.y * e.y) / Math.max(1e-12, d.x * d.x + d.y * d.y)));
  };
  return [
    ...(
      [
        [p.a, p.from],
        [p.b, p.to],
      ] as const
    )
      .filter(([point]) => distanceToRun(point, q.a, q.b) <= near)
      .map(([point, s]) => [s, between(q, along(point, q))] as const),
    ...(
      [
        [q.a, q.from],
        [q.b, q.to],
      ] as const
    )
      .filter(([point]) => distanceToRun(point, p.a, p.b) <= near)
      .map(([point, t]) => [between(p, along(point, p)), t] as const),
  ];
}

function refine(a: Curve, b: Curve, s0: number, t0: number): Meeting | undefined {
  const inside = (value: number): number => Math.min(1, Math.max(0, value));
  let s = s0,
    t = t0;
  for (let round = 0; round < 60; round++) {
    const gap = subtract(curvePoint(b, t), curvePoint(a, s));
    if (Math.hypot(gap.x, gap.y) < MEETING_MM * 1e-3) break;
    const u = curveTangent(a, s),
      v = curveTangent(b, t);
    const determinant = cross(u, v);
    // Where the curves run alike, a step towards each other's nearest place stands in for Newton's.
    if (Math.abs(determinant) < 1e-9 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)) {
      const lengthSquared = u.x * u.x + u.y * u.y;
      if (lengthSquared === 0) break;
      s = inside(s + (gap.x * u.x + gap.y * u.y) / lengthSquared);
      break;
    }
    [s, t] = [inside(s + cross(gap, v) / determinant), inside(t + cross(gap, u) / determinant)];
  }
  const point = curvePoint(a, s);
  return distance(point, curvePoint(b, t)) <= MEETING_MM * 10 ? { point, s, t } : undefined;
}
