import { expose } from 'comlink';
import {
  cutListOf,
  pagesOf,
  quickFigures,
  slowFigures,
  type Airframe,
  type SlowFigures,
} from '@grain-fold/core/airframe';
import type { CutList } from '@grain-fold/core/cutting';
import type { PagePlan } from '@grain-fold/core/pages';
import { worked, type Worked } from './worked.ts';

/** Figures that take too long for the interface's thread. */
const figures = {
  slow: (airframe: Airframe): Worked<SlowFigures> => worked(() => slowFigures(airframe)),
  pages: (airframe: Airframe): Worked<PagePlan> => worked(() => pagesOf(airframe)),
  cutList: (airframe: Airframe): CutList => cutListOf(airframe),
  /** Figures at another factor, the kept nest left out: what scaling would do. */
  atScale: (
    airframe: Airframe,
    scale: number,
  ): Worked<{ scale: number; foamG: number; longestMm: number; slow: SlowFigures }> =>
    worked(() => {
      const { nest: _nest, ...rest } = airframe;
      const scaled: Airframe = { ...rest, settings: { ...airframe.settings, scale } };
      const { foamG, longestMm } = quickFigures(scaled);
      return { scale, foamG, longestMm, slow: slowFigures(scaled) };
    }),
};
export type FiguresWorker = typeof figures;

expose(figures);
