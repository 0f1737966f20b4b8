import {
  applyTransform,
  boundsHeight,
  boundsOf,
  boundsWidth,
  convexHull,
  directionDegrees,
  growBounds,
  rotation,
  type Bounds,
  type Point,
} from '../geometry/index.ts';

/** Lines of ink, and how much it hurts to have a seam across each. */
export interface InkLine {
  readonly points: readonly Point[];
  readonly seamCost: number;
}

/** How a sheet is cut into pages: a turn, and a lattice of cells whose pages reach half the overlap past them. */
export interface TileLattice {
  readonly turnDegrees: number;
  readonly originX: number;
  readonly originY: number;
  readonly columns: number;
  readonly rows: number;
  /** Cells with ink, as [column, row], row 0 lowest. */
  readonly cells: readonly (readonly [number, number])[];
  readonly seamCost: number;
}

/** Places tried along each axis of the lattice's slack. */
const ORIGIN_STEPS = 7;
/** Room kept round the ink, so that a pen on the very edge is not cut in half. */
const PEN_ROOM_MM = 0.6;

/**
 * Finds the turn and lattice with the fewest pages that hold ink, then the cheapest seams.
 * @param lines all ink of the sheet, in mm
 * @param windowWidth, windowHeight what a page can show
 * @param overlapMm what neighbours share
 * @param turns tried; those that the ink suggests when left out
 */
export function bestLattice(
  lines: readonly InkLine[],
  windowWidth: number,
  windowHeight: number,
  overlapMm: number,
  turns: readonly number[] = turnsFor(lines.flatMap((line) => line.points)),
): TileLattice {
  let best: TileLattice | undefined;
  for (const turnDegrees of turns) {
    const t = rotation(turnDegrees);
    const turned = lines.map((line) => ({ ...line, points: line.points.map((p) => applyTransform(t, p)) }));
    for (const lattice of latticesOver(turned, turnDegrees, windowWidth, windowHeight, overlapMm)) {
      if (
        !best ||
        lattice.cells.length < best.cells.length ||
        (lattice.cells.length === best.cells.length && lattice.seamCost < best.seamCost)
      )
        best = lattice;
    }
  }
  return best!;
}

/** As drawn, a quarter turned, and flat along the side of the smallest box round it. */
function turnsFor(points: readonly Point[]): readonly number[] {
  const hull = convexHull(points);
  let smallest = { area: Infinity, turn: 0 };
  hull.forEach((p, index) => {
    const turn = -directionDegrees(p, hull[(index + 1) % hull.length]!);
    const box = boundsOf(hull.map((q) => applyTransform(rotation(turn), q)));
    const area = boundsWidth(box) * boundsHeight(box);
    if (area < smallest.area - 1e-6) smallest = { area, turn };
  });
  return [...new Set([0, 90, smallest.turn, smallest.turn + 90])];
}

function* latticesOver(
  lines: readonly InkLine[],
  turnDegrees: number,
  windowWidth: number,
  windowHeight: number,
  overlapMm: number,
): Generator<TileLattice> {
  const box = growBounds(boundsOf(lines.flatMap((line) => line.points)), PEN_ROOM_MM);
  const axisX = axisOf(box.minX, boundsWidth(box), windowWidth, overlapMm),
    axisY = axisOf(box.minY, boundsHeight(box), windowHeight, overlapMm);
  for (const originX of axisX.origins) {
    for (const originY of axisY.origins) {
      const { cells, seamCost } = inkedCells(lines, {
        originX,
        originY,
        cellX: axisX.cell,
        cellY: axisY.cell,
        columns: axisX.count,
        rows: axisY.count,
      });
      yield { turnDegrees, originX, originY, columns: axisX.count, rows: axisY.count, cells, seamCost };
    }
  }
}

/** Cells needed along one axis, and where the first may start. The outermost pages reach half the overlap past their cells. */
function axisOf(
  start: number,
  length: number,
  window: number,
  overlapMm: number,
): { readonly count: number; readonly cell: number; readonly origins: readonly number[] } {
  const cell = window - overlapMm;
  const count = Math.max(1, Math.ceil((length - overlapMm) / cell - 1e-9));
  const slack = count * cell + overlapMm - length;
  return {
    count,
    cell,
    origins: Array.from(
      { length: ORIGIN_STEPS },
      (_, step) => start + overlapMm / 2 - (slack * step) / (ORIGIN_STEPS - 1),
    ),
  };
}

