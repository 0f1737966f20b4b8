import type { BodyThing } from './thing.ts';

/** A body's heights and width at a place, in the axes of the airframe. */
export interface BodySection {
  readonly bottomMm: number;
  readonly topMm: number;
  readonly widthMm: number;
}

/** A body cut across at a place; undefined before its nose and behind its tail. */
export function bodyAt({ at, stations }: BodyThing, x: number): BodySection | undefined {
  const aft = x - at.x,
    upper = stations.findIndex(({ aftMm }) => aftMm >= aft);
  if (upper < 0 || aft < stations[0]!.aftMm) return undefined;
  const b = stations[upper]!,
    a = stations[Math.max(0, upper - 1)]!,
    share = b.aftMm === a.aftMm ? 1 : (aft - a.aftMm) / (b.aftMm - a.aftMm);
  const along = (of: (station: typeof a) => number): number => of(a) + share * (of(b) - of(a));
  return {
    bottomMm: at.z + along(({ bottomMm }) => bottomMm),
    topMm: at.z + along(({ topMm }) => topMm),
    widthMm: along(({ widthMm }) => widthMm),
  };
}
