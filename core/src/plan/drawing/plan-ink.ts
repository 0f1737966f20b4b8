import { scaling, transformPath, translation, compose, type Point, type Transform } from '../../geometry/index.ts';
import { lineInk, textInk, type DocumentTitle, type Ink } from '../../ink/index.ts';
import { curvesOf } from '../../paths/index.ts';
import { formatRounded, type LengthUnit } from '../../units/index.ts';
import type { PlanFigures } from '../figures/plan-figures.ts';
import { placedThings } from '../guides.ts';
import type { Plan } from '../plan.ts';
import { PLAN_VIEWS, type PlanView } from '../plan-view.ts';
import { TYPE_TRAITS } from '../proposals/plan-types.ts';
import { surfaceMeasures } from '../things/surface-measures.ts';
import { thingShapes } from '../things/thing-shapes.ts';
import { isSurface, type SurfaceThing } from '../things/thing.ts';
import { layoutBounds, layOutViews, viewBounds, VIEW_WORDS } from '../views.ts';

/** How much smaller a drawing may be: the first that fits is taken. */
const SCALES = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50];
const MARGIN_MM = 12,
  TITLE_MM = 16,
  TABLE_MM = 62,
  /** Room for dimensions round the views. */
  ROUND_MM = 14;
const PEN = { heavy: 0.45, thin: 0.18 } as const;

/** A plan on one page: its three views to scale, with dimensions, the balance range and its figures. */
export function planInk(
  plan: Plan,
  { figures, balance }: PlanFigures,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  title: DocumentTitle,
): readonly Ink[] {
  const layout = layOutViews(plan),
    box = layoutBounds(plan, layout);
  const room = {
    width: widthMm - 2 * MARGIN_MM - TABLE_MM - 2 * ROUND_MM,
    height: heightMm - 2 * MARGIN_MM - TITLE_MM - 2 * ROUND_MM,
  };
  const fits = (one: number): boolean =>
    (box.maxX - box.minX) / one <= room.width && (box.maxY - box.minY) / one <= room.height;
  const scale =
    SCALES.find(fits) ?? Math.ceil(Math.max((box.maxX - box.minX) / room.width, (box.maxY - box.minY) / room.height));
  const origin = {
    x: MARGIN_MM + ROUND_MM - box.minX / scale,
    y: MARGIN_MM + ROUND_MM + (room.height - (box.maxY - box.minY) / scale) / 2 - box.minY / scale,
  };
  const toPaper = (view: PlanView): Transform =>
    compose(scaling(1 / scale), translation(origin.x + layout[view].x / scale, origin.y + layout[view].y / scale));
  return [
    ...PLAN_VIEWS.flatMap((view) => viewInk(plan, view, toPaper(view))),
    ...(balance
      ? (['side', 'top'] as const).flatMap((view) =>
          bandInk(plan, view, toPaper(view), balance.band.foreMm, balance.band.aftMm),
        )
      : []),
    ...dimensionInk(plan, toPaper, title.unit),
    ...titleInk(plan, title, scale, widthMm, heightMm),
    ...tableInk(figures, widthMm, heightMm),
  ];
}

const at = ({ a, b, c, d, e, f }: Transform, { x, y }: Point): Point => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
});

function viewInk(plan: Plan, view: PlanView, t: Transform): readonly Ink[] {
  const shapes = placedThings(plan).flatMap((thing) =>
    thingShapes(thing, view).map(({ path, isClosed, role }): Ink => ({
      kind: 'path',
      path: transformPath(t, path),
      closed: isClosed,
      widthMm: role === 'edge' ? PEN.heavy : PEN.thin,
      ...(thing.kind === 'propeller' ? { dashMm: [3, 1.5] } : {}),
      tone: 'ink',
    })),
  );
  const drawn = plan.lines
    .filter((line) => line.view === view)
    .map((line): Ink => ({
      kind: 'path',
      path: transformPath(t, curvesOf(line)),
      closed: line.closed,
      widthMm: PEN.thin,
      tone: 'grey',
    }));
  const { minX, maxY } = viewBounds(plan, view),
    name = at(t, { x: minX, y: maxY });
  return [...shapes, ...drawn, textInk({ x: name.x, y: name.y + 3 }, VIEW_WORDS[view], 3.4, { weight: 'bold' })];
}

function bandInk(plan: Plan, view: PlanView, t: Transform, foreMm: number, aftMm: number): readonly Ink[] {
  const { minY, maxY } = viewBounds(plan, view);
  return [foreMm, aftMm].map((x) => lineInk(at(t, { x, y: minY - 8 }), at(t, { x, y: maxY + 8 }), 0.25, [2, 1]));
}

