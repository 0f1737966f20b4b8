import { applyTransform, translation, type Point, type Transform } from '../geometry/index.ts';
import { lineInk, textInk, type DocumentTitle, type Ink } from '../ink/index.ts';
import { radians } from '../units/index.ts';
import { inLayers, LAYERS } from './layers.ts';
import { barsUp } from './page-bars.ts';
import { pageFooter } from './page-footer.ts';
import { sheetLabels, type PageLabel } from './page-labels.ts';
import { pageSeams } from './page-seams.ts';
import { inkInView, wordedInk } from './sheet-ink.ts';
import { sheetOf, type Page, type PagePlan } from './sheet.ts';

/** Everything on one page, in mm from the paper's lower left corner. */
export function pageInk(plan: PagePlan, page: Page, title: DocumentTitle): readonly Ink[] {
  const sheet = sheetOf(plan, page),
    { frame } = sheet;
  const toPaper = translation(frame.window.minX - page.view.minX, frame.window.minY - page.view.minY);
  const names = sheetLabels(plan, page.sheet)
    .filter((label) => label.page === page.name)
    .flatMap((label) => labelInk(label, toPaper))
    .map((ink) => wordedInk(ink, title.unit));
  return [
    {
      kind: 'clip',
      box: frame.window,
      inks: [...inkInView(plan, page, toPaper, title.unit), ...inLayers([LAYERS.names], names)],
    },
    ...pageSeams(plan, page, toPaper, sheet.origin, title.unit),
    ...inLayers([LAYERS.frame], [...pageFooter(plan, page, sheet, title), ...barsUp(frame.gutter)]),
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