interface Grid {
  readonly originX: number;
  readonly originY: number;
  readonly cellX: number;
  readonly cellY: number;
  readonly columns: number;
  readonly rows: number;
}

function inkedCells(
  lines: readonly InkLine[],
  grid: Grid,
): { readonly cells: readonly (readonly [number, number])[]; readonly seamCost: number } {
  const inked = new Set<number>();
  let seamCost = 0;
  const clamp = (index: number, count: number): number => Math.min(count - 1, Math.max(0, index));
  const cellAt = (x: number, y: number): number =>
    clamp(Math.floor((y - grid.originY) / grid.cellY), grid.rows) * grid.columns +
    clamp(Math.floor((x - grid.originX) / grid.cellX), grid.columns);
  for (const { points, seamCost: cost } of lines) {
    for (let index = 0; index + 1 < points.length; index++) {
      const a = points[index]!,
        b = points[index + 1]!;
      const from = cellAt(a.x, a.y),
        to = cellAt(b.x, b.y);
      inked.add(from);
      seamCost += alongSeam(a, b, grid);
      if (from === to) continue;
      const cuts = [
        ...gridCuts(a.x, b.x, grid.originX, grid.cellX),
        ...gridCuts(a.y, b.y, grid.originY, grid.cellY),
      ].sort((p, q) => p - q);
      seamCost += cost;
      cuts.forEach((t, at) => {
        const middle = (t + (cuts[at + 1] ?? 1)) / 2;
        inked.add(cellAt(a.x + (b.x - a.x) * middle, a.y + (b.y - a.y) * middle));
      });
    }
  }
  const cells = [...inked]
    .sort((p, q) => p - q)
    .map((key) => [key % grid.columns, Math.floor(key / grid.columns)] as const);
  return { cells, seamCost };
}

/** A seam along an edge is as bad as one across it: the glued strip warps the knife's way. Within so far, in mm. */
const ALONG_SEAM_MM = 15;
/** Cost of a seam beside an edge, by length, in 1/mm. */
const ALONG_COST = 0.02;
/** A run lies along a seam where it leaves it by less than this share of its length. */
const ALONG_SLOPE = 0.05;

/** How much it hurts that a run lies along a seam within the sheet. */
function alongSeam(a: Point, b: Point, { originX, originY, cellX, cellY, columns, rows }: Grid): number {
  const dx = Math.abs(b.x - a.x),
    dy = Math.abs(b.y - a.y);
  const isNear = (at: number, origin: number, cell: number, count: number): boolean => {
    const line = Math.round((at - origin) / cell);
    return line > 0 && line < count && Math.abs(at - origin - line * cell) < ALONG_SEAM_MM;
  };
  if (dx < ALONG_SLOPE * dy) return isNear((a.x + b.x) / 2, originX, cellX, columns) ? ALONG_COST * dy : 0;
  if (dy < ALONG_SLOPE * dx) return isNear((a.y + b.y) / 2, originY, cellY, rows) ? ALONG_COST * dx : 0;
  return 0;
}

/** Parameters at which a run from a to b passes grid lines. */
function gridCuts(a: number, b: number, origin: number, cell: number): number[] {
  const first = Math.ceil((Math.min(a, b) - origin) / cell),
    last = Math.floor((Math.max(a, b) - origin) / cell);
  const cuts: number[] = [];
  for (let line = first; line <= last; line++) if (a !== b) cuts.push((origin + line * cell - a) / (b - a));
  return cuts.filter((t) => t >= 0 && t <= 1);
}

/** What a page of a lattice shows, in the turned sheet's frame. */
export function cellWindow(
  lattice: TileLattice,
  column: number,
  row: number,
  windowWidth: number,
  windowHeight: number,
  overlapMm: number,
): Bounds {
  const minX = lattice.originX + column * (windowWidth - overlapMm) - overlapMm / 2;
  const minY = lattice.originY + row * (windowHeight - overlapMm) - overlapMm / 2;
  return { minX, minY, maxX: minX + windowWidth, maxY: minY + windowHeight };
}
