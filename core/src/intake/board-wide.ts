import { cross, distance, dot, midpoint, subtract, unitVector, type Path, type Point } from '../geometry/index.ts';

/** Drawn widths within this part of a board's thickness are meant to be it. */
const NEAR = 0.15;

/** Whether a width is the thickness that a plan was drawn for. @param drawnForMm undefined when nobody said */
const isBoardWide = (widthMm: number, drawnForMm: number | undefined): boolean =>
  drawnForMm !== undefined && Math.abs(widthMm - drawnForMm) <= NEAR * drawnForMm;

/** Whether a hole is a slot for a plate: a rectangle as wide as the board that the plan was drawn for, and longer than wide. */
export function isSlot(path: Path, drawnForMm: number | undefined): boolean {
  if (path.length !== 4 || !path.every(({ kind }) => kind === 'line')) return false;
  const sides = path.map(({ from, to }) => ({ length: distance(from, to), along: unitVector(from, to) }));
  const isSquare = sides.every((side, index) => Math.abs(dot(side.along, sides[(index + 1) % 4]!.along)) < 0.02);
  const [a, b] = [sides[0]!.length, sides[1]!.length];
  return isSquare && isBoardWide(Math.min(a, b), drawnForMm) && Math.max(a, b) > 1.5 * Math.min(a, b);
}

/** A straight line between two points. */
export interface Run {
  readonly from: Point;
  readonly to: Point;
}

/** Lines beside each other share this part of their length at least. */
const LEAST_SHARE = 0.8;

/**
 * Pairs of parallel lines a board's thickness apart: the two edges of one trench.
 * @returns for each pair the places of both in the list, and the line midway
 */
export function trenchPairs(
  runs: readonly Run[],
  drawnForMm: number | undefined,
): readonly { readonly pair: readonly [number, number]; readonly middle: Run }[] {
  const taken = new Set<number>();
  return runs.flatMap((run, index) => {
    if (taken.has(index)) return [];
    const other = runs.findIndex(
      (candidate, place) => place > index && !taken.has(place) && areTrenchEdges(run, candidate, drawnForMm),
    );
    if (other < 0) return [];
    taken.add(index).add(other);
    const beside = runs[other]!;
    const isAlong = dot(subtract(run.to, run.from), subtract(beside.to, beside.from)) > 0;
    const [from, to] = isAlong ? [beside.from, beside.to] : [beside.to, beside.from];
    return [{ pair: [index, other] as const, middle: { from: midpoint(run.from, from), to: midpoint(run.to, to) } }];
  });
}

function areTrenchEdges(a: Run, b: Run, drawnForMm: number | undefined): boolean {
  const u = unitVector(a.from, a.to),
    v = unitVector(b.from, b.to);
  if (Math.abs(cross(u, v)) > 0.01) return false;
  const off = Math.abs(cross(u, subtract(midpoint(b.from, b.to), a.from)));
  if (!isBoardWide(off, drawnForMm)) return false;
  const length = distance(a.from, a.to);
  const [s, t] = [dot(u, subtract(b.from, a.from)), dot(u, subtract(b.to, a.from))].sort((p, q) => p - q) as [
    number,
    number,
  ];
  return Math.min(t, length) - Math.max(s, 0) > LEAST_SHARE * Math.max(length, t - s);
}
