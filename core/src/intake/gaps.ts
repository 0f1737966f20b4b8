import { distance, pointIndex, type Point } from '../geometry/index.ts';
import type { Chain } from './chain.ts';

/** Two open ends that lie next to each other. */
export interface Gap {
  readonly from: Point;
  readonly to: Point;
  readonly gapMm: number;
}

/** The gaps between open ends, each end to its nearest that is free, the narrowest first. @param reachMm wider ones are none */
export function gapsBetween(chains: readonly Chain[], reachMm: number): readonly Gap[] {
  const ends = chains.flatMap(({ path, isClosed }) => (isClosed ? [] : [path[0]!.from, path.at(-1)!.to]));
  const near = pointIndex(ends);
  const pairs = ends
    .flatMap((end, index) =>
      near(end, reachMm).flatMap((other) =>
        other > index ? [{ index, other, gapMm: distance(end, ends[other]!) }] : [],
      ),
    )
    .filter(({ gapMm }) => gapMm <= reachMm)
    .sort((a, b) => a.gapMm - b.gapMm);
  const taken = new Set<number>();
  return pairs.flatMap(({ index, other, gapMm }) => {
    if (taken.has(index) || taken.has(other)) return [];
    taken.add(index).add(other);
    return [{ from: ends[index]!, to: ends[other]!, gapMm }];
  });
}
