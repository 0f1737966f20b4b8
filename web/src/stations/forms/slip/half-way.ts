/** Less room between two stations holds no third, in mm. */
const LEAST_BAY_MM = 20;
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/**
 * A fresh station half way through the longest bay of stations that stand in order.
 * @param keys its numbers, each half way between its neighbours'
 * @returns undefined where no bay has room for one
 */
export function halfWayInLongest<Key extends string>(
  stations: readonly Readonly<Record<Key | 'aftMm', number>>[],
  keys: readonly Key[],
): Readonly<Record<Key, number>> | undefined {
  const bays = stations.slice(1).map((b, index) => [stations[index]!, b] as const);
  const longest = bays.reduce<(typeof bays)[number] | undefined>(
    (best, one) => (!best || one[1].aftMm - one[0].aftMm > best[1].aftMm - best[0].aftMm ? one : best),
    undefined,
  );
  if (!longest || longest[1].aftMm - longest[0].aftMm < LEAST_BAY_MM) return undefined;
  const [a, b] = longest;
  return Object.fromEntries(keys.map((key) => [key, tenth((a[key] + b[key]) / 2)])) as Record<Key, number>;
}
