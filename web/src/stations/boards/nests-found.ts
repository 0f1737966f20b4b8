import { shallowRef } from 'vue';
import {
  boardViews,
  nestHash,
  setsOf,
  type Airframe,
  type AirframeNest,
  type BoardView,
} from '@grain-fold/core/airframe';
import { boundsHeight, boundsWidth } from '@grain-fold/core/geometry';

/** How many nests are kept beside the one that is laid. */
const MOST = 6;

/** Where everything of a nest lies to a hundredth of a millimetre, in whichever order it is told. */
const laid = ({ boards }: AirframeNest): string =>
  boards
    .map(({ boardId, placements, cutFrom }) => {
      const places = placements.map(({ pieceId, x, y, rotation }) =>
        [pieceId, x.toFixed(2), y.toFixed(2), rotation.toFixed(2)].join(' '),
      );
      return [boardId, cutFrom ? 'cut' : '', ...places.sort()].join('\n');
    })
    .sort()
    .join('\n\n');

/** Whether two nests lie alike. */
export const isLaidAlike = (a: AirframeNest, b: AirframeNest): boolean => laid(a) === laid(b);

/** Nests that were found since the page was opened, the newest first, for every airframe. */
const found = shallowRef<readonly { readonly airframeId: string; readonly nest: AirframeNest }[]>([]);

/** Keeps a nest to be compared; one that lies alike is kept once. */
export function keepFound(airframeId: string, nest: AirframeNest): void {
  const others = found.value.filter((one) => one.airframeId !== airframeId || !isLaidAlike(one.nest, nest));
  const own = [{ airframeId, nest }, ...others.filter((one) => one.airframeId === airframeId)].slice(0, MOST);
  found.value = [...own, ...others.filter((one) => one.airframeId !== airframeId)];
}

/** How good a nest is, as it is compared by: pieces without a place, cost, and boards less what is left of the last of each material. */
export interface NestFigures {
  readonly unplaced: number;
  readonly cost: number;
  readonly boards: number;
  readonly effectiveBoards: number;
  /** The largest rectangle that is left of all. */
  readonly rest: { readonly width: number; readonly height: number };
}

const restArea = ({ rest }: BoardView): number => boundsWidth(rest) * boundsHeight(rest);

/** The share of a board that is left in one piece, of the dearest boards of a material: as the search counts it. */
function restShare(views: readonly BoardView[]): number {
  const dearest = Math.max(...views.map(({ board }) => board.price));
  return Math.max(
    ...views
      .filter(({ board }) => board.price === dearest)
      .map((view) => restArea(view) / (view.board.widthMm * view.board.heightMm)),
  );
}

/** The figures of a nest as it lies. */
export function nestFigures(airframe: Airframe, nest: AirframeNest): NestFigures {
  const views = boardViews(airframe, nest);
  const uncut = views.filter(({ isCut }) => !isCut);
  const materials = [...new Set(uncut.map(({ board }) => board.material))];
  const largest = uncut.reduce<BoardView | undefined>(
    (best, view) => (best && restArea(best) >= restArea(view) ? best : view),
    undefined,
  );
  // Of many sets, the rest counts where boards repeat themselves: the search prefers those, and so does who compares.
  const isRestCounted = setsOf(airframe) === 1 || views.some(({ alikeTo }) => alikeTo !== undefined);
  const left = materials.reduce(
    (sum, material) => sum + restShare(uncut.filter(({ board }) => board.material === material)),
    0,
  );
  return {
    unplaced: nest.unplaced.reduce((sum, { quantity }) => sum + quantity, 0),
    cost: views.reduce((sum, { board }) => sum + board.price, 0),
    boards: views.length,
    effectiveBoards: views.length - (isRestCounted ? left : 0),
    rest: { width: largest ? boundsWidth(largest.rest) : 0, height: largest ? boundsHeight(largest.rest) : 0 },
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
