import {
  arcGeometry,
  bulgeThrough,
  cross,
  distance,
  dot,
  midpoint,
  subtract,
  type Curve,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { degrees } from '../units/index.ts';
import type { Chain } from './chain.ts';
import { withRoundCubics } from './round-cubics.ts';

/** A cubic that was written for an arc leaves it by no more than this, in mm. */
const ROUND_CUBIC_MM = 0.02;
/** Fewer straight runs than this in a row are no arc, and an arc turns by so much at least. */
const FEWEST_RUNS = 4,
  LEAST_SWEEP_DEGREES = 12;
/** Between two runs of an arc the line turns by no more than this. */
const MOST_TURN_DEGREES = 30;
/** A run of an arc is no longer than this, in parts of its neighbour. */
const MOST_RATIO = 3;

/**
 * The chain with its rows of short straight runs that follow a circle made arcs, and straight runs in one line made one.
 * @param toleranceMm greatest distance of the runs from the arc, their middles included: a polygon with few corners stays one
 */
export function withArcs(chain: Chain, toleranceMm: number): Chain {
  const { isClosed } = chain,
    path = withRoundCubics(chain.path, Math.min(toleranceMm, ROUND_CUBIC_MM)),
    whole = isClosed ? fromCorner(path) : path;
  const made: Curve[] = [];
  for (let start = 0; start < whole.length;) {
    const end = arcEnd(whole, start, toleranceMm);
    if (end === undefined) {
      made.push(whole[start]!);
      start += 1;
    } else {
      made.push(...arcsOf(whole, start, end));
      start = end + 1;
    }
  }
  return { path: straightened(made, isClosed), isClosed };
}

/** A loop begun where no arc runs on: between runs that no arc would take together, else at its sharpest corner. */
function fromCorner(path: Path): Path {
  let best = -1,
    at = 0;
  path.forEach((curve, index) => {
    const before = path[(index + path.length - 1) % path.length]!;
    const turn = Math.abs(turnBetween(before, curve));
    const score = areEven(before, curve) ? turn : 180 + turn;
    if (score > best + 1e-9) [best, at] = [score, index];
  });
  return [...path.slice(at), ...path.slice(0, at)];
}

function areEven(before: Curve, after: Curve): boolean {
  const ratio = lengthOf(after) / Math.max(1e-12, lengthOf(before));
  return ratio < MOST_RATIO && ratio > 1 / MOST_RATIO;
}

/** Turn from one straight run to the next in degrees, counter-clockwise positive; a half turn beside what is not straight. */
function turnBetween(before: Curve, after: Curve): number {
  if (before.kind !== 'line' || after.kind !== 'line') return 180;
  const u = subtract(before.to, before.from),
    v = subtract(after.to, after.from);
  return degrees(Math.atan2(cross(u, v), dot(u, v)));
}

/** Last run of the longest row from one on that an arc follows, or undefined. */
function arcEnd(path: Path, start: number, toleranceMm: number): number | undefined {
  if (path[start]!.kind !== 'line') return undefined;
  let last = start,
    turned = 0;
  // As far as it bends one way, evenly enough.
  while (last + 1 < path.length) {
    const turn = turnBetween(path[last]!, path[last + 1]!);
    if (Math.abs(turn) < 1e-6 || Math.abs(turn) > MOST_TURN_DEGREES || turn * turned < 0) break;
    if (!areEven(path[last]!, path[last + 1]!)) break;
    turned += turn;
    last += 1;
  }
  // By halving: the longest row that fits.
  let low = start + FEWEST_RUNS - 2,
    high = last;
  if (high - start + 1 < FEWEST_RUNS || !fits(path, start, start + FEWEST_RUNS - 1, toleranceMm)) return undefined;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(path, start, middle, toleranceMm)) low = middle;
    else high = middle - 1;
  }
  const sweep = Math.abs(sweepOf(path, start, low));
  return low - start + 1 >= FEWEST_RUNS && sweep >= LEAST_SWEEP_DEGREES ? low : undefined;
}

const lengthOf = ({ from, to }: Curve): number => distance(from, to);

function sweepOf(path: Path, start: number, end: number): number {
  let turned = 0;
  for (let index = start; index < end; index++) turned += turnBetween(path[index]!, path[index + 1]!);
  // A run of the polygon turns by half a step at either end.
  return turned * ((end - start + 1) / Math.max(1, end - start));
}

function circleThrough(a: Point, b: Point, c: Point): { readonly centre: Point; readonly radius: number } | undefined {
  const bulge = bulgeThrough(a, b, c);
  return bulge === 0 ? undefined : arcGeometry({ kind: 'arc', from: a, to: c, bulge });
}

/** Whether a row of runs lies on one circle: its points and the middles of its runs. */
function fits(path: Path, start: number, end: number, toleranceMm: number): boolean {
  const first = path[start]!.from,
    last = path[end]!.to;
  const isRound = distance(first, last) < toleranceMm;
  const third = start + Math.floor((end - start + 1) / 3);
  const middle = path[start + Math.floor((end - start + 1) / 2)]!.from;
  const circle = isRound ? circleThrough(first, path[third]!.from, middle) : circleThrough(first, middle, last);
  if (!circle) return false;
  for (let index = start; index <= end; index++) {
    const { from, to } = path[index]!;
    if (Math.abs(distance(from, circle.centre) - circle.radius) > toleranceMm) return false;
    if (Math.abs(distance(midpoint(from, to), circle.centre) - circle.radius) > toleranceMm) return false;
  }
  return Math.abs(distance(last, circle.centre) - circle.radius) <= toleranceMm;
}

/** The arc along a row; two where it turns by more than half a turn. */
function arcsOf(path: Path, start: number, end: number): Path {
  const from = path[start]!.from,
    to = path[end]!.to,
    half = start + Math.floor((end - start + 1) / 2),
    middle = path[half]!.from;
  if (Math.abs(sweepOf(path, start, end)) < 180)
    return [{ kind: 'arc', from, to, bulge: bulgeThrough(from, middle, to) }];
  const quarter = path[start + Math.floor((half - start) / 2)]!.from,
    rest = path[half + Math.floor((end - half + 1) / 2)]!.from;
  return [
    { kind: 'arc', from, to: middle, bulge: bulgeThrough(from, quarter, middle) },
    { kind: 'arc', from: middle, to, bulge: bulgeThrough(middle, rest, to) },
  ];
}

/** Turn below which two straight runs are one, in degrees. */
const STRAIGHT_DEGREES = 0.01;

function straightened(path: Path, isClosed: boolean): Path {
  const made: Curve[] = [];
  for (const curve of path) {
    const before = made.at(-1);
    if (before?.kind === 'line' && curve.kind === 'line' && Math.abs(turnBetween(before, curve)) < STRAIGHT_DEGREES)
      made[made.length - 1] = { ...before, to: curve.to };
    else made.push(curve);
  }
  const [first, last] = [made[0], made.at(-1)];
  const wraps = isClosed && made.length > 3 && first?.kind === 'line' && last?.kind === 'line';
  return wraps && Math.abs(turnBetween(last, first)) < STRAIGHT_DEGREES
    ? [{ ...last, to: first.to }, ...made.slice(1, -1)]
    : made;
}
