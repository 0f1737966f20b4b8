import { bulgeThrough, curvePoint, curveTangent, nearestOnCurve, type Curve } from './curve.ts';
import type { Path } from './path.ts';
import { degrees } from '../units/index.ts';
import {
  add,
  cross,
  distance,
  distanceToRun,
  dot,
  interpolate,
  subtract,
  times,
  unitVector,
  type Point,
} from './point.ts';

type Cubic = Extract<Curve, { kind: 'cubic' }>;

/** Points looked at along one stretch. */
const MOST_SAMPLES = 160;
const REFINEMENTS = 6;
/** Arcs up to this bulge: three quarters of a turn. */
const FULLEST_ARC_BULGE = 2.4;

/**
 * Few curves along a chain of points without corners: one straight run, one arc, or as many cubics as it takes.
 * @param chain at least two points; its ends are kept
 * @param toleranceMm greatest distance of the chain from the curves, above 0
 * @source P. J. Schneider, "An algorithm for automatically fitting digitized curves", Graphics Gems, 1990; lines and arcs are tried first
 */
export function fitCurves(chain: readonly Point[], toleranceMm: number): Path {
  const samples = sampled(chain);
  const from = samples[0]!,
    to = samples.at(-1)!;
  if (samples.every((p) => distanceToRun(p, from, to) <= toleranceMm)) return [{ kind: 'line', from, to }];
  return (
    arcAlong(samples, toleranceMm) ??
    cubicsAlong(samples, directionAt(samples, 0), times(directionAt(samples, samples.length - 1), -1), toleranceMm)
  );
}

/** A ring's turn of more than this at a point is a corner: smooth stretches of a fine polygon turn by less. */
const CORNER_DEGREES = 15;

/**
 * Few curves round a fine polygon, its corners kept.
 * @param ring at least three points, the last not the first again
 * @param toleranceMm greatest distance of the polygon from the curves, above 0
 */
export function fitRing(ring: readonly Point[], toleranceMm: number): Path {
  const count = ring.length;
  const isCorner = (index: number): boolean => {
    const before = subtract(ring[index]!, ring[(index + count - 1) % count]!),
      after = subtract(ring[(index + 1) % count]!, ring[index]!);
    return Math.abs(degrees(Math.atan2(cross(before, after), dot(before, after)))) > CORNER_DEGREES;
  };
  const corners = ring.flatMap((_, index) => (isCorner(index) ? [index] : []));
  // Without corners it is broken half way round: no curve ends where it starts.
  const breaks = corners.length > 1 ? corners : [corners[0] ?? 0, ((corners[0] ?? 0) + Math.floor(count / 2)) % count];
  return breaks.flatMap((from, at) => {
    const to = breaks[(at + 1) % breaks.length]!;
    const length = (to - from + count) % count;
    return fitCurves(
      Array.from({ length: length + 1 }, (_, step) => ring[(from + step) % count]!),
      toleranceMm,
    );
  });
}

/** The chain with points evenly between its own, so that long runs weigh as much as short ones. */
function sampled(chain: readonly Point[]): readonly Point[] {
  const lengths = chain.slice(1).map((p, index) => distance(chain[index]!, p));
  const pitch = lengths.reduce((sum, length) => sum + length, 0) / MOST_SAMPLES;
  return [
    chain[0]!,
    ...chain.slice(1).flatMap((to, index) => {
      const count = Math.max(1, Math.ceil(lengths[index]! / Math.max(pitch, 1e-9)));
      return Array.from({ length: count }, (_, step) => interpolate(chain[index]!, to, (step + 1) / count));
    }),
  ];
}

function arcAlong(samples: readonly Point[], toleranceMm: number): Path | undefined {
  const from = samples[0]!,
    to = samples.at(-1)!;
  if (distance(from, to) < toleranceMm) return undefined;
  const bulge = bulgeThrough(from, samples[Math.floor(samples.length / 2)]!, to);
  if (bulge === 0 || Math.abs(bulge) > FULLEST_ARC_BULGE) return undefined;
  const arc = { kind: 'arc' as const, from, to, bulge };
  // To the arc itself, not to its circle: a chain may run on past its own end before it comes back.
  return samples.every((p) => nearestOnCurve(arc, p).distance <= toleranceMm) ? [arc] : undefined;
}

