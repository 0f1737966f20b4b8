import { boundsHeight, boundsWidth } from '../geometry/index.ts';
import type { PlanFigureKey } from '../plan/index.ts';
import { countOf, memo } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { quickFigures } from './figures.ts';
import { piecesOfAirframe } from './funnel.ts';
import { madeAtScale } from './made-at-scale.ts';
import { boardViews, quickNest } from './nest-airframe.ts';
import { pagesOf } from './page-set.ts';
import { unplacedIn } from './place-faults.ts';
import { planReportOf } from './plan-of-airframe.ts';
import { newFaults } from './thickness-breaks.ts';

/**
 * An airframe looked at another factor: a nest that was kept is of another size. Remembered, the one as drawn beside the last: what is
 * compared with that is folded once.
 */
export const atFactor = memo(
  ({ nest: _nest, ...airframe }: Airframe, scale: number): Airframe => ({
    ...airframe,
    settings: { ...airframe.settings, scale },
  }),
  (scale) => scale,
  2,
);

/** The part that reaches furthest, and how far in mm. */
export const longestPart = (airframe: Airframe): { readonly name: string; readonly mm: number } =>
  piecesOfAirframe(airframe)
    .map(({ part }) => ({ name: part.name, mm: Math.max(boundsWidth(part.bounds), boundsHeight(part.bounds)) }))
    .reduce((best, one) => (one.mm > best.mm ? one : best), { name: 'nothing', mm: 0 });

/** What an airframe comes to at a factor, and what would go wrong there. */
export interface ScaleFigures {
  readonly factor: number;
  readonly foamG: number;
  readonly longestMm: number;
  readonly pages: number;
  readonly boards: number;
  readonly boardCost: number;
  /** Amounts of the plan's figures: mm, g, g/dm², m/s. */
  readonly plan: Readonly<Partial<Record<PlanFigureKey, number>>>;
  /** Room under a propeller and what is safe, in mm. */
  readonly propeller?: { readonly roomMm: number; readonly leastMm: number };
  /** Faults that it would have there and has not as drawn, in words. */
  readonly faults: readonly string[];
}

/** What is wrong with the numbers of forms at an airframe's factor, by what it is about. */
const formFaults = (airframe: Airframe): ReadonlyMap<string, string> =>
  new Map(
    (airframe.forms ?? []).flatMap((form) =>
      madeAtScale(form, airframe).faults.map(
        ({ code, path, title }) => [`${form.id}/${code}/${path}`, `${form.name}: ${title}`] as const,
      ),
    ),
  );

/** What an airframe comes to at a factor. Takes a nest, its pages and a fold of it: for a worker. */
export function scaleFigures(airframe: Airframe, factor: number): ScaleFigures {
  const scaled = atFactor(airframe, factor),
    drawn = atFactor(airframe, 1);
  const { nest } = quickNest(scaled),
    views = boardViews(scaled, nest),
    report = planReportOf(scaled),
    room = report?.clearances.find(({ key }) => key.startsWith('propeller-ground'));
  const known = formFaults(drawn),
    left = unplacedIn(scaled, nest).reduce((sum, { quantity }) => sum + quantity, 0);
  return {
    factor,
    foamG: quickFigures(scaled).foamG,
    longestMm: longestPart(scaled).mm,
    pages: pagesOf(scaled).pages.length,
    boards: views.length,
    boardCost: views.reduce((sum, { board }) => sum + board.price, 0),
    plan: Object.fromEntries((report?.figures.figures ?? []).map(({ key, amount }) => [key, amount])),
    ...(room ? { propeller: { roomMm: room.amount, leastMm: room.least } } : {}),
    faults: [
      ...[...formFaults(scaled)].flatMap(([key, title]) => (known.has(key) ? [] : [title])),
      ...newFaults(drawn, scaled).map(({ title }) => title),
      ...(left > 0 ? [`${countOf(left, 'piece finds', 'pieces find')} no place on the boards`] : []),
    ],
  };
}