/** A dimension between two places, its figure over the line. */
function between(from: Point, to: Point, text: string): readonly Ink[] {
  const isUpright = Math.abs(from.x - to.x) < Math.abs(from.y - to.y),
    tick = isUpright ? { x: 1.4, y: 0 } : { x: 0, y: 1.4 };
  const ends = [from, to].map((p) =>
    lineInk({ x: p.x - tick.x, y: p.y - tick.y }, { x: p.x + tick.x, y: p.y + tick.y }, PEN.thin),
  );
  const middle = { x: (from.x + to.x) / 2 - (isUpright ? 1.2 : 0), y: (from.y + to.y) / 2 + (isUpright ? 0 : 1.2) };
  return [
    lineInk(from, to, PEN.thin),
    ...ends,
    textInk(middle, text, 2.8, {
      weight: 'figure',
      align: 'centre',
      angleDegrees: isUpright ? 90 : 0,
      knockedOut: !isUpright,
    }),
  ];
}

function dimensionInk(plan: Plan, toPaper: (view: PlanView) => Transform, unit: LengthUnit): readonly Ink[] {
  const things = placedThings(plan),
    length = (mm: number): string => `${formatRounded(mm, unit)} ${unit}`;
  const [side, top] = [toPaper('side'), toPaper('top')],
    sideBox = viewBounds(plan, 'side'),
    topBox = viewBounds(plan, 'top');
  const surfaces = things.filter((thing): thing is SurfaceThing => isSurface(thing));
  const wing = surfaces.find(({ kind }) => kind === 'wing'),
    tail = surfaces.find(({ kind }) => kind === 'tail');
  const inks: Ink[] = [];
  if (sideBox.maxX - sideBox.minX > 0) {
    const y = at(side, { x: 0, y: sideBox.minY }).y - 5;
    inks.push(
      ...between(
        { x: at(side, { x: sideBox.minX, y: 0 }).x, y },
        { x: at(side, { x: sideBox.maxX, y: 0 }).x, y },
        length(sideBox.maxX - sideBox.minX),
      ),
    );
  }
  if (wing) {
    const x = at(top, { x: topBox.minX, y: 0 }).x - 5,
      tip = topBox.maxY;
    inks.push(
      ...between({ x, y: at(top, { x: 0, y: -tip }).y }, { x, y: at(top, { x: 0, y: tip }).y }, length(2 * tip)),
    );
    const { rootChordMm } = surfaceMeasures(wing),
      y = at(top, { x: 0, y: tip }).y + 4;
    inks.push(
      ...between(
        { x: at(top, { x: wing.at.x, y: 0 }).x, y },
        { x: at(top, { x: wing.at.x + rootChordMm, y: 0 }).x, y },
        length(rootChordMm),
      ),
    );
  }
  if (tail) {
    const { spanMm } = surfaceMeasures(tail),
      x = at(top, { x: topBox.maxX, y: 0 }).x + 5;
    inks.push(
      ...between(
        { x, y: at(top, { x: 0, y: -spanMm / 2 }).y },
        { x, y: at(top, { x: 0, y: spanMm / 2 }).y },
        length(spanMm),
      ),
    );
  }
  return inks;
}

function titleInk(plan: Plan, title: DocumentTitle, scale: number, widthMm: number, heightMm: number): readonly Ink[] {
  const y = heightMm - MARGIN_MM;
  return [
    textInk({ x: MARGIN_MM, y: y - 5 }, title.airframe, 6, { weight: 'bold' }),
    textInk(
      { x: MARGIN_MM, y: y - 11 },
      `${TYPE_TRAITS[plan.type].word} · 1 : ${scale} · version ${title.version} · ${title.date}`,
      3.2,
      { weight: 'figure' },
    ),
    lineInk({ x: MARGIN_MM, y: y - 13 }, { x: widthMm - MARGIN_MM, y: y - 13 }, PEN.heavy),
    textInk(
      { x: MARGIN_MM, y: MARGIN_MM - 4 },
      'The balance range is advice to begin with: check it by hand, and with someone who knows, before the first flight.',
      2.6,
    ),
  ];
}

function tableInk(figures: PlanFigures['figures'], widthMm: number, heightMm: number): readonly Ink[] {
  const right = widthMm - MARGIN_MM,
    left = right - TABLE_MM + 4;
  return figures.flatMap(({ key, word, text, usualText, source }, index) => {
    const y = heightMm - MARGIN_MM - TITLE_MM - 4 - index * 7.6;
    const about = key === 'balance' ? source : usualText === undefined ? '' : `usual ${usualText}`;
    return [
      textInk({ x: left, y }, word, 2.9),
      textInk({ x: right, y }, text, 3.4, { weight: 'bold', align: 'right' }),
      ...(about ? [textInk({ x: right, y: y - 2.9 }, about.slice(0, 60), 2.2, { align: 'right', tone: 'grey' })] : []),
      lineInk({ x: left, y: y - 3.8 }, { x: right, y: y - 3.8 }, 0.1),
    ];
  });
}