/** Direction of the chain at a sample, from its neighbours on either side. */
function directionAt(samples: readonly Point[], index: number): Point {
  const reach = Math.max(1, Math.floor(samples.length / 40));
  return unitVector(samples[Math.max(0, index - reach)]!, samples[Math.min(samples.length - 1, index + reach)]!);
}

function cubicsAlong(samples: readonly Point[], start: Point, end: Point, toleranceMm: number): readonly Cubic[] {
  if (samples.length === 2) {
    const [from, to] = samples as readonly [Point, Point];
    return [
      { kind: 'cubic', from, to, control1: interpolate(from, to, 1 / 3), control2: interpolate(from, to, 2 / 3) },
    ];
  }
  let parameters = chordParameters(samples);
  let worst = 0;
  for (let round = 0; round < REFINEMENTS; round++) {
    const cubic = leastSquares(samples, parameters, start, end);
    const off = samples.map((p, index) => distance(p, curvePoint(cubic, parameters[index]!)));
    worst = off.indexOf(Math.max(...off));
    if (off[worst]! <= toleranceMm) return [cubic];
    parameters = parameters.map((t, index) => newton(cubic, samples[index]!, t));
  }
  const at = Math.min(samples.length - 2, Math.max(1, worst));
  const direction = directionAt(samples, at);
  return [
    ...cubicsAlong(samples.slice(0, at + 1), start, times(direction, -1), toleranceMm),
    ...cubicsAlong(samples.slice(at), direction, end, toleranceMm),
  ];
}

function chordParameters(samples: readonly Point[]): readonly number[] {
  const along = [0];
  for (let index = 1; index < samples.length; index++)
    along.push(along[index - 1]! + distance(samples[index - 1]!, samples[index]!));
  return along.map((length) => length / along.at(-1)!);
}

/** Handle lengths that lie nearest to the samples; a third of the chord where the system has no good answer. */
function leastSquares(samples: readonly Point[], parameters: readonly number[], start: Point, end: Point): Cubic {
  const from = samples[0]!,
    to = samples.at(-1)!;
  let c00 = 0,
    c01 = 0,
    c11 = 0,
    x0 = 0,
    x1 = 0;
  samples.forEach((p, index) => {
    const t = parameters[index]!,
      u = 1 - t;
    const a = times(start, 3 * u * u * t),
      b = times(end, 3 * u * t * t);
    const rest = subtract(p, add(times(from, u * u * u + 3 * u * u * t), times(to, t * t * t + 3 * u * t * t)));
    c00 += dot(a, a);
    c01 += dot(a, b);
    c11 += dot(b, b);
    x0 += dot(a, rest);
    x1 += dot(b, rest);
  });
  const determinant = c00 * c11 - c01 * c01,
    chord = distance(from, to);
  const lengths =
    Math.abs(determinant) > 1e-12
      ? ([(x0 * c11 - x1 * c01) / determinant, (c00 * x1 - c01 * x0) / determinant] as const)
      : ([0, 0] as const);
  const [p, q] = lengths.every((length) => length > 1e-6 * chord && length < 4 * chord + 1)
    ? lengths
    : [chord / 3, chord / 3];
  return { kind: 'cubic', from, to, control1: add(from, times(start, p)), control2: add(to, times(end, q)) };
}

/** One Newton step of a parameter towards the place of the curve nearest to its sample. */
function newton(cubic: Cubic, p: Point, t: number): number {
  const off = subtract(curvePoint(cubic, t), p),
    first = curveTangent(cubic, t);
  const second = times(
    subtract(curveTangent(cubic, Math.min(1, t + 1e-4)), curveTangent(cubic, Math.max(0, t - 1e-4))),
    1 / (Math.min(1, t + 1e-4) - Math.max(0, t - 1e-4)),
  );
  const slope = dot(first, first) + dot(off, second);
  return Math.abs(slope) < 1e-12 ? t : Math.min(1, Math.max(0, t - dot(off, first) / slope));
}
