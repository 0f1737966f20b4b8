import type { Point } from '../../geometry/index.ts';

/** A bent skin's line between its two held ends, over what it rests on. */
export interface BentLine {
  readonly height: (x: number) => number;
  /** Slope at a place, as a tangent. */
  readonly slope: (x: number) => number;
  /** Curvature by the length along the line, in 1/mm; below 0 it bends down. */
  readonly curvature: (x: number) => number;
  /** Which of the rests it lies on. */
  readonly touches: readonly boolean[];
}

/** Second derivatives of the natural cubic spline through knots: nothing bends it at its ends. */
function secondDerivatives(knots: readonly Point[]): readonly number[] {
  const count = knots.length,
    second = knots.map(() => 0);
  if (count < 3) return second;
  const above: number[] = [],
    right: number[] = [];
  for (let index = 1; index < count - 1; index++) {
    const [a, b, c] = [knots[index - 1]!, knots[index]!, knots[index + 1]!];
    const before = b.x - a.x,
      after = c.x - b.x;
    const rise = 6 * ((c.y - b.y) / after - (b.y - a.y) / before);
    const pivot = 2 * (before + after) - (index > 1 ? before * above[index - 2]! : 0);
    above.push(after / pivot);
    right.push((rise - (index > 1 ? before * right[index - 2]! : 0)) / pivot);
  }
  for (let index = count - 2; index >= 1; index--)
    second[index] = right[index - 1]! - above[index - 1]! * second[index + 1]!;
  return second;
}

/** Rests that no longer push the line up are let go. */
function pushes(knots: readonly Point[], second: readonly number[], index: number): boolean {
  const third = (at: number): number => (second[at + 1]! - second[at]!) / (knots[at + 1]!.x - knots[at]!.x);
  return third(index) - third(index - 1) >= -1e-12;
}

/**
 * The line of least bending energy from one end to the other that lies nowhere below its rests.
 * @param ends first and last place; both are hinges
 * @param rests places that it must not fall below, in order of x, between the ends
 * @source for small slopes the energy is ∫ z''² dx: its least is the natural cubic spline through the rests that push; a rest pushes where
 * the shear z''' steps up
 */
export function bentLine(ends: readonly [Point, Point], rests: readonly Point[]): BentLine {
  let touches = rests.map(() => true);
  let knots: readonly Point[] = [],
    second: readonly number[] = [];
  for (let round = 0; round <= 2 * rests.length; round++) {
    const used = rests.filter((_, index) => touches[index]);
    knots = [ends[0], ...used, ends[1]];
    second = secondDerivatives(knots);
    const idle = used.findIndex((_, index) => !pushes(knots, second, index + 1));
    if (idle >= 0 && used.length > 1) {
      const gone = used[idle]!;
      touches = touches.map((is, index) => is && rests[index] !== gone);
      continue;
    }
    const sunk = rests.findIndex((rest, index) => !touches[index] && heightOn(knots, second, rest.x) < rest.y - 1e-9);
    if (sunk < 0) break;
    touches = touches.map((is, index) => is || index === sunk);
  }
  const slope = (x: number): number => slopeOn(knots, second, x);
  return {
    height: (x) => heightOn(knots, second, x),
    slope,
    curvature: (x) => bendOn(knots, second, x) / (1 + slope(x) ** 2) ** 1.5,
    touches,
  };
}

const spanAt = (knots: readonly Point[], x: number): number => {
  const at = knots.findIndex((knot, index) => index > 0 && x <= knot.x);
  return at < 0 ? knots.length - 2 : at - 1;
};
function heightOn(knots: readonly Point[], second: readonly number[], x: number): number {
  const at = spanAt(knots, x),
    [a, b] = [knots[at]!, knots[at + 1]!],
    run = b.x - a.x;
  const left = (b.x - x) / run,
    right = (x - a.x) / run;
  return (
    left * a.y +
    right * b.y +
    (((left ** 3 - left) * second[at]! + (right ** 3 - right) * second[at + 1]!) * run ** 2) / 6
  );
}
function slopeOn(knots: readonly Point[], second: readonly number[], x: number): number {
  const at = spanAt(knots, x),
    [a, b] = [knots[at]!, knots[at + 1]!],
    run = b.x - a.x;
  const left = (b.x - x) / run,
    right = (x - a.x) / run;
  return (b.y - a.y) / run + ((-(3 * left ** 2 - 1) * second[at]! + (3 * right ** 2 - 1) * second[at + 1]!) * run) / 6;
}
function bendOn(knots: readonly Point[], second: readonly number[], x: number): number {
  const at = spanAt(knots, x),
    [a, b] = [knots[at]!, knots[at + 1]!];
  return ((b.x - x) * second[at]! + (x - a.x) * second[at + 1]!) / (b.x - a.x);
}

/** Strips that a bent line is drawn with: before, over and behind what it rests on. */
const BENT_STRIPS = [6, 2, 9] as const;

/** Of the run behind the last rest at most this share is one strip. */
const MOST_LAST_STRIP = 0.9;

/**
 * Corners of the fine strips that a bent line is drawn as: evenly along it, with a corner at each rest.
 * @param lastStrip how long the last strip is at least: what is cut out of it crosses no other; 0 for even strips
 */
export function stripCorners(
  line: BentLine,
  ends: readonly [Point, Point],
  rests: readonly Point[],
  lastStrip = 0,
): readonly Point[] {
  const last = Math.min(lastStrip, MOST_LAST_STRIP * (ends[1].x - (rests.at(-1) ?? ends[0]).x));
  const stops = [ends[0].x, ...rests.map(({ x }) => x), ...(last > 0 ? [ends[1].x - last] : []), ends[1].x];
  const corners: Point[] = [ends[0]];
  stops.slice(1).forEach((to, index) => {
    const from = stops[index]!,
      steps = BENT_STRIPS[index] ?? 1;
    for (let step = 1; step <= steps; step++) {
      const x = from + ((to - from) * step) / steps;
      corners.push(index === stops.length - 2 && step === steps ? ends[1] : { x, y: line.height(x) });
    }
  });
  return corners;
}

/** The smallest radius of a bent line, in mm; Infinity for a straight one. */
export function tightestRadius(line: BentLine, ends: readonly [Point, Point], rests: readonly Point[]): number {
  const places = [
    ...rests.map(({ x }) => x),
    ...Array.from({ length: 41 }, (_, index) => ends[0].x + ((ends[1].x - ends[0].x) * index) / 40),
  ];
  const most = Math.max(...places.map((x) => Math.abs(line.curvature(x))));
  return most < 1e-9 ? Infinity : 1 / most;
}
