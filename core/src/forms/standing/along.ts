/** Something that reaches along an axis from one place to another. */
export interface Reach {
  readonly minX: number;
  readonly maxX: number;
}

/** Things by where they begin. */
export const byBeginning = <T extends Reach>(things: readonly T[]): readonly T[] =>
  [...things].sort((a, b) => a.minX - b.minX);

/**
 * Goes along an axis and tells, at every place, what reaches over it: plates with round holes are cut into hundreds of runs, of which
 * few lie at any place.
 * @param things by where they begin
 * @param places in rising order
 */
export function alongPlaces<T extends Reach, R>(
  things: readonly T[],
  places: readonly number[],
  at: (x: number, there: readonly T[]) => R,
): readonly R[] {
  let next = 0,
    there: T[] = [];
  return places.map((x) => {
    there = there.filter(({ maxX }) => maxX >= x);
    for (; next < things.length && things[next]!.minX <= x; next += 1)
      if (things[next]!.maxX >= x) there.push(things[next]!);
    return at(x, there);
  });
}
