import {
  applyTransform,
  boundsCentre,
  boundsHeight,
  boundsWidth,
  compose,
  growBounds,
  inverse,
  translation,
  type Bounds,
  type Point,
  type Transform,
} from '../geometry/index.ts';
import { inksOfMark, lineInk, textInk, type DocumentTitle, type Ink } from '../ink/index.ts';
import { lineMarks, placeCaptions, type TurnedBox } from '../linecode/index.ts';
import type { TextMark } from '../marks/index.ts';
import { degrees, memo, radians, worded, type LengthUnit } from '../units/index.ts';
import { foldNumberPlaces, foldNumbers, RING_MM } from './fold-numbers.ts';
import { barsUp } from './page-bars.ts';
import { pageFooter } from './page-footer.ts';
import { sheetLabels, type PageLabel } from './page-labels.ts';
import { pageSeams, seamBands } from './page-seams.ts';
import type { Page, PagePlan, PlacedTemplate } from './sheet.ts';
import type { Template } from './template.ts';

/** Everything on one page, in mm from the paper's lower left corner. */
export function pageInk(plan: PagePlan, page: Page, title: DocumentTitle): readonly Ink[] {
  const { frame } = plan;
  const sheet = plan.sheets.find((one) => one.number === page.sheet)!;
  const toPaper = translation(frame.window.minX - page.view.minX, frame.window.minY - page.view.minY);
  const labels = sheetLabels(plan, page.sheet),
    captions = sheetCaptions(plan, page.sheet, title.unit);
  const drawing = sheet.placed.flatMap((placed) =>
    templateInkOnPage(
      placed,
      labels.filter(({ template }) => template === placed),
      captions.get(placed) ?? [],
      page,
      toPaper,
    ),
  );
  return [
    { kind: 'clip', box: frame.window, inks: drawing.map((ink) => wordedInk(ink, title.unit)) },
    ...pageSeams(plan, page, toPaper, sheet.origin, title.unit),
    ...pageFooter(plan, page, sheet, title),
    ...barsUp(frame.gutter),
  ];
}

/** Captions and labels are made for every unit; paper is in the builder's. */
const wordedInk = (ink: Ink, unit: LengthUnit): Ink =>
  ink.kind === 'text' ? { ...ink, text: worded(ink.text, unit) } : ink;

function templateInkOnPage(
  { template, transform }: PlacedTemplate,
  labels: readonly PageLabel[],
  captions: readonly TextMark[],
  page: Page,
  toPaper: Transform,
): readonly Ink[] {
  const t = compose(transform, toPaper);
  return [
    ...lineMarks(template.part).flatMap((mark) => inksOfMark(mark, t)),
    ...captions.flatMap((mark) => inksOfMark(mark, t)),
    ...foldNumbers(template, t),
    ...labels.filter((label) => label.page === page.name).flatMap((label) => labelInk(label, toPaper)),
  ];
}

/** A label with the arrow of the grain under it, upright on the paper. */
function labelInk(
  { at, lines, sizeMm, template: { template, transform } }: PageLabel,
  toPaper: Transform,
): readonly Ink[] {
  const { grain } = template.part;
  const middle = applyTransform(toPaper, at);
  return [
    textInk({ x: middle.x, y: middle.y + sizeMm * 0.35 }, lines[0]!, sizeMm, { weight: 'bold', align: 'centre' }),
    textInk({ x: middle.x, y: middle.y - sizeMm * 0.85 }, lines[1]!, sizeMm * 0.8, {
      weight: 'figure',
      align: 'centre',
    }),
    ...(grain.rule === 'any' ? [] : grainArrow(middle, turnOf(transform, grain.directionDegrees), sizeMm)),
  ];
}

/** Size of captions on paper in mm, and white round the name of a part. */
const CAPTION = { letterMm: 3, heightMm: 3.6, paddingMm: 2 };
const ROUND_LABEL_MM = 1;

/** The captions of every template of a sheet: they are the same on each of its pages. */
const sheetCaptions = memo(
  (plan: PagePlan, sheetNumber: number, unit: LengthUnit): ReadonlyMap<PlacedTemplate, readonly TextMark[]> => {
    const sheet = plan.sheets.find(({ number }) => number === sheetNumber),
      labels = sheetLabels(plan, sheetNumber);
    const bands = seamBands(
      plan.pages.filter((one) => one.sheet === sheetNumber),
      plan.settings.overlapMm,
    );
    return new Map(
      (sheet?.placed ?? []).map((placed) => {
        const names = labels
          .filter(({ template }) => template === placed)
          .map(({ box }) => growBounds(box, ROUND_LABEL_MM));
        return [placed, captionsClear(placed.template, placed.transform, [...names, ...bands], unit)] as const;
      }),
    );
  },
  (sheetNumber, unit) => `${sheetNumber} ${unit}`,
);

/**
 * The captions of a template, clear of its names and of the seams, of the numbers of its folds, of each other and of its lines.
 * @param taken what is written on the sheet, which stands upright there however the template lies
 */
function captionsClear(
  template: Template,
  transform: Transform,
  taken: readonly Bounds[],
  unit: LengthUnit,
): readonly TextMark[] {
  const fromSheet = inverse(transform);
  const written = taken.map((box): TurnedBox => ({
    at: applyTransform(fromSheet, boundsCentre(box)),
    angleDegrees: -degrees(Math.atan2(transform.b, transform.a)),
    widthMm: boundsWidth(box),
    heightMm: boundsHeight(box),
  }));
  const numbers = foldNumberPlaces(template).map(({ at }): TurnedBox => ({
    at,
    angleDegrees: 0,
    widthMm: 2 * RING_MM,
    heightMm: 2 * RING_MM,
  }));
  return placeCaptions(template.part, unit, CAPTION, [...written, ...numbers]).map(({ mark, at }) => ({ ...mark, at }));
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
