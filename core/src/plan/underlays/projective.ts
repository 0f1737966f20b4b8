import type { Point } from '../../geometry/index.ts';
import { CoreError } from '../../units/index.ts';

/** A map of the plane that keeps straight lines straight: nine numbers, row by row. */
export type Projective = readonly [number, number, number, number, number, number, number, number, number];

/** Where a map takes a point. */
export function project([a, b, c, d, e, f, g, h, i]: Projective, { x, y }: Point): Point {
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/** First `after`, on what `first` gave. */
export function composeProjective(after: Projective, first: Projective): Projective {
  const cell = (row: number, column: number): number =>
    [0, 1, 2].reduce((sum, index) => sum + after[3 * row + index]! * first[3 * index + column]!, 0);
  return [0, 1, 2].flatMap((row) => [0, 1, 2].map((column) => cell(row, column))) as unknown as Projective;
}

/** The map back. @throws CoreError DEGENERATE when the map flattens the plane */
export function inverseProjective([a, b, c, d, e, f, g, h, i]: Projective): Projective {
  const determinant = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  if (!(Math.abs(determinant) > 0))
    throw new CoreError('DEGENERATE', 'This map flattens the plane: it has no way back.');
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ].map((one) => one / determinant) as unknown as Projective;
}

/**
 * The map that takes four points to four others.
 * @throws CoreError DEGENERATE when three of them lie on one line
 * @source eight linear equations for the map with its last number 1, solved with pivots
 */
export function projectiveThrough(from: readonly Point[], to: readonly Point[]): Projective {
  const rows = from.flatMap((p, index) => {
    const q = to[index]!;
    return [
      [p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y, q.x],
      [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y, q.y],
    ];
  });
  const solved = solveLinear(rows);
  if (!solved)
    throw new CoreError('DEGENERATE', 'Three of the four points lie on one line: choose the corners of a rectangle.');
  return [...solved, 1] as unknown as Projective;
}

/** Solves n equations in n unknowns, each a row of its factors and its sum; undefined when they do not tell. */
function solveLinear(equations: readonly (readonly number[])[]): readonly number[] | undefined {
  const rows = equations.map((row) => [...row]),
    size = rows.length;
  const scales = rows.map((row) => Math.max(...row.slice(0, size).map(Math.abs)));
  for (let column = 0; column < size; column++) {
    let best = column;
    for (let row = column + 1; row < size; row++)
      if (Math.abs(rows[row]![column]!) / scales[row]! > Math.abs(rows[best]![column]!) / scales[best]!) best = row;
    [rows[column], rows[best]] = [rows[best]!, rows[column]!];
    [scales[column], scales[best]] = [scales[best]!, scales[column]!];
    const pivot = rows[column]!;
    if (!(Math.abs(pivot[column]!) > 1e-12 * scales[column]!)) return undefined;
    for (let row = 0; row < size; row++) {
      if (row === column) continue;
      const factor = rows[row]![column]! / pivot[column]!;
      if (factor !== 0)
        for (let index = column; index <= size; index++)
          rows[row]![index] = rows[row]![index]! - factor * pivot[index]!;
    }
  }
  return rows.map((row, index) => row[size]! / row[index]!);
}
