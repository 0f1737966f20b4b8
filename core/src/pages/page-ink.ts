import {
  applyTransform,
  boundsCentre,
  boundsHeight,
  boundsWidth,
  compose,
  rotation,
  translation,
  type Bounds,
  type Point,
  type Transform,
} from '../geometry/index.ts';
import {
  type DocumentTitle,
  stateWords,
  boxInk,
  inksOfMark,
  lineInk,
  textInk,
  type Ink,
  legendSample,
  legendWords,
} from '../ink/index.ts';
import { lineMarks, placeCaptions, type TurnedBox } from '../linecode/index.ts';
import type { TextMark } from '../marks/index.ts';
import { degrees, MM_PER_INCH, radians, type LengthUnit, worded, sizeText } from '../units/index.ts';
import { foldNumberPlaces, foldNumbers, RING_MM } from './fold-numbers.ts';
import { kindsOnPage } from './plan-pages.ts';
import type { Page, PagePlan, PlacedTemplate, Sheet } from './sheet.ts';
import { templateLabel, type Template } from './template.ts';

const BAR_MM = 100;
const BAR_INCHES = 4;

/** Everything on one page, in mm from the paper's lower left corner. */
export function pageInk(plan: PagePlan, page: Page, title: DocumentTitle): readonly Ink[] {
  const { frame } = plan;
  const sheet = plan.sheets.find((one) => one.number === page.sheet)!;
  const toPaper = translation(frame.window.minX - page.view.minX, frame.window.minY - page.view.minY);
  const drawing = sheet.placed.flatMap((placed) => templateInkOnPage(placed, toPaper, title.unit));
  return [
    { kind: 'clip', box: frame.window, inks: drawing.map((ink) => wordedInk(ink, title.unit)) },
    ...seams(plan, page, toPaper, sheet.origin),
    ...footer(plan, page, sheet, title),
    ...barsUp(frame.gutter),
  ];
}

/** Captions and labels are made for every unit; paper is in the builder's. */
const wordedInk = (ink: Ink, unit: LengthUnit): Ink =>
  ink.kind === 'text' ? { ...ink, text: worded(ink.text, unit) } : ink;

function templateInkOnPage(
  { template, transform }: PlacedTemplate,
  toPaper: Transform,
  unit: LengthUnit,
): readonly Ink[] {
  const t = compose(transform, toPaper);
  const label = templateLabel(template);
  const at = applyTransform(t, label.at);
  const grain = template.part.grain;
  const arrow =
    grain.rule === 'any'
      ? []
      : grainArrow(
          applyTransform(t, { x: label.at.x, y: label.at.y }),
          turnOf(t, grain.directionDegrees),
          label.sizeMm,
        );
  return [
    ...lineMarks(template.part).flatMap((mark) => inksOfMark(mark, t)),
    ...captionsClear(template, t, unit).flatMap((mark) => inksOfMark(mark, t)),
    ...foldNumbers(template, t),
    textInk({ x: at.x, y: at.y + label.sizeMm * 0.35 }, label.lines[0]!, label.sizeMm, {
      weight: 'bold',
      align: 'centre',
    }),
    textInk({ x: at.x, y: at.y - label.sizeMm * 0.85 }, label.lines[1]!, label.sizeMm * 0.8, {
      weight: 'figure',
      align: 'centre',
    }),
    ...arrow,
  ];
}

/** Size of captions on paper in mm, and white round the name of a part. */
const CAPTION = { letterMm: 3, heightMm: 3.6, paddingMm: 2 };
const ROUND_LABEL_MM = 1;

/** The captions of a template, clear of its name, of the numbers of its folds, of each other and of its lines. */
function captionsClear(template: Template, t: Transform, unit: LengthUnit): readonly TextMark[] {
  const { box } = templateLabel(template);
  // The name stands upright on the paper, however the template lies.
  const label: TurnedBox = {
    at: boundsCentre(box),
    angleDegrees: -degrees(Math.atan2(t.b, t.a)),
    widthMm: boundsWidth(box) + 2 * ROUND_LABEL_MM,
    heightMm: boundsHeight(box) + 2 * ROUND_LABEL_MM,
  };
  const numbers = foldNumberPlaces(template).map(({ at }): TurnedBox => ({
    at,
    angleDegrees: 0,
    widthMm: 2 * RING_MM,
    heightMm: 2 * RING_MM,
  }));
  return placeCaptions(template.part, unit, CAPTION, [label, ...numbers]).map(({ mark, at }) => ({ ...mark, at }));
}

