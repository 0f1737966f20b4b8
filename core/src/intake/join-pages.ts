import {
  boundsOf,
  curveBounds,
  joinBounds,
  pointIndex,
  transformPath,
  translation,
  type Bounds,
  type Point,
} from '../geometry/index.ts';
import type { ReadDrawing, ReadLine, ReadPage } from '../formats/index.ts';
import { clippedToBox } from '../formats/index.ts';
import { furnitureOf } from './page-furniture.ts';

/** How pages lie: in rows of so many, and how far from one to the next. */
export interface PageLayout {
  /** Pages in a row, or in a column where they run down first. */
  readonly inLine: number;
  readonly runsDown: boolean;
  /** From a page to the next in its row, and to the next row; rows run down where y is below 0. */
  readonly acrossMm: Point;
  readonly downMm: Point;
}

/** Pages joined into one drawing, in mm. */
export interface JoinedPages {
  readonly drawing: ReadDrawing;
  readonly layout: PageLayout;
  /** Where each page's lower left corner came to lie. */
  readonly corners: readonly Point[];
  /** What of a page is drawn on. */
  readonly window: Bounds;
  /** Lines that met their like on a neighbouring page, and so told how pages lie; 0 when they were laid by their frames alone. */
  readonly meetings: number;
}

/** Ends that are looked at on a side of a page, at least and at most: fewer, the more pages there are. */
const FEWEST_ENDS = 10,
  MOST_ENDS = 300;
/** Pairs of ends that are held against each other, about. */
const MOST_TRIES = 4e6;
/** No plan has more pages in a line. */
const MOST_IN_LINE = 30;
/** Ends of a page and its neighbour that are one lie within this. */
const MEET_MM = 0.4;
/** A neighbour begins no nearer than this part of the window, and hardly beyond it. */
const NEAREST = 0.6,
  FURTHEST = 1.04;

/**
 * Joins pages that one drawing was cut into. What stands on most pages alike (frames, crosses, titles) is dropped; the frame is what of a
 * page is drawn on; pages lie so that most line ends meet their like on the next page.
 * @param given how pages lie, when the builder says so
 * @param moved by how much single pages were moved by hand, in mm
 */
export function joinPages(
  pages: readonly ReadPage[],
  given?: PageLayout,
  moved: Readonly<Record<number, Point>> = {},
): JoinedPages {
  const { window, isFurniture, dropped } = furnitureOf(pages);
  const inks = pages.map(({ lines }) =>
    lines
      .filter((line) => !isFurniture(line))
      .flatMap((line): readonly ReadLine[] => {
        const pieces = clippedToBox(line.path, window);
        return pieces.map((path) => ({ ...line, path, isClosed: line.isClosed && path.length === line.path.length }));
      }),
  );
  const found = given ? undefined : findLayout(inks, window);
  const layout = given ?? found!.layout;
  const corners = pages.map((_, index): Point => {
    const { x, y } = placeOf(layout, index),
      by = moved[index];
    return { x: x + (by?.x ?? 0), y: y + (by?.y ?? 0) };
  });
  const lines = inks.flatMap((page, index) => {
    const t = translation(corners[index]!.x, corners[index]!.y);
    return page.map((line) => ({ ...line, path: transformPath(t, line.path) }));
  });
  const texts = pages.flatMap((page, index) =>
    page.texts
      .filter(({ at }) => at.x >= window.minX && at.x <= window.maxX && at.y >= window.minY && at.y <= window.maxY)
      .map((text) => ({ ...text, at: { x: text.at.x + corners[index]!.x, y: text.at.y + corners[index]!.y } })),
  );
  const leftOut = new Map<string, number>(dropped > 0 ? [['frames, crosses and titles of pages', dropped]] : []);
  for (const page of pages)
    for (const { what, count } of page.leftOut) leftOut.set(what, (leftOut.get(what) ?? 0) + count);
  return {
    drawing: {
      lines,
      texts,
      unit: { word: 'millimetre', mmPerUnit: 1, isCertain: true },
      leftOut: [...leftOut].map(([what, count]) => ({ what, count })),
    },
    layout,
    corners,
    window,
    meetings: found?.meetings ?? 0,
  };
}

function placeOf({ inLine, runsDown, acrossMm, downMm }: PageLayout, index: number): Point {
  const along = index % inLine,
    beside = Math.floor(index / inLine);
  const [column, row] = runsDown ? [beside, along] : [along, beside];
  return { x: column * acrossMm.x + row * downMm.x, y: column * acrossMm.y + row * downMm.y };
}

/** The layout in which most ends of lines meet; by rows that are nearly square where none do. */
function findLayout(
  pages: readonly (readonly ReadLine[])[],
  window: Bounds,
): { readonly layout: PageLayout; readonly meetings: number } {
  const width = window.maxX - window.minX,
    height = window.maxY - window.minY;
  const lines = Math.min(MOST_IN_LINE, pages.length),
    most = Math.sqrt(MOST_TRIES / Math.max(1, 6 * lines * pages.length));
  const ends = pages.map((page) =>
    outermostEnds(endsOf(page), Math.round(Math.min(MOST_ENDS, Math.max(FEWEST_ENDS, most)))),
  );
  const flush: PageLayout = {
    inLine: Math.ceil(Math.sqrt(pages.length)),
    runsDown: false,
    acrossMm: { x: width, y: 0 },
    downMm: { x: 0, y: -height },
  };
  let best = { layout: flush, meetings: 0 };
  for (let inLine = 1; inLine <= lines; inLine++)
    for (const runsDown of inLine === 1 ? [false] : [false, true]) {
      const next = ends.flatMap((_, index) =>
          (index + 1) % inLine !== 0 && index + 1 < ends.length ? [[index, index + 1] as const] : [],
        ),
        beyond = ends.flatMap((_, index) => (index + inLine < ends.length ? [[index, index + inLine] as const] : []));
      const [acrossPairs, downPairs] = runsDown ? [beyond, next] : [next, beyond];
      const across = vote(ends, acrossPairs, { along: 'x', size: width, sign: 1 }),
        down = vote(ends, downPairs, { along: 'y', size: height, sign: -1 }),
        up = vote(ends, downPairs, { along: 'y', size: height, sign: 1 });
      const rows = up.count > down.count ? up : down;
      const meetings = across.count + rows.count;
      if (meetings > best.meetings)
        best = {
          meetings,
          layout: {
            inLine,
            runsDown,
            acrossMm: across.count > 0 ? across.shift : flush.acrossMm,
            downMm: rows.count > 0 ? rows.shift : flush.downMm,
          },
        };
    }
  return best;
}

