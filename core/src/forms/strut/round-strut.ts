import { add3, boundsOf, times3, type Polygon } from '../../geometry/index.ts';
import { flatCut, standingWithIt, within } from '../standing/index.ts';
import type { LaidStrut } from './lay-strut.ts';
import type { StrutSite } from './make-struts.ts';

/** What is seen of the airframe round a strut, in mm beyond it. */
const ROUND_MM = 60;

/** What stands round a strut, cut in its plane, on its flat; and from where to where what its ends stand on reaches. */
export interface RoundStrut {
  readonly rings: readonly Polygon[];
  readonly spans: {
    readonly lower: readonly [from: number, to: number];
    readonly upper: readonly [from: number, to: number];
  };
}

/** What a strut stands between, cut in the middle of its first board. */
export function roundStrut({ standing, thicknessMm }: StrutSite, { strut, plates }: LaidStrut): RoundStrut {
  const { map, outline } = plates[0]!,
    ring = outline.map(({ at }) => at),
    middle = { ...map, origin: add3(map.origin, times3(map.z, thicknessMm / 2)) };
  const spanOf = (partId: string): readonly [number, number] => {
    const { minX, maxX } = boundsOf([...flatCut(standingWithIt(standing, partId), middle).flat()]);
    return minX <= maxX ? [minX, maxX] : [boundsOf(ring).minX, boundsOf(ring).maxX];
  };
  return {
    rings: within(flatCut(standing.pieces, middle), ring, 2 * ROUND_MM, ROUND_MM),
    spans: { lower: spanOf(strut.lowerId), upper: spanOf(strut.upperId) },
  };
}
