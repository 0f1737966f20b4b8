import { fitCurves, smoothCurve, type Curve, type Path, type Point } from '../../geometry/index.ts';

/** A spline of a file: its degree, knots and control points, and how much each of them pulls. */
export interface Spline {
  readonly degree: number;
  readonly knots: readonly number[];
  readonly points: readonly Point[];
  readonly weights: readonly number[];
  readonly fitPoints: readonly Point[];
}

/** Places looked at between two knots of a spline that no cubic follows exactly, at least and at most. */
const FEWEST_SAMPLES = 8,
  MOST_SAMPLES = 512;
const MOST_DEGREE = 11;

/**
 * A spline as cubics: exactly, where it is one of degree 3 or less without weights, else fitted.
 * @param tolerance greatest distance of a fitted one, in the file's unit
 * @returns no curve for one that is none
 */
export function splineCurves(spline: Spline, tolerance: number): Path {
  const { degree, knots, points, weights, fitPoints } = spline;
  if (points.length < 2) return throughPoints(fitPoints);
  const isSound =
    Number.isInteger(degree) &&
    degree >= 1 &&
    degree <= MOST_DEGREE &&
    knots.length === points.length + degree + 1 &&
    points.length > degree &&
    knots.every((knot, index) => Number.isFinite(knot) && (index === 0 || knot >= knots[index - 1]!));
  if (!isSound) return [];
  const isPlain = weights.length === 0 || weights.every((weight) => Math.abs(weight - weights[0]!) < 1e-12);
  return isPlain && degree <= 3 ? exactCurves(spline) : fittedCurves(spline, tolerance);
}

/** Through points, where a file says no more: smoothly. */
function throughPoints(points: readonly Point[]): Path {
  const apart = points.filter(
    (p, index) => index === 0 || p.x !== points[index - 1]!.x || p.y !== points[index - 1]!.y,
  );
  return apart.length === 2 ? [{ kind: 'line', from: apart[0]!, to: apart[1]! }] : smoothCurve(apart);
}

/** Spans between different knots on which the spline runs. */
function spansOf({ degree, knots, points }: Spline): readonly number[] {
  return Array.from({ length: points.length - degree }, (_, index) => degree + index).filter(
    (span) => knots[span + 1]! > knots[span]!,
  );
}

/**
 * Control points of the polynomial of one span: values of its blossom at its two ends.
 * @source L. Ramshaw, "Blossoms are polar forms", 1989: the i-th is the blossom of degree - i times the start and i times the end
 */
function spanPoints(spline: Spline, span: number): readonly Point[] {
  const { degree, knots } = spline;
  const [start, end] = [knots[span]!, knots[span + 1]!];
  return Array.from({ length: degree + 1 }, (_, count) =>
    blossom(
      spline,
      span,
      Array.from({ length: degree }, (_, index) => (index < degree - count ? start : end)),
    ),
  );
}

function blossom({ degree, knots, points }: Spline, span: number, places: readonly number[]): Point {
  let row = points.slice(span - degree, span + 1);
  for (let level = 1; level <= degree; level++) {
    const t = places[level - 1]!;
    row = row.slice(1).map((next, index) => {
      const low = knots[span - degree + level + index]!,
        high = knots[span + 1 + index]!;
      const share = high === low ? 0 : (t - low) / (high - low),
        before = row[index]!;
      return { x: before.x + share * (next.x - before.x), y: before.y + share * (next.y - before.y) };
    });
  }
  return row[0]!;
}

function exactCurves(spline: Spline): Path {
  const between = (a: Point, b: Point, t: number): Point => ({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
  return spansOf(spline).map((span): Curve => {
    const points = spanPoints(spline, span);
    const from = points[0]!,
      to = points.at(-1)!;
    if (spline.degree === 1) return { kind: 'line', from, to };
    if (spline.degree === 3) return { kind: 'cubic', from, control1: points[1]!, control2: points[2]!, to };
    const control = points[1]!;
    return { kind: 'cubic', from, control1: between(from, control, 2 / 3), control2: between(to, control, 2 / 3), to };
  });
}

function fittedCurves(spline: Spline, tolerance: number): Path {
  const spans = spansOf(spline);
  const samples = spans.flatMap((span, index) => {
    const points = spanSamples(spline, span, tolerance / 4);
    return index === spans.length - 1 ? points : points.slice(0, -1);
  });
  const apart = samples.filter(
    (p, index) => index === 0 || Math.hypot(p.x - samples[index - 1]!.x, p.y - samples[index - 1]!.y) > 1e-12,
  );
  if (apart.length < 2) return [];
  const isRound = apart[0]!.x === apart.at(-1)!.x && apart[0]!.y === apart.at(-1)!.y;
  if (!isRound) return fitCurves(apart, tolerance);
  const half = Math.floor(apart.length / 2);
  return [...fitCurves(apart.slice(0, half + 1), tolerance), ...fitCurves(apart.slice(half), tolerance)];
}

/** Places along one span, so close that the chords between them leave it by no more than a distance. */
function spanSamples(spline: Spline, span: number, distance: number): readonly Point[] {
  const from = spline.knots[span]!,
    length = spline.knots[span + 1]! - from;
  const at = (share: number): Point => pointOf(spline, span, from + length * share);
  for (let count = FEWEST_SAMPLES; ; count *= 2) {
    const points = Array.from({ length: count + 1 }, (_, step) => at(step / count));
    const isClose = points.slice(1).every((q, step) => {
      const p = points[step]!,
        middle = at((step + 0.5) / count);
      return Math.hypot(middle.x - (p.x + q.x) / 2, middle.y - (p.y + q.y) / 2) <= distance;
    });
    if (isClose || count >= MOST_SAMPLES) return points;
  }
}

/** A place of the spline, its weights in a third coordinate. @source de Boor's algorithm */
function pointOf({ degree, knots, points, weights }: Spline, span: number, t: number): Point {
  let row = points.slice(span - degree, span + 1).map(({ x, y }, index) => {
    const weight = weights[span - degree + index] ?? 1;
    return [x * weight, y * weight, weight] as const;
  });
  for (let level = 1; level <= degree; level++)
    row = row.slice(1).map((next, index) => {
      const low = knots[span - degree + level + index]!,
        high = knots[span + 1 + index]!;
      const share = high === low ? 0 : (t - low) / (high - low),
        before = row[index]!;
      return [
        before[0] + share * (next[0] - before[0]),
        before[1] + share * (next[1] - before[1]),
        before[2] + share * (next[2] - before[2]),
      ] as const;
    });
  const [x, y, weight] = row[0]!;
  return { x: x / weight, y: y / weight };
}
