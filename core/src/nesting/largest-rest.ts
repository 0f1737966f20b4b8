import type { Bounds, Shape } from '../geometry/index.ts';
import { BoardRows } from './board-rows.ts';
import type { NestBoard } from './instance.ts';
import { slabShape } from './slab-shape.ts';

/**
 * The largest axis-parallel rectangle of a board that no part touches.
 * @param clearMm distance to keep from parts
 * @param pitchMm grid of the search; the rectangle is never too large, at most a pitch a side too small
 * @source largest rectangle under a histogram, row by row
 */
export function largestRest(board: NestBoard, shapes: readonly Shape[], pitchMm = 2): Bounds {
  const rows = BoardRows.empty(board, 0, pitchMm);
  for (const shape of shapes) {
    const slabs = slabShape([shape.outer, ...shape.holes], pitchMm);
    const foot = Math.floor((slabs.bounds.minY - rows.minY) / pitchMm);
    // The shape seldom stands on a slab of the board, so each of its slabs takes two of them.
    slabs.rows.forEach((spans, row) => {
      for (const at of [foot + row, foot + row + 1]) {
        if (at < 0 || at >= rows.count) continue;
        const taken = rows.rows[at]!;
        for (let s = 0; s < spans.length; s += 2)
          taken.push(slabs.bounds.minX + spans[s]!, slabs.bounds.minX + spans[s + 1]!);
      }
    });
  }
  const columns = Math.floor(board.width / pitchMm + 1e-9),
    whole = Math.floor(board.height / pitchMm + 1e-9);
  const heights = new Int32Array(columns);
  let best: Bounds = { minX: 0, minY: 0, maxX: 0, maxY: 0 },
    bestArea = 0;
  for (let row = 0; row < whole; row++) {
    const isTaken = new Uint8Array(columns);
    const taken = rows.rows[row]!;
    for (let t = 0; t < taken.length; t += 2) {
      const from = Math.max(0, Math.floor(taken[t]! / pitchMm)),
        to = Math.min(columns, Math.ceil(taken[t + 1]! / pitchMm));
      isTaken.fill(1, from, Math.max(from, to));
    }
    for (let column = 0; column < columns; column++) heights[column] = isTaken[column] ? 0 : heights[column]! + 1;
    const stack: number[] = [];
    for (let column = 0; column <= columns; column++) {
      const height = column < columns ? heights[column]! : 0;
      while (stack.length > 0 && heights[stack.at(-1)!]! >= height) {
        const tall = heights[stack.pop()!]!;
        const left = stack.length > 0 ? stack.at(-1)! + 1 : 0;
        const area = tall * (column - left);
        if (area > bestArea) {
          bestArea = area;
          best = {
            minX: left * pitchMm,
            maxX: column * pitchMm,
            minY: (row + 1 - tall) * pitchMm,
            maxY: (row + 1) * pitchMm,
          };
        }
      }
      stack.push(column);
    }
  }
  return best;
}
