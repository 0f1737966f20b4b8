import {
  add,
  cross,
  distance,
  distanceToRun,
  dot,
  flattenCurve,
  leftOf,
  subtract,
  times,
  unitVector,
  type Curve,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import { FINE_TOLERANCE_MM } from '../paths/index.ts';
import { traitsOf, type PlateSide } from '../operations/index.ts';
import type { ResolvedPart } from '../resolve/index.ts';
import { bentBodies } from './bent-bodies.ts';
import { leavesStrip, type FlatPlates, type Plate } from './plates.ts';

/** What a side face of a plate is: board cut square, the bevel of an edge, of a groove or a hinge's relief, the edge of a trench. */
export type SideKind = 'cut' | PlateSide['kind'];

/** A plate with its thickness: side i joins corner i and i + 1 of the far skin with those of the face. */
export interface PlateSolid {
  readonly plate: Plate;
  /** Corners on the far skin, at z = 0. */
  readonly bottom: Polygon;
  /** Corners on the face, at z = thickness, one for each of the far skin. */
  readonly top: Polygon;
  readonly sides: readonly SideKind[];
  readonly holes: readonly Polygon[];
  readonly thicknessMm: number;
  /** Slanted work beside it that runs on over it. */
  readonly runOns?: readonly RunOn[];
}

/** The slant of a neighbour's side in a bent body, gone on with over the next piece: foam lies left of the line, further in where it is cut. */
export interface RunOn {
  readonly from: Point;
  readonly along: Point;
  /** How far foam stands off the line on the far skin and on the face, in mm. */
  readonly farMm: number;
  readonly faceMm: number;
}

/** Thickness that the skin left by a trench is drawn and measured with, in mm. */
export const SKIN_MM = 0.3;
const ON_LINE_MM = 0.03;
/** Steps of an edge along a fold, as at the end of a tilted panel, are at most about as long as the board is thick. */
const LONGEST_STEP_MM = 8;

interface Slope extends PlateSide {
  readonly lines: readonly (readonly [Point, Point])[];
}

/** A curve as straight runs, as the outline that it works on is flattened. */
function runsOf(curve: Curve): readonly (readonly [Point, Point])[] {
  if (curve.kind === 'line') return [[curve.from, curve.to]];
  const points = [...flattenCurve(curve, FINE_TOLERANCE_MM).map(({ point }) => point), curve.to];
  return points.slice(1).map((to, index) => [points[index]!, to]);
}

/** The lines of work that slant or part the sides of plates: edges of the strip where one is left, else the line itself. */
function slopesOf(part: ResolvedPart): readonly Slope[] {
  return part.strokes.flatMap((stroke): readonly Slope[] => {
    const side = traitsOf(stroke.kind).plateSide?.(stroke);
    if (!side) return [];
    const lines = leavesStrip(stroke.kind)
      ? stroke.area.flatMap((ring) => ring.map((p, index) => [p, ring[(index + 1) % ring.length]!] as const))
      : stroke.paths.flatMap((path) => path.flatMap(runsOf));
    return [{ ...side, lines }];
  });
}

/** Whether a short run lies in the line of another and touches it. */
function goesOn([a, b]: readonly [Point, Point], p: Point, q: Point): boolean {
  const along = unitVector(a, b),
    isInLine = (at: Point): boolean => Math.abs(cross(along, subtract(at, a))) < ON_LINE_MM;
  return isInLine(p) && isInLine(q) && Math.min(distanceToRun(p, a, b), distanceToRun(q, a, b)) < ON_LINE_MM;
}

/** Every plate as a solid, its sides slanted as they are cut. */
export function solidsOf(part: ResolvedPart, flat: FlatPlates): readonly PlateSolid[] {
  const slopes = slopesOf(part),
    found = flat.plates.map((plate) => slopesOfSides(plate, slopes)),
    bodyOf = bentBodies(flat),
    isCreased = creasedTo(flat);
  return flat.plates.map((plate, at) => {
    const solid = solidOf(plate, found[at]!, flat.thicknessMm);
    const runOns = flat.plates.flatMap((other, index) =>
      index === at ||
      plate.kind === 'skin' ||
      (bodyOf[other.index] !== bodyOf[plate.index] && !isCreased(plate.index, other.index))
        ? []
        : runOnsOver(plate, other, found[index]!),
    );
    return runOns.length > 0 ? { ...solid, runOns } : solid;
  });
}

/** Whether two plates hang together by a crease: a knife that bevels the edge of one takes the tip of the other along. */
function creasedTo({ hinges }: FlatPlates): (a: number, b: number) => boolean {
  const pairs = new Set(
    hinges.flatMap(({ kind, left, right }) => (kind === 'crease' ? [`${left},${right}`, `${right},${left}`] : [])),
  );
  return (a, b) => pairs.has(`${a},${b}`);
}

/** The slanted sides of a plate that run on over another beside it, whose foam lies inside of them. */
function runOnsOver(plate: Plate, beside: Plate, slopes: readonly (Slope | undefined)[]): readonly RunOn[] {
  return beside.outer.flatMap((from, index): readonly RunOn[] => {
    const slope = slopes[index];
    if (!slope) return [];
    const to = beside.outer[(index + 1) % beside.outer.length]!,
      along = unitVector(from, to),
      inward = leftOf(along),
      length = distance(from, to);
    const isWithin = plate.outer.every((p) => {
      const inside = dot(subtract(p, from), inward),
        on = dot(subtract(p, from), along);
      return inside > -ON_LINE_MM && (inside > slope.runMm || (on > -slope.runMm && on < length + slope.runMm));
    });
    const reaches = plate.outer.some((p) => dot(subtract(p, from), inward) < slope.runMm - ON_LINE_MM);
    return isWithin && reaches
      ? [
          {
            from,
            along,
            farMm: slope.face === 'face' ? 0 : slope.runMm,
            faceMm: slope.face === 'back' ? 0 : slope.runMm,
          },
        ]
      : [];
  });
}

/** Lines that only go on past a side have to lie so much closer to it than one that it lies on, in mm. */
const GOES_ON_MM = 2e-3;

/** How far a side lies off a line of work; a fold that ends on a short step of the edge is cut right to the step's end. */
function offLine(line: readonly [Point, Point], p: Point, q: Point): number {
  const [a, b] = line,
    off = Math.max(distanceToRun(p, a, b), distanceToRun(q, a, b));
  if (off < ON_LINE_MM || distance(p, q) >= LONGEST_STEP_MM || !goesOn(line, p, q)) return off;
  const along = unitVector(a, b);
  return GOES_ON_MM + Math.max(...[p, q].map((at) => Math.abs(cross(along, subtract(at, a)))));
}

/** What slants each side of a plate: of several lines that meet there, as a bend does on a groove, the one that lies closest. */
function slopesOfSides({ outer }: Plate, slopes: readonly Slope[]): readonly (Slope | undefined)[] {
  return outer.map((p, index) => {
    const q = outer[(index + 1) % outer.length]!;
    let nearest: { readonly slope: Slope; readonly mm: number } | undefined;
    for (const slope of slopes) {
      const mm = Math.min(...slope.lines.map((line) => offLine(line, p, q)));
      if (mm < ON_LINE_MM + GOES_ON_MM && (!nearest || mm < nearest.mm)) nearest = { slope, mm };
    }
    return nearest?.slope;
  });
}

function solidOf(plate: Plate, found: readonly (Slope | undefined)[], thicknessMm: number): PlateSolid {
  const { outer } = plate;
  const sides = found.map((slope): SideKind => slope?.kind ?? 'cut');
  if (plate.kind === 'skin')
    return { plate, bottom: outer, top: outer, sides, holes: plate.holes, thicknessMm: SKIN_MM };
  return {
    plate,
    sides,
    thicknessMm,
    holes: plate.holes,
    bottom: movedIn(
      outer,
      found.map((slope) => (slope && slope.face !== 'face' ? slope.runMm : 0)),
    ),
    top: movedIn(
      outer,
      found.map((slope) => (slope && slope.face !== 'back' ? slope.runMm : 0)),
    ),
  };
}

/**
 * A ring with each side moved inward by its own distance; corners are where neighbours then meet. Sides that nothing is left of, between
 * neighbours that have moved past them, are left out: their corners fall together.
 */
export function movedIn(ring: Polygon, by: readonly number[]): Polygon {
  if (by.every((distance) => distance === 0)) return ring;
  const count = ring.length;
  const sides = ring.map((from, index) => {
    const along = unitVector(from, ring[(index + 1) % count]!);
    return {
      from: add(from, times(leftOf(along), by[index]!)),
      along,
      length: distance(from, ring[(index + 1) % count]!),
    };
  });
  const left = sides.map((_, index) => index);
  for (;;) {
    const corners = left.map((side, at) => meeting(sides[left[(at + left.length - 1) % left.length]!]!, sides[side]!));
    const gone = left
      .flatMap((side, at) => {
        const [a, b] = [corners[at], corners[(at + 1) % left.length]];
        // Turned round, or squeezed between neighbours that run against each other.
        const isGone = a && b ? dot(subtract(b, a), sides[side]!.along) < -1e-6 : true;
        return isGone ? [{ at, length: sides[side]!.length }] : [];
      })
      .sort((a, b) => a.length - b.length)[0];
    if (!gone) return ring.map((corner, index) => cornerOf(index, left, corners) ?? corner);
    if (left.length <= 3) return ring.map(() => lastLeft(ring, sides));
    left.splice(gone.at, 1);
  }
}

/** The corner that sides which move over the whole ring come to last: nothing else is left of it. */
function lastLeft(ring: Polygon, sides: readonly Side[]): Point {
  const insideBy = (p: Point): number =>
    Math.min(...sides.map(({ from, along }) => dot(subtract(p, from), leftOf(along))));
  return ring.reduce((best, p) => (insideBy(p) > insideBy(best) ? p : best));
}

interface Side {
  readonly from: Point;
  readonly along: Point;
  readonly length: number;
}
/** Where two sides meet; for sides in one line the start of the second, for sides that run against each other nowhere. */
function meeting(before: Side, after: Side): Point | undefined {
  const turn = cross(before.along, after.along);
  if (Math.abs(turn) > 1e-6)
    return add(before.from, times(before.along, cross(subtract(after.from, before.from), after.along) / turn));
  return dot(before.along, after.along) > 0 ? after.from : undefined;
}
/** The moved corner before a side: that of the next side which is left. */
function cornerOf(index: number, left: readonly number[], corners: readonly (Point | undefined)[]): Point | undefined {
  const at = left.findIndex((side) => side >= index);
  return corners[at < 0 ? 0 : at];
}
