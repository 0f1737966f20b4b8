import { applyTransform, boundsOf, growBounds, type Bounds, type Point, type Polygon } from '../geometry/index.ts';
import { boxInk, type Ink } from '../ink/index.ts';
import { memo } from '../units/index.ts';
import { sheetOf, type Page, type PagePlan } from './sheet.ts';
import { outlineRing } from './template.ts';

/** A piece of tape over a join: so long across it and so wide along it, in mm. */
const TAPE_LONG_MM = 24,
  TAPE_WIDE_MM = 12;
/** Crossings nearer than this are under one piece of tape, in mm. */
const ONE_TAPE_MM = 15;
/** Tape keeps off the corner where joins meet, in mm. */
const OFF_CORNER_MM = 8;

/** Where a piece of tape holds an outline that runs over a join, in mm of the sheet. */
export interface TapeSpot {
  readonly at: Point;
  /** Whether the join runs up the sheet. */
  readonly isUpright: boolean;
}

/** An end of a join: where others meet it, or the edge of what is printed. */
interface End {
  readonly at: number;
  readonly isCorner: boolean;
}
const offCorner = ({ isCorner }: End): number => (isCorner ? OFF_CORNER_MM : 0);

/** Where a closed line crosses a level or upright one, as places along it. */
function crossings(ring: Polygon, at: number, isUpright: boolean): readonly number[] {
  const across = (p: Point): number => (isUpright ? p.x : p.y) - at,
    along = (p: Point): number => (isUpright ? p.y : p.x);
  return ring.flatMap((from, index) => {
    const to = ring[(index + 1) % ring.length]!,
      [a, b] = [across(from), across(to)];
    return a < 0 === b < 0 ? [] : [along(from) + ((along(to) - along(from)) * a) / (a - b)];
  });
}

/** Middles of places that lie near each other. */
function together(places: readonly number[]): readonly number[] {
  const groups: number[][] = [];
  for (const place of [...places].sort((a, b) => a - b)) {
    const last = groups.at(-1);
    if (last && place - last[0]! <= ONE_TAPE_MM) last.push(place);
    else groups.push([place]);
  }
  return groups.map((group) => (group[0]! + group.at(-1)!) / 2);
}

/** Where the outlines of a sheet's templates run over its joins: tape there first, and no template comes apart when it is cut out. */
export const tapeSpots = memo(
  (plan: PagePlan, sheetNumber: number): readonly TapeSpot[] => {
    const pages = plan.pages.filter(({ sheet }) => sheet === sheetNumber);
    if (pages.length < 2) return [];
    const rings = sheetOf(plan, pages[0]!).placed.map(({ template, transform }) => {
      const ring = outlineRing(template.part).map((p) => applyTransform(transform, p));
      return { ring, box: boundsOf(ring) };
    });
    const on = (at: number, from: End, to: End, isUpright: boolean): readonly TapeSpot[] => {
      const isNear = ({ minX, minY, maxX, maxY }: Bounds): boolean =>
        isUpright ? minX <= at && maxX >= at : minY <= at && maxY >= at;
      const places = rings
        .filter(({ box }) => isNear(box))
        .flatMap(({ ring }) => crossings(ring, at, isUpright))
        .filter((place) => place >= from.at && place <= to.at)
        .map((place) => Math.min(to.at - offCorner(to), Math.max(from.at + offCorner(from), place)));
      return together(places).map((place) => ({
        at: isUpright ? { x: at, y: place } : { x: place, y: at },
        isUpright,
      }));
    };
    return pages.flatMap(({ view, neighbours: { left, right, above, below } }) => {
      const { minX, minY, maxX, maxY } = growBounds(view, -plan.settings.overlapMm / 2);
      // At the outer edges of the sheet the join runs on to the end of what is printed.
      const end = (name: string | undefined, inner: number, outer: number): End =>
        name ? { at: inner, isCorner: true } : { at: outer, isCorner: false };
      const [low, high] = [end(below, minY, view.minY), end(above, maxY, view.maxY)],
        [start, stop] = [end(left, minX, view.minX), end(right, maxX, view.maxX)];
      return [...(right ? on(maxX, low, high, true) : []), ...(below ? on(minY, start, stop, false) : [])];
    });
  },
  (sheetNumber) => sheetNumber,
);

/** The tape of a page's joins, in mm of the sheet. */
export const tapeInk = (plan: PagePlan, { sheet, view }: Page): readonly Ink[] =>
  tapeSpots(plan, sheet)
    .filter(({ at }) => at.x >= view.minX && at.x <= view.maxX && at.y >= view.minY && at.y <= view.maxY)
    .map(({ at, isUpright }) => {
      const [wide, high] = isUpright ? [TAPE_LONG_MM, TAPE_WIDE_MM] : [TAPE_WIDE_MM, TAPE_LONG_MM];
      return {
        ...boxInk({ minX: at.x - wide / 2, maxX: at.x + wide / 2, minY: at.y - high / 2, maxY: at.y + high / 2 }, 0.1),
        dashMm: [1, 2],
      };
    });
