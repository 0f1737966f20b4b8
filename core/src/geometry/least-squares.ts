/** What a least-squares search found: its place, and the sum of the squares that are left there. */
export interface LeastSquares {
  readonly at: readonly number[];
  readonly left: number;
}

const MOST_STEPS = 120;
const NUDGE = 1e-6;

/**
 * The place near a start where residuals are least by their squares.
 * @param residuals of a place, always as many
 * @source Levenberg and Marquardt, with a Jacobian by central differences
 */
export function leastSquares(
  residuals: (at: readonly number[]) => readonly number[],
  start: readonly number[],
): LeastSquares {
  let [at, now] = [start, residuals(start)];
  let left = squares(now),
    damping = 1e-3;
  for (let step = 0; step < MOST_STEPS && left > 1e-20; step++) {
    const jacobian = jacobianAt(residuals, at);
    const { matrix, vector } = normalEquations(jacobian, now);
    const move = solved(
      matrix.map((row, i) => row.map((value, j) => (i === j ? value + damping * (value + 1e-9) : value))),
      vector,
    );
    if (!move) break;
    const next = at.map((value, index) => value - move[index]!);
    const after = residuals(next),
      rest = squares(after);
    if (rest < left) {
      const gain = left - rest;
      [at, now, left, damping] = [next, after, rest, Math.max(1e-12, damping / 5)];
      if (gain < 1e-16 * (1 + left)) break;
    } else {
      damping *= 6;
      if (damping > 1e12) break;
    }
  }
  return { at, left };
}

/** How many directions leave all residuals at a place as they are, to first order: the ways in which an answer can still move. */
export function freedomAt(residuals: (at: readonly number[]) => readonly number[], at: readonly number[]): number {
  const rows = jacobianAt(residuals, at).map((row) => [...row]);
  const scale = Math.max(1e-12, ...rows.flat().map(Math.abs));
  let rank = 0;
  for (let column = 0; column < at.length; column++) {
    const pivot = rows
      .slice(rank)
      .reduce(
        (best, row, index) => (Math.abs(row[column]!) > Math.abs(rows[best]![column]!) ? rank + index : best),
        rank,
      );
    if (rank >= rows.length || Math.abs(rows[pivot]![column]!) < 1e-5 * scale) continue;
    [rows[rank], rows[pivot]] = [rows[pivot]!, rows[rank]!];
    for (let row = rank + 1; row < rows.length; row++) {
      const share = rows[row]![column]! / rows[rank]![column]!;
      for (let k = column; k < at.length; k++) rows[row]![k]! -= share * rows[rank]![k]!;
    }
    rank++;
  }
  return at.length - rank;
}

const squares = (values: readonly number[]): number => values.reduce((sum, value) => sum + value * value, 0);

/** Row i: how residual i changes by each number of the place. */
function jacobianAt(
  residuals: (at: readonly number[]) => readonly number[],
  at: readonly number[],
): readonly (readonly number[])[] {
  const columns = at.map((value, index) => {
    const [ahead, behind] = [residuals(at.with(index, value + NUDGE)), residuals(at.with(index, value - NUDGE))];
    return ahead.map((one, row) => (one - behind[row]!) / (2 * NUDGE));
  });
  return (columns[0] ?? []).map((_, row) => columns.map((column) => column[row]!));
}

function normalEquations(
  jacobian: readonly (readonly number[])[],
  now: readonly number[],
): { readonly matrix: readonly (readonly number[])[]; readonly vector: readonly number[] } {
  const count = jacobian[0]?.length ?? 0;
  const over = (f: (row: readonly number[], index: number) => number): number =>
    jacobian.reduce((sum, row, index) => sum + f(row, index), 0);
  return {
    matrix: Array.from({ length: count }, (_, i) =>
      Array.from({ length: count }, (__, j) => over((row) => row[i]! * row[j]!)),
    ),
    vector: Array.from({ length: count }, (_, i) => over((row, index) => row[i]! * now[index]!)),
  };
}

/** The solution of a small linear system; undefined when it has none. @source Gaussian elimination with pivots */
function solved(matrix: readonly (readonly number[])[], vector: readonly number[]): readonly number[] | undefined {
  const rows = matrix.map((row, index) => [...row, vector[index]!]);
  const count = rows.length;
  for (let column = 0; column < count; column++) {
    let pivot = column;
    for (let row = column + 1; row < count; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    if (Math.abs(rows[pivot]![column]!) < 1e-300) return undefined;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    for (let row = 0; row < count; row++) {
      if (row === column) continue;
      const share = rows[row]![column]! / rows[column]![column]!;
      if (share !== 0) for (let k = column; k <= count; k++) rows[row]![k]! -= share * rows[column]![k]!;
    }
  }
  return rows.map((row, index) => row[count]! / row[index]!);
}
