/** A half-space: the places x with `normal · x` at most `most`. */
export interface HalfSpace {
  readonly normal: readonly number[];
  readonly most: number;
}

/** Places are looked for no further out than this in each direction, mm. */
const FAR_MM = 1e5;
const ROUNDING = 1e-9;

/**
 * The place within all half-spaces that lies furthest along a direction.
 * @param direction as many numbers as the space has dimensions, from 1 to 4
 * @returns undefined when no place lies in all of them
 * @source Seidel's incremental algorithm, in a fixed shuffled order: expected time grows with the number of half-spaces
 */
export function furthestWithin(
  halfSpaces: readonly HalfSpace[],
  direction: readonly number[],
): readonly number[] | undefined {
  return solve(shuffled(halfSpaces), direction);
}

function shuffled<T>(items: readonly T[]): readonly T[] {
  const order = [...items];
  let seed = 7;
  for (let index = order.length - 1; index > 0; index--) {
    seed = (seed * 16807) % 2147483647;
    const other = seed % (index + 1);
    [order[index], order[other]] = [order[other]!, order[index]!];
  }
  return order;
}

function solve(halfSpaces: readonly HalfSpace[], direction: readonly number[]): readonly number[] | undefined {
  if (direction.length === 1) return solveLine(halfSpaces, direction[0]!);
  let place: readonly number[] = direction.map((c) => (c < 0 ? -FAR_MM : FAR_MM));
  for (const [index, { normal, most }] of halfSpaces.entries()) {
    if (dotOf(normal, place) <= most + ROUNDING) continue;
    // The furthest place now lies on this half-space's own plane: one dimension less.
    const at = normal.reduce((best, n, axis) => (Math.abs(n) > Math.abs(normal[best]!) ? axis : best), 0);
    const pivot = normal[at]!;
    if (Math.abs(pivot) < ROUNDING) return undefined;
    const onPlane = (other: HalfSpace): HalfSpace => {
      const share = other.normal[at]! / pivot;
      return scaled(
        without(other.normal, at).map((n, axis) => n - share * without(normal, at)[axis]!),
        other.most - share * most,
      );
    };
    const axis = normal.map((_, one) => (one === at ? 1 : 0));
    const limits = [
      { normal: axis, most: FAR_MM },
      { normal: axis.map((n) => -n), most: FAR_MM },
    ];
    const share = direction[at]! / pivot;
    const found = solve(
      [...limits, ...halfSpaces.slice(0, index)].map(onPlane),
      without(direction, at).map((c, one) => c - share * without(normal, at)[one]!),
    );
    if (!found) return undefined;
    place = found.toSpliced(at, 0, (most - dotOf(without(normal, at), found)) / pivot);
  }
  return place;
}

function solveLine(halfSpaces: readonly HalfSpace[], direction: number): readonly number[] | undefined {
  let low = -FAR_MM,
    high = FAR_MM;
  for (const { normal, most } of halfSpaces) {
    const n = normal[0]!;
    if (n > ROUNDING) high = Math.min(high, most / n);
    else if (n < -ROUNDING) low = Math.max(low, most / n);
    else if (most < -ROUNDING) return undefined;
  }
  if (low > high + ROUNDING) return undefined;
  return [direction < 0 ? low : high];
}

const dotOf = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, n, axis) => sum + n * b[axis]!, 0);
const without = (numbers: readonly number[], at: number): readonly number[] => numbers.toSpliced(at, 1);
/** The same half-space with a normal of length 1, so that rounding means the same in every dimension. */
function scaled(normal: readonly number[], most: number): HalfSpace {
  const length = Math.hypot(...normal);
  return length < 1e-12 ? { normal, most } : { normal: normal.map((n) => n / length), most: most / length };
}
