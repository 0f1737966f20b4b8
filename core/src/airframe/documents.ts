import { CoreError } from '../units/index.ts';
import { cutListPages } from '../cutting/index.ts';
import type { DocumentTitle, Ink } from '../ink/index.ts';
import { pageInk, paperSize, PAPERS } from '../pages/index.ts';
import type { Airframe } from './airframe.ts';
import { cutListOf, pagesOf } from './figures.ts';

/** One page of a document: its ink and its paper in mm. */
export interface PaperPage {
  readonly inks: readonly Ink[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** What a document says about where it comes from. @param date as it is written */
export const titleOf = ({ name, settings }: Airframe, version: number, date: string): DocumentTitle => ({
  airframe: name,
  version,
  scale: settings.scale,
  date,
  unit: settings.unit,
  ...((settings.variants ?? []).length > 0 ? { variant: settings.variant ?? 'every variant' } : {}),
});

/**
 * The printed pages of an airframe at true size, each drawn when it is asked for.
 * @param mostPages a set of more is not made
 * @throws CoreError OUT_OF_RANGE when its page settings cannot print, or when there are more pages
 */
export function pagesDocument(
  airframe: Airframe,
  version: number,
  date: string,
  mostPages = Infinity,
): Iterable<PaperPage> {
  const plan = pagesOf(airframe);
  if (plan.pages.length > mostPages)
    throw new CoreError(
      'OUT_OF_RANGE',
      `These are ${plan.pages.length} pages. Choose a larger paper, a smaller scale or fewer parts, or ask for all of them.`,
      { pages: plan.pages.length },
    );
  const title = titleOf(airframe, version, date),
    paper = paperSize(plan.settings);
  return drawn(plan.pages, (page) => ({ inks: pageInk(plan, page, title), ...paper }));
}

/** Pages one after the other, each drawn when it is wanted: of many only one is there at a time. */
function* drawn<T>(pages: readonly T[], draw: (page: T) => PaperPage): Iterable<PaperPage> {
  for (const page of pages) yield draw(page);
}

/** The cut list of an airframe on A4, or on Letter for builders in inches. */
export function cutListDocument(airframe: Airframe, version: number, date: string): readonly PaperPage[] {
  const paper = airframe.settings.unit === 'in' ? PAPERS.Letter : PAPERS.A4;
  return cutListPages(cutListOf(airframe), titleOf(airframe, version, date), paper).map((inks) => ({ inks, ...paper }));
}
