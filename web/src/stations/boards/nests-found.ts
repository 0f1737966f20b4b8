import { shallowRef } from 'vue';
import { boardViews, nestHash, type Airframe, type AirframeNest } from '@grain-fold/core/airframe';
import { boundsHeight, boundsWidth } from '@grain-fold/core/geometry';

/** How many nests are kept beside the one that is laid. */
const MOST = 6;

/** Nests that were found since the page was opened, the newest first, for every airframe. */
const found = shallowRef<readonly { readonly airframeId: string; readonly nest: AirframeNest }[]>([]);

/** Keeps a nest to be compared; one that lies alike is kept once. */
export function keepFound(airframeId: string, nest: AirframeNest): void {
  const text = JSON.stringify(nest.boards);
  const others = found.value.filter((one) => one.airframeId !== airframeId || JSON.stringify(one.nest.boards) !== text);
  const own = [{ airframeId, nest }, ...others.filter((one) => one.airframeId === airframeId)].slice(0, MOST);
  found.value = [...own, ...others.filter((one) => one.airframeId !== airframeId)];
}

/** How good a nest is, as it is compared by: pieces without a place, cost, and boards less the largest rest of all. */
export interface NestFigures {
  readonly unplaced: number;
  readonly cost: number;
  readonly boards: number;
  readonly effectiveBoards: number;
  readonly rest: { readonly width: number; readonly height: number };
}

/** The figures of a nest as it lies. */
export function nestFigures(airframe: Airframe, nest: AirframeNest): NestFigures {
  const views = boardViews(airframe, nest);
  const shares = views.map(
    ({ rest, board }) => (boundsWidth(rest) * boundsHeight(rest)) / (board.widthMm * board.heightMm),
  );
  const largest = shares.indexOf(Math.max(...shares));
  const rest = views[largest]?.rest;
  return {
    unplaced: nest.unplaced.reduce((sum, { quantity }) => sum + quantity, 0),
    cost: views.reduce((sum, { board }) => sum + board.price, 0),
    boards: views.length,
    effectiveBoards: views.length - (shares[largest] ?? 0),
    rest: { width: rest ? boundsWidth(rest) : 0, height: rest ? boundsHeight(rest) : 0 },
  };
}

/** Whether one nest is better than another by their figures. */
export function isBetterNest(a: NestFigures, b: NestFigures): boolean {
  const by = (['unplaced', 'cost', 'effectiveBoards'] as const).find((figure) => a[figure] !== b[figure]);
  return by !== undefined && a[by] < b[by];
}

/** The nests that were found for an airframe as it is now. */
export const nestsFoundFor = (airframe: Airframe): readonly AirframeNest[] => {
  const hash = nestHash(airframe);
  return found.value
    .filter(({ airframeId, nest }) => airframeId === airframe.id && nest.readHash === hash)
    .map(({ nest }) => nest);
};
