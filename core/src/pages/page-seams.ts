import {
  applyTransform,
  boundsCentre,
  boundsCorners,
  growBounds,
  type Bounds,
  type Point,
  type Transform,
} from '../geometry/index.ts';
import { lineInk, moveInk, textInk, type Ink } from '../ink/index.ts';
import { decimalLength, type LengthUnit } from '../units/index.ts';
import { inLayers, LAYERS } from './layers.ts';
import { tapeInk } from './tape-spots.ts';
import { frameOfPage, type Page, type PagePlan } from './sheet.ts';

/** Letters that are read at arm's length: 8 points, and a little over. */
const READABLE_MM = 2.9;
/** Half the length of a registration cross's arms, in mm. */
const ARM_MM = 2.5;
/** White that names and captions keep to either side of a join line, in mm. */
export const SEAM_BAND_MM = 9;

interface Seam {
  readonly from: Point;
  readonly to: Point;
  /** Middle of its words, and the way they are read. */
  readonly at: Point;
  readonly angleDegrees: number;
  readonly words: string;
}

/**
 * Join lines with what to do at them, registration crosses with their sheet coordinates. Of two neighbours the left or upper page is cut
 * along the line and lies on top: so four pages meet in one way only.
 * @param origin lower left corner of the sheet's lattice; coordinates count from it
 */
export function pageSeams(
  plan: PagePlan,
  page: Page,
  toPaper: Transform,
  origin: Point,
  unit: LengthUnit,
): readonly Ink[] {
  const seams = seamsOf(page, plan.settings.overlapMm / 2);
  const { window } = frameOfPage(plan, page);
  const place = (p: Point): Point => applyTransform(toPaper, p);
  const crosses = new Map<string, Point>();
  for (const { from, to } of seams)
    for (const t of [0, 1 / 3, 2 / 3, 1]) {
      const at = { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t };
      crosses.set(`${at.x.toFixed(3)}/${at.y.toFixed(3)}`, at);
    }
  // The outer corners too: joined, the sheet is proved from corner to corner.
  if (seams.length > 0)
    for (const at of boundsCorners(growBounds(page.view, -plan.settings.overlapMm / 2)))
      crosses.set(`${at.x.toFixed(3)}/${at.y.toFixed(3)}`, at);
  const inks = [
    ...tapeInk(plan, page).map((ink) => moveInk(ink, toPaper)),
    ...seams.flatMap(({ from, to, at, angleDegrees, words }) => [
      lineInk(place(from), place(to), 0.1, [0.8, 1.6]),
      textInk(place(at), words, READABLE_MM, { align: 'centre', angleDegrees, weight: 'bold', knockedOut: true }),
    ]),
    ...[...crosses.values()].flatMap((at) =>
      registrationCross(
        place(at),
        `${coordinate(at.x - origin.x, unit)}, ${coordinate(at.y - origin.y, unit)}`,
        window,
      ),
    ),
  ];
  return inks.length > 0 ? [{ kind: 'clip', box: window, inks: inLayers([LAYERS.joins], joinTone(inks)) }] : [];
}

/** Ink in the tone of joining sheets. */
const joinTone = (inks: readonly Ink[]): readonly Ink[] =>
  inks.map((ink) => (ink.kind === 'clip' ? ink : { ...ink, tone: 'join' }));

/** The band on both sides of every join line of a sheet that its words and figures take, in mm of the sheet. */
export const seamBands = (pages: readonly Page[], overlapMm: number): readonly Bounds[] =>
  pages.flatMap(({ view, neighbours: { right, below } }) => {
    const cell = growBounds(view, -overlapMm / 2);
    return [
      ...(right ? [growBounds({ ...cell, minX: cell.maxX }, SEAM_BAND_MM)] : []),
      ...(below ? [growBounds({ ...cell, maxY: cell.minY }, SEAM_BAND_MM)] : []),
    ];
  });

/** The edges of a page that have a neighbour, as join lines. @param half half the overlap: the line runs in the middle of it */
function seamsOf({ view, neighbours }: Page, half: number): readonly Seam[] {
  const cell = growBounds(view, -half);
  const middle = boundsCentre(cell);
  const { left, right, above, below } = neighbours;
  const upright = (x: number, side: 1 | -1, words: string): Seam => ({
    from: { x, y: cell.minY },
    to: { x, y: cell.maxY },
    at: { x: x + side * INSIDE_MM, y: middle.y },
    angleDegrees: 90,
    words,
  });
  const level = (y: number, side: 1 | -1, words: string): Seam => ({
    from: { x: cell.minX, y },
    to: { x: cell.maxX, y },
    at: { x: middle.x, y: y + side * INSIDE_LEVEL_MM },
    angleDegrees: 0,
    words,
  });
  return [
    ...(left ? [upright(cell.minX, 1, under(left))] : []),
    ...(right ? [upright(cell.maxX, -1, over(right))] : []),
    ...(above ? [level(cell.maxY, -1, under(above))] : []),
    ...(below ? [level(cell.minY, 1, over(below))] : []),
  ];
}
/** How far inside the join line its words stand, in mm: beside the coordinates of a level one, above them. */
const INSIDE_MM = 2.4,
  INSIDE_LEVEL_MM = 6.4;
const over = (name: string): string => `cut here, lay ${name} under`;
const under = (name: string): string => `lay this under ${name}`;

const coordinate = (mm: number, unit: LengthUnit): string => decimalLength(mm, unit, unit === 'mm' ? 1 : 2);

function registrationCross(at: Point, coordinates: string, window: Bounds): readonly Ink[] {
  const isRight = at.x > (window.minX + window.maxX) / 2,
    isTop = window.maxY - at.y < ARM_MM + READABLE_MM;
  return [
    lineInk({ x: at.x - ARM_MM, y: at.y }, { x: at.x + ARM_MM, y: at.y }, 0.15),
    lineInk({ x: at.x, y: at.y - ARM_MM }, { x: at.x, y: at.y + ARM_MM }, 0.15),
    textInk(
      { x: at.x + (isRight ? -1 : 1), y: at.y + (isTop ? -READABLE_MM / 2 - 1 : READABLE_MM / 2 + 0.8) },
      coordinates,
      READABLE_MM,
      { weight: 'figure', align: isRight ? 'right' : 'left', knockedOut: true },
    ),
  ];
}