const turnOf = (t: Transform, angleDegrees: number): Point => {
  const from = applyTransform(t, { x: 0, y: 0 }),
    to = applyTransform(t, { x: Math.cos(radians(angleDegrees)), y: Math.sin(radians(angleDegrees)) });
  return { x: to.x - from.x, y: to.y - from.y };
};

/** Double-headed arrow along the grain, under the label whichever way it points. */
function grainArrow(middle: Point, along: Point, sizeMm: number): readonly Ink[] {
  const half = sizeMm * 3,
    centre = { x: middle.x, y: middle.y - sizeMm * 2 - half * Math.abs(along.y) };
  const tip = (sign: number): Point => ({ x: centre.x + sign * half * along.x, y: centre.y + sign * half * along.y });
  const barb = (sign: number, side: number): Ink => {
    const end = tip(sign),
      back = -sign * sizeMm * 0.8;
    return lineInk(
      end,
      {
        x: end.x + back * along.x - side * sizeMm * 0.35 * along.y,
        y: end.y + back * along.y + side * sizeMm * 0.35 * along.x,
      },
      0.15,
    );
  };
  return [lineInk(tip(-1), tip(1), 0.15), barb(1, 1), barb(1, -1), barb(-1, 1), barb(-1, -1)];
}

/** Join lines, registration crosses with their sheet coordinates, and the names of the pages beyond each shared edge. */
function seams(plan: PagePlan, page: Page, toPaper: Transform, origin: Point): readonly Ink[] {
  const half = plan.settings.overlapMm / 2;
  const cell: Bounds = {
    minX: page.view.minX + half,
    minY: page.view.minY + half,
    maxX: page.view.maxX - half,
    maxY: page.view.maxY - half,
  };
  const place = (x: number, y: number): Point => applyTransform(toPaper, { x, y });
  const middle = boundsCentre(cell);
  const { left, right, above, below } = page.neighbours;
  const inks: Ink[] = [];
  const crosses = new Map<string, Point>();
  const cross = (x: number, y: number): void => void crosses.set(`${x.toFixed(3)}/${y.toFixed(3)}`, { x, y });
  const join = (from: Point, to: Point, name: string, at: Point, angle: number): void => {
    inks.push(lineInk(place(from.x, from.y), place(to.x, to.y), 0.1, [0.8, 1.6]));
    inks.push(
      textInk(place(at.x, at.y), `joins ${name}`, 2.6, {
        align: 'centre',
        angleDegrees: angle,
        weight: 'bold',
        knockedOut: true,
      }),
    );
    for (const t of [0, 1 / 3, 2 / 3, 1]) cross(from.x + (to.x - from.x) * t, from.y + (to.y - from.y) * t);
  };
  if (left)
    join({ x: cell.minX, y: cell.minY }, { x: cell.minX, y: cell.maxY }, left, { x: cell.minX + 1.5, y: middle.y }, 90);
  if (right)
    join(
      { x: cell.maxX, y: cell.minY },
      { x: cell.maxX, y: cell.maxY },
      right,
      { x: cell.maxX - 0.5, y: middle.y },
      90,
    );
  if (below)
    join({ x: cell.minX, y: cell.minY }, { x: cell.maxX, y: cell.minY }, below, { x: middle.x, y: cell.minY + 0.5 }, 0);
  if (above)
    join({ x: cell.minX, y: cell.maxY }, { x: cell.maxX, y: cell.maxY }, above, { x: middle.x, y: cell.maxY - 2.5 }, 0);
  for (const { x, y } of crosses.values())
    inks.push(
      ...registrationCross(
        place(x, y),
        `${(x - origin.x).toFixed(1)}, ${(y - origin.y).toFixed(1)}`,
        plan.frame.window,
      ),
    );
  return inks.length > 0 ? [{ kind: 'clip', box: plan.frame.window, inks }] : [];
}

