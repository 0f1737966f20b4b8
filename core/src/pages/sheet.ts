import type { Bounds, Point, Polygon, Transform } from '../geometry/index.ts';
import type { PageFrame, PageSettings } from './paper.ts';
import type { Template } from './template.ts';

/** A template on a sheet. */
export interface PlacedTemplate {
  readonly template: Template;
  readonly transform: Transform;
}

/** One page of a sheet. */
export interface Page {
  /** Sheet number, with column letter and row number when the sheet has several pages: `3`, `1B2`. */
  readonly name: string;
  readonly sheet: number;
  readonly column: number;
  readonly row: number;
  /** What of the sheet this page shows. */
  readonly view: Bounds;
  readonly neighbours: Readonly<Partial<Record<'left' | 'right' | 'above' | 'below', string>>>;
}

/** Templates laid out at true size, cut into one or more pages. */
export interface Sheet {
  readonly number: number;
  readonly columns: number;
  readonly rows: number;
  readonly placed: readonly PlacedTemplate[];
  /** Cells that are printed, as [column, row]. */
  readonly cells: readonly (readonly [number, number])[];
  /** Lower left corner of the lattice; registration coordinates count from it. */
  readonly origin: Point;
  /** The paper of its pages. */
  readonly frame: PageFrame;
  /** Of the section that it belongs to. */
  readonly sectionId: string;
  /** The edge of the board that its templates lie on, and what that is called. */
  readonly board?: { readonly ring: Polygon; readonly words: string };
}

export interface PagePlan {
  readonly settings: PageSettings;
  readonly sheets: readonly Sheet[];
  readonly pages: readonly Page[];
}

/** The sheet that a page is of. */
export const sheetOf = ({ sheets }: PagePlan, { sheet }: Pick<Page, 'sheet'>): Sheet =>
  sheets.find(({ number }) => number === sheet)!;

/** The paper of a page. */
export const frameOfPage = (plan: PagePlan, page: Pick<Page, 'sheet'>): PageFrame => sheetOf(plan, page).frame;
