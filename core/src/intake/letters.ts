import {
  arcGeometry,
  boundsHeight,
  boundsTouch,
  boundsWidth,
  boxIndex,
  curveBounds,
  distance,
  growBounds,
  joinBounds,
  type Bounds,
  type Path,
} from '../geometry/index.ts';
import type { Chain } from './chain.ts';

/** Letters are this high, in mm, and no wider than some heights; a word has three signs at least. */
const LOWEST_MM = 0.8,
  HIGHEST_MM = 14,
  WIDEST_HEIGHTS = 1.6,
  FEWEST = 3;
/** Signs of a word stand no further apart than this, in heights, and differ in height by no more than this factor. */
const GAP_HEIGHTS = 0.9,
  MOST_RATIO = 2.2;

/** Which chains are letters: small figures that stand in a row. Circles and rectangles are holes and slots, and none. */
export function lettersAmong(chains: readonly Chain[]): ReadonlySet<number> {
  const signs = chains.flatMap(({ path, isClosed }, index) => {
    const box = joinBounds(path.map(curveBounds));
    return isSign(box, path, isClosed) ? [{ index, box }] : [];
  });
  const boxes = boxIndex(signs.map(({ box }) => box));
  const letters = new Set<number>(),
    seen = new Set<number>();
  signs.forEach((_, first) => {
    if (seen.has(first)) return;
    seen.add(first);
    const word = [first];
    for (const one of word) {
      const { box } = signs[one]!,
        reach = growBounds(box, GAP_HEIGHTS * boundsHeight(box));
      for (const other of boxes.touching(reach))
        if (!seen.has(other) && isBeside(box, signs[other]!.box)) {
          seen.add(other);
          word.push(other);
        }
    }
    if (word.length >= FEWEST) for (const one of word) letters.add(signs[one]!.index);
  });
  return letters;
}

function isSign(box: Bounds, path: Path, isClosed: boolean): boolean {
  const size = Math.max(boundsHeight(box), boundsWidth(box));
  if (size < LOWEST_MM || boundsHeight(box) > HIGHEST_MM || boundsWidth(box) > HIGHEST_MM * WIDEST_HEIGHTS)
    return false;
  return !(isClosed && (isRound(path) || isRectangle(path)));
}

const isRound = (path: Path): boolean => {
  const [first, ...rest] = path;
  if (first?.kind !== 'arc') return false;
  const { centre } = arcGeometry(first);
  return rest.every((curve) => curve.kind === 'arc' && distance(arcGeometry(curve).centre, centre) < 0.05);
};
const isRectangle = (path: Path): boolean => path.length === 4 && path.every(({ kind }) => kind === 'line');

/** Whether two signs may stand in one word: next to each other on one line, or one within the other. */
function isBeside(a: Bounds, b: Bounds): boolean {
  const [low, high] = [Math.min(boundsHeight(a), boundsHeight(b)), Math.max(boundsHeight(a), boundsHeight(b))];
  if (boundsTouch(a, b)) return true;
  if (high / Math.max(0.2, low) > MOST_RATIO) return false;
  const overlap = Math.min(a.maxY, b.maxY) - Math.max(a.minY, b.minY);
  return overlap > 0.4 * low;
}
