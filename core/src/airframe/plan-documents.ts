import { viewPart, planInk, scalePlan, type Plan, type PlanView } from '../plan/index.ts';
import { PAPERS, planPages } from '../pages/index.ts';
import { resolve } from '../resolve/index.ts';
import { CoreError } from '../units/index.ts';
import type { Airframe } from './airframe.ts';
import { paperPage, titleOf, type PaperPage } from './documents.ts';
import { planReportOf } from './plan-of-airframe.ts';

/** Paper has no thickness that a drawing would follow. */
const ON_PAPER = { thicknessMm: 1, gramsPerSquareMetre: 80, plateThicknesses: {} } as const;

/** The plan at the airframe's factor. @throws CoreError NOT_FOUND without one */
function planOf({ plan, settings }: Airframe): Plan {
  if (!plan) throw new CoreError('NOT_FOUND', 'This airframe has no plan yet.');
  return scalePlan(plan, settings.scale);
}

/**
 * A view of the plan at full size, on as few pages as it takes.
 * @throws CoreError NOT_FOUND when there is nothing in the view; OUT_OF_RANGE when the page settings cannot print
 */
export function planViewDocument(
  airframe: Airframe,
  view: PlanView,
  version: number,
  date: string,
): readonly PaperPage[] {
  const part = viewPart(planOf(airframe), view);
  const words = [`${airframe.name}, ${part.name.toLowerCase()}`, 'full size: measure the bars before you trust it'];
  const pages = planPages([{ part: resolve(part, ON_PAPER), pieces: 1, words }], airframe.settings.pages),
    title = titleOf(airframe, version, date);
  return pages.pages.map((page) => paperPage(pages, page, title));
}

/** The three views with dimensions and figures on one page. @throws CoreError NOT_FOUND without a plan */
export function planDrawingDocument(airframe: Airframe, version: number, date: string): readonly PaperPage[] {
  const plan = planOf(airframe),
    report = planReportOf(airframe)!;
  const { widthMm, heightMm } = airframe.settings.unit === 'in' ? PAPERS.Letter : PAPERS.A4;
  const paper = { widthMm: Math.max(widthMm, heightMm), heightMm: Math.min(widthMm, heightMm) };
  return [{ inks: planInk(plan, report.figures, paper, titleOf(airframe, version, date)), ...paper }];
}
