import type { Curve } from './curve.ts';
import { add, distance, subtract, times, type Point } from './point.ts';

type Cubic = Extract<Curve, { kind: 'cubic' }>;

/**
 * The smooth curve through points: neighbouring cubics meet with one direction and one curvature. Ends are straight unless a direction
 * is given for them.
 * @param points at least two, neighbours apart from each other
 * @param ends unit vectors of the first and last direction, where they are given
 * @source C2 cubic spline in Hermite form over chord lengths; the tridiagonal system is solved by the Thomas algorithm
 */
export function smoothCurve(
  points: readonly Point[],
  ends: { readonly start?: Point; readonly end?: Point } = {},
): readonly Cubic[] {
  const runs = points.length - 1;
  const chords = Array.from({ length: runs }, (_, index) => distance(points[index]!, points[index + 1]!));
  if (runs < 1 || chords.some((chord) => chord === 0)) return [];
  const slopes = chords.map((chord, index) => times(subtract(points[index + 1]!, points[index]!), 1 / chord));
  const directions = solve(chords, slopes, ends);
  return chords.map((chord, index) => ({
    kind: 'cubic',
    from: points[index]!,
    to: points[index + 1]!,
    control1: add(points[index]!, times(directions[index]!, chord / 3)),
    control2: subtract(points[index + 1]!, times(directions[index + 1]!, chord / 3)),
  }));
}

/** First derivatives at the points. Row i: lower·m(i-1) + middle·m(i) + upper·m(i+1) = right. */
function solve(
  chords: readonly number[],
  slopes: readonly Point[],
  ends: { readonly start?: Point; readonly end?: Point },
): readonly Point[] {
  const last = chords.length;
  const row = (index: number): { lower: number; middle: number; upper: number; right: Point } => {
    if (index === 0)
      return ends.start
        ? { lower: 0, middle: 1, upper: 0, right: ends.start }
        : { lower: 0, middle: 2, upper: 1, right: times(slopes[0]!, 3) };
    if (index === last)
      return ends.end
        ? { lower: 0, middle: 1, upper: 0, right: ends.end }
        : { lower: 1, middle: 2, upper: 0, right: times(slopes[last - 1]!, 3) };
    const before = chords[index - 1]!,
      after = chords[index]!;
    return {
      lower: after,
      middle: 2 * (before + after),
      upper: before,
      right: add(times(slopes[index - 1]!, 3 * after), times(slopes[index]!, 3 * before)),
    };
  };
  const upper: number[] = [],
    right: Point[] = [];
  for (let index = 0; index <= last; index++) {
    const now = row(index);
    const pivot = now.middle - (index > 0 ? now.lower * upper[index - 1]! : 0);
    upper.push(now.upper / pivot);
    right.push(times(index > 0 ? subtract(now.right, times(right[index - 1]!, now.lower)) : now.right, 1 / pivot));
  }
  const found: Point[] = [];
  for (let index = last; index >= 0; index--)
    found[index] = index === last ? right[index]! : subtract(right[index]!, times(found[index + 1]!, upper[index]!));
  return found;
}
