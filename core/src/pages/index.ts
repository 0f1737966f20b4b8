export { pageInk } from './page-ink.ts';
export {
  DEFAULT_PAGE_SETTINGS,
  LARGEST_PAPER_MM,
  ORIENTATIONS,
  PAPERS,
  PAPER_NAMES,
  type PageSettings,
  type PaperName,
  SMALLEST_PAPER_MM,
  TEMPLATE_RULES,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
  pageSettingsFault,
  paperSize,
} from './paper.ts';
export { planPages } from './plan-pages.ts';
export type { Page, PagePlan, Sheet } from './sheet.ts';
export type { Template } from './template.ts';
