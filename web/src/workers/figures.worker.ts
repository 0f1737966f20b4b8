import { expose } from 'comlink';
import {
  boardViews,
  changedPieces,
  cutListOf,
  gapBetweenParts,
  pagesOf,
  restsOfBoards,
  scaleFigures,
  sentTo,
  slowFigures,
  takenAlong,
  toBuy,
  wholeRestOf,
  type ByHand,
  type PieceAddress,
  type ScaleFigures,
  type Airframe,
  type SlowFigures,
  type TakenAlong,
  type ToBuy,
} from '@grain-fold/core/airframe';
import type { CutList } from '@grain-fold/core/cutting';
import type { Polygon } from '@grain-fold/core/geometry';
import type { PagePlan } from '@grain-fold/core/pages';
import { AirframeKeeper, type AirframeChange } from './kept-airframe.ts';
import { worked, type Worked } from './worked.ts';

/** The pages of an airframe, and how many templates are not as they were printed last. */
export interface LaidOutPages {
  readonly plan: PagePlan;
  readonly changed: number;
}

const keeper = new AirframeKeeper();

/** Figures that take too long for the interface's thread. */
const figures = {
  slow(change: AirframeChange): Worked<SlowFigures> {
    const airframe = keeper.take(change);
    return worked(() => slowFigures(airframe));
  },
  /** @param isChanged only templates that are not as they were printed last */
  pages(change: AirframeChange, isChanged: boolean): Worked<LaidOutPages> {
    const airframe = keeper.take(change);
    return worked(() => {
      const changed = airframe.settings.pages.printed ? changedPieces(airframe) : [];
      return { plan: pagesOf(airframe, isChanged ? new Set(changed) : undefined), changed: changed.length };
    });
  },
  cutList: (change: AirframeChange): CutList => cutListOf(keeper.take(change)),
  rests: (change: AirframeChange, leastMm: number): readonly (readonly Polygon[])[] =>
    restsOfBoards(keeper.take(change), leastMm),
  /** All that is left of a board around its largest rest. */
  wholeRest(change: AirframeChange, board: number): Polygon | undefined {
    const airframe = keeper.take(change),
      view = airframe.nest && boardViews(airframe, airframe.nest)[board];
    return view && wholeRestOf(view, gapBetweenParts(airframe.settings.nest));
  },
  sentTo(change: AirframeChange, from: PieceAddress, board: number): ByHand {
    const airframe = keeper.take(change);
    return sentTo(airframe, boardViews(airframe, airframe.nest!), airframe.nest!, from, board);
  },
  toBuy: (change: AirframeChange): ToBuy => toBuy(keeper.take(change)),
  /** What of another airframe can be cut from the boards of this one, as a guest of an id. */
  takenAlong: (change: AirframeChange, other: Airframe, id: string): TakenAlong =>
    takenAlong(keeper.take(change), other, id),
  /** Figures at another factor, the kept nest left out: what scaling would do. */
  atScale(change: AirframeChange, factor: number): Worked<ScaleFigures> {
    const airframe = keeper.take(change);
    return worked(() => scaleFigures(airframe, factor));
  },
};
export type FiguresWorker = typeof figures;

expose(figures);
