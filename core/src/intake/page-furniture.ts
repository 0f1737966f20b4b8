import { curveBounds, joinBounds, type Bounds } from '../geometry/index.ts';
import type { ReadLine, ReadPage } from '../formats/index.ts';

/** What stands on most pages alike, and what of a page is left to draw on. */
export interface PageFurniture {
  readonly window: Bounds;
  readonly isFurniture: (line: ReadLine) => boolean;
  /** How many lines of all pages it is. */
  readonly dropped: number;
}

/** On this part of the pages, and on three at least: two of two. */
const MOST_PAGES = 0.6;
/** A frame takes up this part of a page at least. */
const LEAST_FRAME = 0.35;

/** A line by where it lies on its page, to a tenth of a millimetre. */
function signature({ path }: ReadLine): string {
  const at = (value: number): number => Math.round(value * 10);
  return path.map(({ kind, from, to }) => [kind, at(from.x), at(from.y), at(to.x), at(to.y)].join(' ')).join('/');
}

/** Finds what pages have in common. A single page has no furniture. */
export function furnitureOf(pages: readonly ReadPage[]): PageFurniture {
  const seen = new Map<string, { pages: number; line: ReadLine; last: number }>();
  pages.forEach(({ lines }, index) => {
    for (const line of lines) {
      const key = signature(line),
        known = seen.get(key);
      if (!known) seen.set(key, { pages: 1, line, last: index });
      else if (known.last !== index) {
        known.pages += 1;
        known.last = index;
      }
    }
  });
  const least = pages.length === 2 ? 2 : Math.max(3, Math.ceil(MOST_PAGES * pages.length));
  const common = new Map([...seen].filter(([, one]) => pages.length > 1 && one.pages >= least));
  const isFurniture = (line: ReadLine): boolean => common.has(signature(line));
  return {
    window: frameOf(
      [...common.values()].map(({ line }) => line),
      pages,
    ),
    isFurniture,
    dropped: pages.reduce((sum, { lines }) => sum + lines.filter(isFurniture).length, 0),
  };
}

/** The largest box that stands on the pages alike; else what their drawings reach over, or the page where they are empty. */
function frameOf(lines: readonly ReadLine[], pages: readonly ReadPage[]): Bounds {
  const { widthMm = 0, heightMm = 0 } = pages[0] ?? {};
  const frames = lines
    .map(({ path }) => joinBounds(path.map(curveBounds)))
    .filter((box) => areaOf(box) >= LEAST_FRAME * widthMm * heightMm)
    .sort((a, b) => areaOf(b) - areaOf(a));
  // The sheet's own edge, where it is drawn, is no frame while there is one within it.
  const isSheet = (box: Bounds): boolean => areaOf(box) > 0.99 * widthMm * heightMm;
  const frame = frames.find((box) => !isSheet(box)) ?? frames[0];
  if (frame) return frame;
  const boxes = pages.flatMap(({ lines: drawn }) => drawn.flatMap(({ path }) => path.map(curveBounds)));
  return boxes.length > 0 && pages.length > 1 ? joinBounds(boxes) : { minX: 0, minY: 0, maxX: widthMm, maxY: heightMm };
}

const areaOf = ({ minX, minY, maxX, maxY }: Bounds): number => (maxX - minX) * (maxY - minY);
