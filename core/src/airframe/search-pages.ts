import { assemblyTotals } from '../pages/index.ts';
import type { Airframe } from './airframe.ts';
import { pagesByPacking, takesLess } from './page-set.ts';

/** What a set of pages takes: fewer pages are better, then less tape. */
export interface PagesTaken {
  readonly packing: number;
  readonly pages: number;
  readonly tapeMm: number;
}

/** How a search for fewer pages stands. */
export interface PageSearch {
  readonly tried: number;
  readonly best: PagesTaken;
  readonly isDone: boolean;
}

/** Packings that are looked at before a search ends by itself. */
export const MOST_PACKINGS = 60;

/** An airframe whose pages are laid out by a packing; the usual one is not noted. */
export function withPacking(airframe: Airframe, packing: number): Airframe {
  const { packing: _was, ...pages } = airframe.settings.pages;
  return {
    ...airframe,
    settings: { ...airframe.settings, pages: packing === 0 ? pages : { ...pages, packing } },
  };
}

/**
 * Searches other orders of beginning sheets for fewer pages, then less tape. The best so far is told after each; the same airframe gives the
 * same search.
 */
export function* searchPages(airframe: Airframe): Generator<PageSearch, PageSearch> {
  let plan = pagesByPacking(airframe, 0),
    packing = 0;
  const best = (): PagesTaken => ({ packing, pages: plan.pages.length, tapeMm: assemblyTotals(plan).tapeMm });
  for (let number = 1; number < MOST_PACKINGS; number++) {
    yield { tried: number, best: best(), isDone: false };
    const other = pagesByPacking(airframe, number);
    if (takesLess(other, plan)) [plan, packing] = [other, number];
  }
  return { tried: MOST_PACKINGS, best: best(), isDone: true };
}
