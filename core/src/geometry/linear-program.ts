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
    const rest = without(normal, at);
    const onPlane = (other: HalfSpace): HalfSpace => {
      const share = other.normal[at]! / pivot;
      return scaled(reducedBy(other.normal, at, rest, share), other.most - share * most);
    };
    const axis = normal.map((_, one) => (one === at ? 1 : 0));
    const limits = [
      { normal: axis, most: FAR_MM },
      { normal: axis.map((n) => -n), most: FAR_MM },
    ];
    const share = direction[at]! / pivot;
    const found = solve([...limits, ...halfSpaces.slice(0, index)].map(onPlane), reducedBy(direction, at, rest, share));
    if (!found) return undefined;
    place = found.toSpliced(at, 0, (most - dotOf(rest, found)) / pivot);
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

// Plain loops from here on: solids at the limits of a part ask for millions of these.
function dotOf(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let axis = 0; axis < a.length; axis++) sum += a[axis]! * b[axis]!;
  return sum;
}
const without = (numbers: readonly number[], at: number): readonly number[] => numbers.toSpliced(at, 1);

/** Numbers without the one at a place, less a share of the rest of another row. */
function reducedBy(numbers: readonly number[], at: number, rest: readonly number[], share: number): number[] {
  const reduced: number[] = [];
  for (let axis = 0; axis < rest.length; axis++)
    reduced.push(numbers[axis < at ? axis : axis + 1]! - share * rest[axis]!);
  return reduced;
}

/** The same half-space with a normal of length 1, so that rounding means the same in every dimension. */
function scaled(normal: number[], most: number): HalfSpace {
  const length = Math.sqrt(dotOf(normal, normal));
  if (length < 1e-12) return { normal, most };
  for (let axis = 0; axis < normal.length; axis++) normal[axis]! /= length;
  return { normal, most: most / length };
}
