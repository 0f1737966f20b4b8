import type { Transform } from '../geometry/index.ts';
import { CoreError } from '../units/index.ts';
import { cutListPages } from '../cutting/index.ts';
import type { DocumentTitle, Ink, PaperPen } from '../ink/index.ts';
import { coverPages, frameOfPage, pageInk, PAPERS, type Page, type PagePlan } from '../pages/index.ts';
import { correctionOf, testPage, type Printer } from '../printers/index.ts';
import type { Airframe, AirframeSettings } from './airframe.ts';
import { cutListOf } from './figures.ts';
import { pagesOf } from './page-set.ts';
import { changedPieces } from './printed.ts';

/** One page of a document: its ink and its paper in mm. */
export interface PaperPage {
  readonly inks: readonly Ink[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** What it is called where pages are listed. */
  readonly label?: string;
  /** What undoes the printer's stretch and lean, in mm of the page. */
  readonly correction?: Transform;
  /** How its ink comes on paper; as usual when undefined. */
  readonly pen?: PaperPen;
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

/** What of an airframe's pages is printed. */
export interface PrintedSet {
  /** A set of more pages is not made; any number when undefined. */
  readonly mostPages?: number;
  /** Only templates that are not as they were printed last. */
  readonly isChanged?: boolean;
  /** Names of the pages that are printed, without a cover; all when undefined. */
  readonly pages?: readonly string[];
  /** The printer that they are corrected for; printed as they are when undefined. */
  readonly printer?: Printer;
}

/**
 * The printed pages of an airframe at true size, each drawn when it is asked for.
 * @throws CoreError OUT_OF_RANGE when its page settings cannot print, or when there are more pages; NOT_FOUND for a page that there is not
 */
export function pagesDocument(
  airframe: Airframe,
  version: number,
  date: string,
  { mostPages = Infinity, isChanged = false, pages: names, printer }: PrintedSet = {},
): Iterable<PaperPage> {
  const plan = pagesOf(airframe, isChanged ? new Set(changedPieces(airframe)) : undefined);
  const pages = names ? names.map((name) => pageNamed(plan, name)) : plan.pages;
  if (pages.length > mostPages)
    throw new CoreError(
      'OUT_OF_RANGE',
      `These are ${pages.length} pages. Choose a larger paper, a smaller scale or fewer parts, or ask for all of them.`,
      { pages: pages.length },
    );
  const title = { ...titleOf(airframe, version, date), ...(printer ? { printer: printer.name } : {}) };
  const cover =
    airframe.settings.pages.hasCover && !names && pages.length > 0 ? coverDocument(airframe, plan, title) : [];
  const corrected = (page: PaperPage): PaperPage => (printer ? correctedPage(page, printer) : page);
  return drawn(cover.map(corrected), pages, (page) => corrected(paperPage(plan, page, title)));
}

/** A page as it goes to a printer. */
const correctedPage = (page: PaperPage, { map, pen }: Printer): PaperPage => ({
  ...page,
  ...(pen ? { pen } : {}),
  correction: correctionOf(map, page.widthMm, page.heightMm),
});

/** The page that a printer is measured by, on the airframe's paper where a home printer has that. */
export function printerTestDocument(airframe: Airframe, printer: Printer, date: string): PaperPage {
  const size = homePaper(airframe.settings);
  return correctedPage(
    { inks: testPage(printer, size, airframe.settings.unit, date), ...size, label: 'Test' },
    printer,
  );
}

const homePaper = ({ pages: { paper }, unit }: AirframeSettings) =>
  paper === 'A4' || paper === 'Letter' ? PAPERS[paper] : unit === 'in' ? PAPERS.Letter : PAPERS.A4;

function pageNamed(plan: PagePlan, name: string): Page {
  const page = plan.pages.find((one) => one.name === name);
  if (!page) throw new CoreError('NOT_FOUND', `There is no page ${name}: it was laid out otherwise since.`, { name });
  return page;
}

/** The pages before a set, on a paper that every printer has. */
function coverDocument({ settings }: Airframe, plan: PagePlan, title: DocumentTitle): readonly PaperPage[] {
  const size = homePaper(settings);
  return coverPages(plan, title, size).map((inks, index, all) => ({
    inks,
    ...size,
    label: all.length > 1 ? `Cover ${index + 1}` : 'Cover',
  }));
}

/** A page of a plan as it is printed. */
export function paperPage(plan: PagePlan, page: Page, title: DocumentTitle): PaperPage {
  const { widthMm, heightMm } = frameOfPage(plan, page);
  return { inks: pageInk(plan, page, title), widthMm, heightMm, label: page.name };
}

/** Pages one after the other, each drawn when it is wanted: of many only one is there at a time. */
function* drawn<T>(
  before: readonly PaperPage[],
  pages: readonly T[],
  draw: (page: T) => PaperPage,
): Iterable<PaperPage> {
  yield* before;
  for (const page of pages) yield draw(page);
}

/** The cut list of an airframe on A4, or on Letter for builders in inches. */
export function cutListDocument(airframe: Airframe, version: number, date: string): readonly PaperPage[] {
  const paper = airframe.settings.unit === 'in' ? PAPERS.Letter : PAPERS.A4;
  return cutListPages(cutListOf(airframe), titleOf(airframe, version, date), paper).map((inks) => ({ inks, ...paper }));
}