function registrationCross(at: Point, coordinates: string, window: Bounds): readonly Ink[] {
  const arm = 2.5;
  const isRight = window.maxX - at.x < 14,
    isTop = window.maxY - at.y < 4;
  return [
    lineInk({ x: at.x - arm, y: at.y }, { x: at.x + arm, y: at.y }, 0.15),
    lineInk({ x: at.x, y: at.y - arm }, { x: at.x, y: at.y + arm }, 0.15),
    textInk({ x: at.x + (isRight ? -0.6 : 0.6), y: at.y + (isTop ? -1.9 : 0.6) }, coordinates, 1.7, {
      weight: 'figure',
      align: isRight ? 'right' : 'left',
    }),
  ];
}

/** Bars across, title, legend, locator map and the page's name. */
function footer(plan: PagePlan, page: Page, sheet: Sheet, title: DocumentTitle): readonly Ink[] {
  const box = plan.frame.footer;
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
  const { widthMm, heightMm } = plan.frame;
  if (width - (textX - box.minX) > mapWidth + 12) {
    inks.push(textInk({ x: textX, y: box.minY + 8 }, title.airframe, 3, { weight: 'bold' }));
    inks.push(textInk({ x: textX, y: box.minY + 4.6 }, stateWords(title), 2.3, { weight: 'figure' }));
    inks.push(
      textInk(
        { x: textX, y: box.minY + 1.4 },
        `${title.date} · ${worded(sizeText(widthMm, heightMm, 0), title.unit)} · print at 100 %`,
        2.1,
        { weight: 'figure' },
      ),
    );
  }
  inks.push(
    ...locator(sheet, page, { minX: box.maxX - mapWidth, minY: box.minY, maxX: box.maxX, maxY: box.minY + 13 }),
  );
  inks.push(textInk({ x: box.maxX, y: box.maxY - 8.6 }, page.name, 6.5, { weight: 'bold', align: 'right' }));
  return inks;
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

/** A measuring bar with end strokes and divisions; the figure stands beside it. */
function barAcross(at: Point, lengthMm: number, divisionMm: number, figure: string): readonly Ink[] {
  if (lengthMm <= 0) return [];
  const ticks = Array.from({ length: Math.round(lengthMm / divisionMm) + 1 }, (_, index) => at.x + index * divisionMm);
  return [
    lineInk({ x: at.x, y: at.y }, { x: at.x + lengthMm, y: at.y }, 0.25),
    ...ticks.map((x, index) =>
      lineInk({ x, y: at.y }, { x, y: at.y + (index === 0 || index === ticks.length - 1 ? 3 : 1.4) }, 0.2),
    ),
    textInk({ x: at.x + lengthMm + 1.5, y: at.y + 0.4 }, figure, 2.8, { weight: 'bold' }),
  ];
}

/** The same bars up the page, so that both directions of the printer can be measured. */
function barsUp(gutter: Bounds): readonly Ink[] {
  const room = boundsHeight(gutter) - 14;
  const first = Math.min(BAR_MM, Math.floor(room / 20) * 10);
  const second = Math.min(BAR_INCHES, Math.floor((room - first - 12) / MM_PER_INCH));
  const turn = (base: Point): Transform => compose(rotation(90), translation(base.x, base.y));
  const upright = (inks: readonly Ink[], t: Transform): readonly Ink[] => inks.map((ink) => turnInk(ink, t));
  const x = gutter.minX + 5;
  return [
    ...upright(barAcross({ x: 0, y: 0 }, first, 10, `${first} mm`), turn({ x, y: gutter.minY + 2 })),
    ...(second > 0
      ? upright(
          barAcross({ x: 0, y: 0 }, second * MM_PER_INCH, MM_PER_INCH / 2, `${second} in`),
          turn({ x, y: gutter.minY + first + 16 }),
        )
      : []),
  ];
}

function turnInk(ink: Ink, t: Transform): Ink {
  if (ink.kind === 'text') return { ...ink, at: applyTransform(t, ink.at), angleDegrees: ink.angleDegrees + 90 };
  if (ink.kind !== 'path') return ink;
  return {
    ...ink,
    path: ink.path.map((curve) => ({
      kind: 'line',
      from: applyTransform(t, curve.from),
      to: applyTransform(t, curve.to),
    })),
  };
}