/** Ends of the lines of a page that do not go on at another. */
function endsOf(lines: readonly ReadLine[]): readonly Point[] {
  return lines.flatMap(({ path, isClosed }) => (isClosed || path.length === 0 ? [] : [path[0]!.from, path.at(-1)!.to]));
}

/** Ends of a page by the side that they lie nearest to: the outermost of each. */
interface PageEnds {
  readonly x: { readonly last: readonly Point[]; readonly first: readonly Point[] };
  readonly y: { readonly last: readonly Point[]; readonly first: readonly Point[] };
}

function outermostEnds(points: readonly Point[], most: number): PageEnds {
  const sorted = (along: 'x' | 'y', direction: 1 | -1): readonly Point[] =>
    [...points].sort((a, b) => direction * (b[along] - a[along])).slice(0, most);
  return {
    x: { last: sorted('x', 1), first: sorted('x', -1) },
    y: { last: sorted('y', 1), first: sorted('y', -1) },
  };
}

interface Side {
  readonly along: 'x' | 'y';
  readonly size: number;
  readonly sign: 1 | -1;
}

/** The shift from a page to the next that most pairs of ends agree on, and how many do. */
function vote(
  ends: readonly PageEnds[],
  pairs: readonly (readonly [number, number])[],
  { along, size, sign }: Side,
): { readonly shift: Point; readonly count: number } {
  const across = along === 'x' ? 'y' : 'x';
  const bins = new Map<string, Point[]>();
  for (const [one, other] of pairs) {
    const [from, to] = [ends[one]![along], ends[other]![along]];
    const last = sign > 0 ? from.last : from.first,
      first = sign > 0 ? to.first : to.last;
    for (const p of last)
      for (const q of first) {
        const by = p[along] - q[along],
          aside = p[across] - q[across];
        if (by * sign < NEAREST * size || by * sign > FURTHEST * size || Math.abs(aside) > 0.05 * size) continue;
        const shift = along === 'x' ? { x: by, y: aside } : { x: aside, y: by };
        const key = `${Math.round(shift.x / MEET_MM)}/${Math.round(shift.y / MEET_MM)}`;
        const list = bins.get(key);
        if (list) list.push(shift);
        else bins.set(key, [shift]);
      }
  }
  let most: readonly Point[] = [];
  for (const list of bins.values()) if (list.length > most.length) most = list;
  if (most.length < 2) return { shift: { x: 0, y: 0 }, count: 0 };
  return { shift: middleOf(most), count: most.length };
}

/** The median of shifts in either direction: a chance meeting does not move it. */
function middleOf(shifts: readonly Point[]): Point {
  const median = (values: readonly number[]): number =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  return { x: median(shifts.map(({ x }) => x)), y: median(shifts.map(({ y }) => y)) };
}

/** A page that is moved by hand catches where its lines meet others within this, in mm. */
const CATCH_MM = 6;

/** Where a page that was moved by hand catches: its move, changed so that most of its line ends meet those of other pages. */
export function caughtMove(
  pages: readonly ReadPage[],
  { corners, window }: JoinedPages,
  page: number,
  moved: Point,
  movedBefore: Point,
): Point {
  const { isFurniture } = furnitureOf(pages);
  const placed = pages.map(({ lines }, index) => {
    const by = index === page ? { x: moved.x - movedBefore.x, y: moved.y - movedBefore.y } : { x: 0, y: 0 };
    const { x, y } = { x: corners[index]!.x + by.x, y: corners[index]!.y + by.y };
    return lines
      .filter((line) => !isFurniture(line))
      .flatMap((line) => clippedToBox(line.path, window))
      .flatMap((path) => (path.length === 0 ? [] : [path[0]!.from, path.at(-1)!.to]))
      .map((p) => ({ x: p.x + x, y: p.y + y }));
  });
  const others = placed.flatMap((points, index) => (index === page ? [] : points)),
    near = pointIndex(others);
  const bins = new Map<string, Point[]>();
  for (const p of placed[page] ?? [])
    for (const other of near(p, CATCH_MM)) {
      const by = { x: others[other]!.x - p.x, y: others[other]!.y - p.y };
      const key = `${Math.round(by.x / MEET_MM)}/${Math.round(by.y / MEET_MM)}`;
      bins.set(key, [...(bins.get(key) ?? []), by]);
    }
  const most = [...bins.values()].reduce<readonly Point[]>(
    (best, list) => (list.length > best.length ? list : best),
    [],
  );
  if (most.length < 2) return moved;
  const by = middleOf(most);
  return { x: moved.x + by.x, y: moved.y + by.y };
}

/** Box around a drawing's lines. */
export const drawingBounds = ({ lines }: Pick<ReadDrawing, 'lines'>): Bounds =>
  lines.length === 0 ? boundsOf([]) : joinBounds(lines.flatMap(({ path }) => path.map(curveBounds)));
