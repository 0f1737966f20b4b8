import { counterClockwise, differenceOf, growRegion, unionOf, type Region } from '../geometry/index.ts';
import type { NestBoard, XY } from './instance.ts';
import { takenRegion } from './nest-piece.ts';
import { type SlabShape, slabSpans } from './slab-shape.ts';

/** The free room of one board while it fills: per slab, the spans of x that are taken. Changed in place; lives for one nest. */
export class BoardRows {
  readonly rows: number[][];
  readonly count: number;

  private constructor(
    readonly minX: number,
    readonly minY: number,
    readonly maxX: number,
    readonly maxY: number,
    readonly pitchMm: number,
    rows: number[][],
  ) {
    this.rows = rows;
    this.count = rows.length;
  }

  /**
   * The empty board, its unusable places taken.
   * @param insetMm how far shapes must keep from its edge, on top of what they were grown by
   * @param clearanceMm distance of parts, half of which shapes were grown by
   */
  static empty(board: NestBoard, insetMm: number, pitchMm: number, clearanceMm = 0): BoardRows {
    const [minX, minY, maxX, maxY] = [insetMm, insetMm, board.width - insetMm, board.height - insetMm];
    // The last slab may reach over the edge; what lies in it must not.
    const count = Math.max(0, Math.ceil((maxY - minY) / pitchMm - 1e-9));
    const rows: number[][] = Array.from({ length: count }, () => []);
    if (board.polygon || board.holes?.length) {
      const usable = usableRegion(board, insetMm);
      const frame = [
        { x: minX - 1, y: minY - pitchMm },
        { x: maxX + 1, y: minY - pitchMm },
        { x: maxX + 1, y: maxY + pitchMm },
        { x: minX - 1, y: maxY + pitchMm },
      ];
      // Under the even-odd rule a frame round the usable region leaves just what cannot be used.
      slabSpans([frame, ...usable], minY, pitchMm, count).forEach((spans, row) => {
        rows[row] = [...spans];
      });
    }
    if (board.taken?.length) {
      slabSpans(takenRegion(board.taken, clearanceMm), minY, pitchMm, count).forEach((spans, row) => {
        for (let s = 0; s < spans.length; s += 2) rows[row] = insertSpan(rows[row]!, spans[s]!, spans[s + 1]!);
      });
    }
    return new BoardRows(minX, minY, maxX, maxY, pitchMm, rows);
  }

  copy(): BoardRows {
    return new BoardRows(
      this.minX,
      this.minY,
      this.maxX,
      this.maxY,
      this.pitchMm,
      this.rows.map((row) => row.slice()),
    );
  }

  /** Leftmost x at which the shape's left side can stand with its foot on a slab, or undefined when the slab has no room up to `upTo`. */
  leftmost(shape: SlabShape, foot: number, upTo: number): number | undefined {
    let x = this.minX;
    const rows = shape.rows;
    for (let settled = 0, row = 0; settled < rows.length; row = row + 1 === rows.length ? 0 : row + 1) {
      const before = x;
      x = this.pushRight(rows[row]!, this.rows[foot + row]!, x);
      if (x > upTo) return undefined;
      settled = x > before ? 1 : settled + 1;
    }
    return x;
  }

  private pushRight(spans: Float64Array, taken: readonly number[], from: number): number {
    let x = from;
    for (let moved = taken.length > 0; moved;) {
      moved = false;
      let t = 0;
      for (let s = 0; s < spans.length; s += 2) {
        const right = x + spans[s + 1]! - 1e-9;
        while (t < taken.length && taken[t + 1]! <= x + spans[s]! + 1e-9) t += 2;
        if (t < taken.length && taken[t]! < right) {
          x = taken[t + 1]! - spans[s]!;
          moved = true;
          t = 0;
          break;
        }
      }
    }
    return x;
  }

  /** Takes the shape's spans. */
  take(shape: SlabShape, foot: number, x: number): void {
    shape.rows.forEach((spans, row) => {
      let taken = this.rows[foot + row]!;
      for (let s = 0; s < spans.length; s += 2) taken = insertSpan(taken, x + spans[s]!, x + spans[s + 1]!);
      this.rows[foot + row] = taken;
    });
  }
}

function insertSpan(taken: readonly number[], left: number, right: number): number[] {
  const merged: number[] = [];
  let placed = false;
  for (let t = 0; t < taken.length; t += 2) {
    if (taken[t + 1]! < left) merged.push(taken[t]!, taken[t + 1]!);
    else if (taken[t]! > right) {
      if (!placed) {
        merged.push(left, right);
        placed = true;
      }
      merged.push(taken[t]!, taken[t + 1]!);
    } else {
      left = Math.min(left, taken[t]!);
      right = Math.max(right, taken[t + 1]!);
    }
  }
  if (!placed) merged.push(left, right);
  return merged;
}

const pointsOf = (ring: readonly XY[]): { x: number; y: number }[] => ring.map(([x, y]) => ({ x, y }));

/** What of a board may be used: its outline and holes kept clear by a distance. */
export function usableRegion(board: NestBoard, insetMm: number): Region {
  const outline = board.polygon
    ? pointsOf(board.polygon)
    : [
        { x: 0, y: 0 },
        { x: board.width, y: 0 },
        { x: board.width, y: board.height },
        { x: 0, y: board.height },
      ];
  const outer = counterClockwise(outline);
  const usable = board.holes?.length
    ? differenceOf([outer], unionOf(board.holes.map((hole) => counterClockwise(pointsOf(hole)))))
    : [outer];
  return growRegion(usable, -insetMm - (insetMm > 0 ? 0.02 : 0));
}
