import type { Polygon } from '../../geometry/index.ts';
import { flatCut, within } from '../standing/index.ts';
import type { LaidGauge } from './laid-gauge.ts';
import type { GaugeSight } from './lay-set.ts';

/** What is seen of the airframe round a gauge, in mm beyond it. */
const ROUND_MM = 45;

/** What stands where a gauge is held, cut in its plane, on the flat of the gauge; nothing of one that is held nowhere in particular. */
export const cutRound = ({ standing }: Pick<GaugeSight, 'standing'>, { map, plates }: LaidGauge): readonly Polygon[] =>
  map
    ? within(
        flatCut(standing.pieces, map),
        plates[0]!.outline.map(({ at }) => at),
        ROUND_MM,
        ROUND_MM,
      )
    : [];
