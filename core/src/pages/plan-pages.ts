import {
  applyTransform,
  boundsCorners,
  flattenOpenPath,
  runsInside,
  type Point,
  type Polygon,
} from '../geometry/index.ts';
import type { OperationKind } from '../operations/index.ts';
import { CoreError, worded } from '../units/index.ts';
import { laySection, refuseCount, type SectionContent } from './lay-section.ts';
import { pageSettingsFault, type PageSettings } from './paper.ts';
import type { Page, PagePlan, Sheet } from './sheet.ts';
import type { Template } from './template.ts';

/** How finely a line is looked at to tell whether a page shows it, in mm. */
const LEGEND_TOLERANCE_MM = 0.3;
/**
 * Lays templates out on as few pages as it can, each by itself.
 * @throws CoreError as {@link planSet} does
 */
export const planPages = (templates: readonly Template[], settings: PageSettings): PagePlan =>
  planSet([{ id: 'all', way: 'loose', templates, settings }], settings);

/**
 * Lays out a set of pages, section by section. Pages without ink are left out. Every template is on paper exactly once.
 * @throws CoreError OUT_OF_RANGE when the settings cannot print, or when it would take more than {@link MOST_PAGES}; BROKEN_PLAN when a template would be on no sheet or on several
 */
export function planSet(sections: readonly SectionContent[], settings: PageSettings): PagePlan {
  const drawn = sections.map((section) => ({
    ...section,
    templates: section.templates.filter(({ part }) => part.outer.length > 0),
  }));
  const sheets: Sheet[] = [],
    pages: Page[] = [];
  for (const section of drawn) {
    const fault = pageSettingsFault(section.settings);
    if (fault) throw new CoreError('OUT_OF_RANGE', worded(fault, 'mm'), { settings });
    for (const laid of laySection(section, sheets.length + 1)) {
      sheets.push(laid.sheet);
      pages.push(...laid.pages);
    }
    refuseCount(pages.length);
  }
  const plan = { settings, sheets, pages };
  refuseLost(
    drawn.flatMap(({ templates }) => templates),
    plan,
  );
  return plan;
}

/** A plan that leaves a part out would be found out after cutting: it is none. */
function refuseLost(templates: readonly Template[], { sheets, pages }: PagePlan): void {
  const printed = new Set(pages.map(({ sheet }) => sheet));
  const times = new Map<Template, number>();
  for (const { number, placed } of sheets)
    for (const { template } of placed) if (printed.has(number)) times.set(template, (times.get(template) ?? 0) + 1);
  const lost = templates.find((template) => times.get(template) !== 1);
  if (lost)
    throw new CoreError(
      'BROKEN_PLAN',
      `${lost.part.name} would be printed ${times.get(lost) ?? 0} times. Choose another paper or margin.`,
      { part: lost.part.name },
    );
}

/** The kinds of stroke that a page shows, for its legend: those with a line or an area on it. */
export function kindsOnPage(plan: PagePlan, page: Page): readonly OperationKind[] {
  const sheet = plan.sheets.find((one) => one.number === page.sheet);
  const view: Polygon = boundsCorners(page.view);
  const isShown = (line: readonly Point[]): boolean => runsInside(line, [view]).length > 0;
  const kinds = (sheet?.placed ?? []).flatMap(({ template, transform }) =>
    template.part.strokes
      .filter(({ paths, area }) =>
        [
          ...paths.map((path) => flattenOpenPath(path, LEGEND_TOLERANCE_MM)),
          ...area.map((ring) => [...ring, ring[0]!]),
        ].some((line) => isShown(line.map((p) => applyTransform(transform, p)))),
      )
      .map(({ kind }) => kind),
  );
  return [...new Set(kinds)];
}
