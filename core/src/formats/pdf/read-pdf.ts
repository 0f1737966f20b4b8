import { readPdfPage, type PdfOperators, type ReadPage } from './read-page.ts';

/** What is asked of a document that pdf.js has opened. */
export interface PdfSource {
  readonly numPages: number;
  getPage(number: number): Promise<PdfSourcePage>;
  getOptionalContentConfig(): Promise<Iterable<readonly [string, { readonly name: string }]>>;
}
export interface PdfSourcePage {
  readonly view: readonly number[];
  readonly rotate: number;
  readonly userUnit: number;
  getOperatorList(): Promise<PdfOperators>;
  getTextContent(): Promise<{ readonly items: readonly object[] }>;
  cleanup(): unknown;
}

/** Pages of one file that are read at most. */
export const MOST_PDF_PAGES = 200;

/**
 * Reads pages of a document.
 * @param codes numbers of drawing orders by their name
 * @param onPage called after each page: false stops
 */
export async function readPdfPages(
  source: PdfSource,
  codes: Readonly<Record<string, number>>,
  onPage: (done: number, of: number) => boolean = () => true,
): Promise<readonly ReadPage[]> {
  const count = Math.min(source.numPages, MOST_PDF_PAGES);
  const layers = new Map([...(await source.getOptionalContentConfig())].map(([id, { name }]) => [id, String(name)]));
  const pages: ReadPage[] = [];
  for (let number = 1; number <= count; number++) {
    const page = await source.getPage(number);
    const [operators, { items }] = await Promise.all([page.getOperatorList(), page.getTextContent()]);
    const words = items.filter(
      (item): item is { str: string; transform: number[] } => 'str' in item && 'transform' in item,
    );
    const { view, rotate, userUnit } = page;
    pages.push(readPdfPage(operators, { view, rotate, userUnit, words, layers, codes }));
    page.cleanup();
    if (!onPage(number, count)) break;
  }
  const last = pages.at(-1),
    beyond = source.numPages - count;
  if (last && beyond > 0)
    pages[pages.length - 1] = {
      ...last,
      leftOut: [...last.leftOut, { what: `pages beyond ${MOST_PDF_PAGES}`, count: beyond }],
    };
  return pages;
}

/** Why a PDF could not be opened, in words. @param error what pdf.js threw */
export function pdfFault(error: unknown): string {
  const name = (error as { name?: string } | null)?.name;
  if (name === 'PasswordException') return 'It is locked with a password. Save it without one.';
  return 'It is damaged, or no PDF: its pages could not be found.';
}
