import { boundsHeight, boundsWidth, type Bounds, type Point } from '../geometry/index.ts';
import {
  boxInk,
  legendSample,
  legendWords,
  lineInk,
  stateWords,
  textInk,
  type DocumentTitle,
  type Ink,
} from '../ink/index.ts';
import { lengthText, MM_PER_INCH, sizeText, worded } from '../units/index.ts';
import { BAR_INCHES, BAR_MM, barAcross } from './page-bars.ts';
import { kindsOnPage } from './plan-pages.ts';
import { templatesOnPage } from './page-labels.ts';
import type { Page, PagePlan, Sheet } from './sheet.ts';
import { SIDE_WORDS } from './template.ts';

/** Bars across, title, legend, locator map and the page's name. */
export function pageFooter(plan: PagePlan, page: Page, sheet: Sheet, title: DocumentTitle): readonly Ink[] {
  const { frame } = sheet,
    box = frame.footer;
  const width = boundsWidth(box);
  const mapWidth = 22;
  const barLength = Math.min(BAR_MM, Math.floor((width - 45) / 10) * 10);
  const barInches = Math.min(BAR_INCHES, Math.floor((width - 45) / MM_PER_INCH));
  const legend = kindsOnPage(plan, page);
  const columns = Math.max(1, Math.floor((width - mapWidth - 4) / 42));
  const inks: Ink[] = [lineInk({ x: box.minX, y: box.maxY - 1 }, { x: box.maxX, y: box.maxY - 1 }, 0.3)];
  legend.forEach((kind, index) => {
    const at = { x: box.minX + (index % columns) * 42, y: box.maxY - 5 - Math.floor(index / columns) * 4 };
    inks.push(...legendSample(kind, at), textInk({ x: at.x + 12, y: at.y - 0.8 }, legendWords(kind), 2.1));
  });
  inks.push(...barAcross({ x: box.minX, y: box.minY + 6.2 }, barLength, 10, `${barLength} mm`));
  inks.push(
    ...barAcross({ x: box.minX, y: box.minY + 1 }, barInches * MM_PER_INCH, MM_PER_INCH / 2, `${barInches} in`),
  );
  const textX = box.minX + Math.max(barLength, barInches * MM_PER_INCH) + 13;
  const { widthMm, heightMm } = frame;
  if (width - (textX - box.minX) > mapWidth + 12) {
    inks.push(
      textInk({ x: textX, y: box.minY + 8 }, shortened(title.airframe, width - (textX - box.minX) - mapWidth, 3), 3, {
        weight: 'bold',
      }),
    );
    inks.push(
      textInk(
        { x: textX, y: box.minY + 4.6 },
        shortened(stateWords(title), width - (textX - box.minX) - mapWidth, 2.3),
        2.3,
        { weight: 'figure' },
      ),
    );
    inks.push(
      textInk(
        { x: textX, y: box.minY + 1.4 },
        `${title.date} · ${worded(sizeText(widthMm, heightMm, 0), title.unit)} · ${title.printer === undefined ? 'print at 100 %' : `100 %, corrected for ${title.printer}`}`,
        2.1,
        { weight: 'figure' },
      ),
    );
  }
  inks.push(
    textInk({ x: box.minX, y: box.minY + 11 }, contentsWords(plan, page, title, width - mapWidth - 4), 2.5, {
      weight: 'text',
    }),
    ...locator(sheet, page, { minX: box.maxX - mapWidth, minY: box.minY, maxX: box.maxX, maxY: box.minY + 13 }),
  );
  inks.push(
    textInk({ x: box.maxX, y: box.maxY - 8.6 }, page.name, NAME_MM, { weight: 'bold', align: 'right' }),
    ...upArrow({ x: box.maxX - page.name.length * NAME_MM * LETTER_SHARE - 4, y: box.maxY - 8.6 }),
  );
  return inks;
}

/** Size of a page's name, in mm. */
const NAME_MM = 6.5;

/** An arrow with its foot at a place, to the upper edge of the page as it is joined. */
function upArrow(foot: Point): readonly Ink[] {
  const tip = { x: foot.x, y: foot.y + 5 };
  return [
    lineInk(foot, tip, 0.3),
    lineInk(tip, { x: tip.x - 1.1, y: tip.y - 1.8 }, 0.3),
    lineInk(tip, { x: tip.x + 1.1, y: tip.y - 1.8 }, 0.3),
    textInk({ x: foot.x - 1.6, y: foot.y }, 'up', 2.1, { align: 'right' }),
  ];
}

/** Width of a letter of running text as a share of its size. */
const LETTER_SHARE = 0.5;
/** Words cut off where their room ends. */
function shortened(words: string, roomMm: number, sizeMm: number): string {
  const most = Math.floor(roomMm / (sizeMm * LETTER_SHARE));
  return words.length <= most ? words : `${words.slice(0, Math.max(1, most - 1))}…`;
}

/** What a page shows: the parts by name and hand, as many as there is room for, and the boards they are cut from. */
function contentsWords(plan: PagePlan, page: Page, { unit }: DocumentTitle, roomMm: number): string {
  const templates = templatesOnPage(plan, page).map(({ template }) => template),
    parts = templates.map(({ part }) => part);
  // What is no part to be cut says itself what it is.
  const own = templates.find(({ words: told }) => told !== undefined)?.words;
  if (own) return worded(own.join(' · '), unit);
  const boards = [...new Set(parts.map(({ thicknessMm, material }) => `${lengthText(thicknessMm)} ${material}`))];
  const names = [...new Set(parts.map(({ name, side }) => `${name}${SIDE_WORDS[side]}`))];
  const most = Math.floor(roomMm / (2.5 * LETTER_SHARE));
  const words = (shown: number): string =>
    worded(
      `Face of ${names.slice(0, shown).join(', ')}${shown < names.length ? ` and ${names.length - shown} more` : ''} · ${boards.join(', ')}`,
      unit,
    );
  let shown = names.length;
  while (shown > 1 && words(shown).length > most) shown -= 1;
  return words(shown);
}

/** The sheet's pages as small boxes, this one filled. */
function locator(sheet: Sheet, page: Page, box: Bounds): readonly Ink[] {
  const side = Math.min(boundsWidth(box) / sheet.columns, boundsHeight(box) / (sheet.rows * 1.3));
  return sheet.cells.map(([column, row]) =>
    boxInk(
      {
        minX: box.maxX - (sheet.columns - column) * side,
        maxX: box.maxX - (sheet.columns - column - 1) * side - 0.4,
        minY: box.minY + row * side * 1.3,
        maxY: box.minY + (row + 1) * side * 1.3 - 0.4,
      },
      0.2,
      column === page.column && row === page.row ? 'ink' : undefined,
    ),
  );
}
