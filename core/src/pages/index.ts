export { type Assembly, type Diagonal, assemblyOf, assemblyTotals } from './assembly.ts';
export { coverPages } from './cover-pages.ts';
export { pageInk } from './page-ink.ts';
export {
  DEFAULT_PAGE_SETTINGS,
  LARGEST_PAPER_MM,
  ORIENTATIONS,
  PAPERS,
  PAPER_NAMES,
  MOST_SECTIONS,
  PAGE_WAYS,
  type PageSection,
  type PageSettings,
  type PageWay,
  type PaperChoice,
  type PrintedPages,
  USUAL_ROLL_MM,
  type PaperName,
  SMALLEST_PAPER_MM,
  TEMPLATE_RULES,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
  pageSettingsFault,
  paperSize,
} from './paper.ts';
export type { BoardOfTemplates, SectionContent } from './lay-section.ts';
export { planPages, planSet } from './plan-pages.ts';
export { type Page, type PagePlan, type PlacedTemplate, type Sheet, frameOfPage, sheetOf } from './sheet.ts';
export type { Template } from './template.ts';
