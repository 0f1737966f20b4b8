import { cross, distance, dot, midpoint, subtract, unitVector, type Path, type Point } from '../geometry/index.ts';

/** Drawn widths within this part of a board's thickness are meant to be it. */
const NEAR = 0.15;

/** Whether a width is the thickness that a plan was drawn for. @param drawnForMm undefined when nobody said */
const isBoardWide = (widthMm: number, drawnForMm: number | undefined): boolean =>
  drawnForMm !== undefined && Math.abs(widthMm - drawnForMm) <= NEAR * drawnForMm;

/** Boards that models are built of are this thick, in mm. */
const THINNEST_MM = 1.5,
  THICKEST_MM = 12;
/** Slots this close in width are of one board, in mm. */
const ALIKE_MM = 0.15;

/** Width and length of a rectangle, or undefined for another figure. */
function rectangleSize(path: Path): { readonly width: number; readonly length: number } | undefined {
  if (path.length !== 4 || !path.every(({ kind }) => kind === 'line')) return undefined;
  const sides = path.map(({ from, to }) => ({ length: distance(from, to), along: unitVector(from, to) }));
  if (!sides.every((side, index) => Math.abs(dot(side.along, sides[(index + 1) % 4]!.along)) < 0.02)) return undefined;
  const [a, b] = [sides[0]!.length, sides[1]!.length];
  return { width: Math.min(a, b), length: Math.max(a, b) };
}

/** The thickness of board that a plan was probably drawn for: the width that most of its narrow rectangular holes have. */
export function likelyBoard(holes: readonly Path[]): number | undefined {
  const widths = holes
    .flatMap((path) => rectangleSize(path) ?? [])
    .filter(({ width, length }) => width >= THINNEST_MM && width <= THICKEST_MM && length > 2 * width)
    .map(({ width }) => width);
  const alike = widths.map((width) => widths.filter((other) => Math.abs(other - width) <= ALIKE_MM));
  const most = alike.reduce<readonly number[]>((best, list) => (list.length > best.length ? list : best), []);
  if (most.length === 0) return undefined;
  return Math.round((100 * most.reduce((sum, width) => sum + width, 0)) / most.length) / 100;
}

/** Whether a hole is a slot for a plate: a rectangle as wide as the board that the plan was drawn for, and longer than wide. */
export function isSlot(path: Path, drawnForMm: number | undefined): boolean {
  const size = rectangleSize(path);
  return size !== undefined && isBoardWide(size.width, drawnForMm) && size.length > 1.5 * size.width;
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
