import { sectionRings, type StandingPiece } from '../../folds/index.ts';
import { point3, unionOf, type Point, type Polygon } from '../../geometry/index.ts';
import { alongPlaces, byBeginning, type Reach } from './along.ts';

/** The outside of what stands where an upright plane along the airframe cuts it: x aft, y up. Both lines run aft. */
export interface StationCut {
  readonly lower: readonly Point[];
  readonly upper: readonly Point[];
}

/** Beside a step, so far to either side of it, in mm. */
const BESIDE_MM = 1e-4;
/** Places of a line that bend it less than this are left out, in mm. */
const STRAIGHT_MM = 0.004;
/** A cut at the middle is taken just beside it: two halves meet there, and ends cut square stand a little apart. */
const OFF_MIDDLE_MM = 1;
/** Places nearer to each other than this are looked at once, in mm. */
const ONE_PLACE_MM = 1e-5;

/** A plate with round holes is cut into more rings than these, each touching the next: they are joined, to within 1e-5 mm. */
const MOST_RINGS = 6;

/** An edge of a cut. */
interface Run extends Reach {
  readonly a: Point;
  readonly b: Point;
}

/** A plane along the airframe: upright, or leaning across; through a place, with its way up. */
export interface LeaningPlane {
  readonly through: { readonly y: number; readonly z: number };
  /** Of length 1. */
  readonly up: { readonly y: number; readonly z: number };
}

const upright = (outMm: number): LeaningPlane => ({
  through: { y: -Math.max(OFF_MIDDLE_MM, outMm), z: 0 },
  up: { y: 0, z: 1 },
});

/** The rings that a plane along the airframe lays open: x aft, y along its way up from the place that it goes through. */
export function cutRings(pieces: readonly StandingPiece[], { through, up }: LeaningPlane): readonly Polygon[] {
  const normal = point3(0, -up.z, up.y),
    plane = { normal, atMm: through.y * normal.y + through.z * normal.z };
  return pieces.flatMap(({ body, maps }) =>
    body.solids.flatMap((solid) => {
      const rings = sectionRings([{ solid, map: maps[solid.plate.index]! }], plane).map((ring) =>
        ring.map(({ x, y, z }) => ({ x, y: (y - through.y) * up.y + (z - through.z) * up.z })),
      );
      return rings.length > MOST_RINGS ? unionOf(rings) : rings;
    }),
  );
}

/** Runs of every ring that an upright plane so far out to port lays open, by where they begin. */
const runsAt = (pieces: readonly StandingPiece[], outMm: number): readonly Run[] =>
  byBeginning(
    cutRings(pieces, upright(outMm)).flatMap((ring) =>
      ring.map((a, index): Run => {
        const b = ring[(index + 1) % ring.length]!;
        return { a, b, minX: Math.min(a.x, b.x), maxX: Math.max(a.x, b.x) };
      }),
    ),
  );

/** Where two runs cross, along x; undefined where they do not. */
function crossing(one: Run, other: Run): number | undefined {
  const from = Math.max(one.minX, other.minX),
    to = Math.min(one.maxX, other.maxX);
  if (to - from < BESIDE_MM) return undefined;
  const on = ({ a, b }: Run, x: number): number => a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
  const [atFrom, atTo] = [on(one, from) - on(other, from), on(one, to) - on(other, to)];
  return atFrom * atTo < 0 ? from + ((to - from) * atFrom) / (atFrom - atTo) : undefined;
}

/** The outermost height of runs that all reach over a place. */
function outermostAt(runs: readonly Run[], x: number, side: 1 | -1): number | undefined {
  let best: number | undefined;
  for (const { a, b } of runs) {
    const isUpright = Math.abs(b.x - a.x) < 1e-9;
    const y = isUpright ? side * Math.max(side * a.y, side * b.y) : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    if (best === undefined || side * y > side * best) best = y;
  }
  return best;
}

/** Every place along x where the outside of runs can bend: their ends, just beside those, and where they cross. */
function placesOf(runs: readonly Run[]): readonly number[] {
  const all: number[] = [];
  for (const [index, run] of runs.entries()) {
    for (const { x } of [run.a, run.b]) all.push(x - BESIDE_MM, x, x + BESIDE_MM);
    for (let other = index + 1; other < runs.length && runs[other]!.minX < run.maxX; other += 1) {
      const x = crossing(run, runs[other]!);
      if (x !== undefined) all.push(x);
    }
  }
  all.sort((a, b) => a - b);
  const [first, last] = [all[0]! + BESIDE_MM, all.at(-1)! - BESIDE_MM],
    apart: number[] = [];
  for (const x of all) {
    const isNext = apart.length === 0 || x - apart.at(-1)! >= ONE_PLACE_MM;
    if (x >= first - ONE_PLACE_MM && x <= last + ONE_PLACE_MM && isNext) apart.push(x);
  }
  return apart;
}

/** The outermost of runs at places, as a line that runs aft. */
const outermost = (runs: readonly Run[], places: readonly number[], side: 1 | -1): readonly Point[] =>
  straightened(
    alongPlaces(runs, places, (x, there): readonly Point[] => {
      const y = outermostAt(there, x, side);
      return y === undefined ? [] : [{ x, y }];
    }).flat(),
  );

/** A line without the places that do not bend it: each stretch ends where one of its places would lie off it. */
export function straightened(line: readonly Point[]): readonly Point[] {
  const kept: Point[] = [];
  let from = 0,
    low = -Infinity,
    high = Infinity;
  for (let to = 1; to < line.length; to += 1) {
    const a = line[from]!,
      b = line[to]!,
      run = b.x - a.x,
      slope = (b.y - a.y) / run;
    if (slope < low || slope > high) {
      kept.push(a);
      from = to - 1;
      low = -Infinity;
      high = Infinity;
      to -= 1;
      continue;
    }
    // Slopes from here that leave this place within the tolerance: the wedge that all of the stretch must lie in.
    low = Math.max(low, slope - STRAIGHT_MM / run);
    high = Math.min(high, slope + STRAIGHT_MM / run);
  }
  return [...kept, line[from]!, line.at(-1)!];
}

/**
 * What stands, cut so far out to port.
 * @returns undefined where nothing of it reaches
 */
export function stationCut(pieces: readonly StandingPiece[], outMm: number): StationCut | undefined {
  const runs = runsAt(pieces, outMm);
  if (runs.length === 0) return undefined;
  const places = placesOf(runs);
  return { lower: outermost(runs, places, -1), upper: outermost(runs, places, 1) };
}

/** The foremost place of what stands so far out to port; undefined where nothing of it reaches. */
export const noseAt = (pieces: readonly StandingPiece[], outMm: number): Point | undefined =>
  runsAt(pieces, outMm)
    .flatMap(({ a, b }) => [a, b])
    .reduce<Point | undefined>((best, p) => (!best || p.x < best.x ? p : best), undefined);

/** The height of a line that runs aft at a place along it; that of its nearer end beyond both. */
export function heightAt(line: readonly Point[], x: number): number {
  const at = line.findIndex((p) => p.x >= x);
  if (at <= 0) return (at === 0 ? line[0]! : line.at(-1)!).y;
  const [a, b] = [line[at - 1]!, line[at]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x || 1);
}
