export { pageInk } from './page-ink.ts';
export {
  DEFAULT_PAGE_SETTINGS,
  PAPERS,
  PAPER_NAMES,
  type PageSettings,
  type PaperName,
  pageSettingsFault,
  paperSize,
} from './paper.ts';
export { planPages } from './plan-pages.ts';
export type { Page, PagePlan, Sheet } from './sheet.ts';
export type { Template } from './template.ts';
