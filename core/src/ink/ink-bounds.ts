import { boundsOf, curveBounds, curveIndex, growBounds, joinBounds, type Bounds } from '../geometry/index.ts';
import type { Ink } from './ink.ts';

/** A letter is at most this wide, as a share of the size. */
const WIDEST_LETTER = 1.1;
/** Corners of lines stand out by at most so many widths. */
const CORNER_WIDTHS = 6;

/** A box that holds all that ink covers; it may be larger than need be. */
export function inkBounds(ink: Ink): Bounds {
  switch (ink.kind) {
    case 'path':
      return growBounds(joinBounds(ink.path.map(curveBounds)), ink.widthMm * CORNER_WIDTHS);
    case 'disc':
      return growBounds(boundsOf([ink.at]), ink.radiusMm);
    case 'text':
      return growBounds(boundsOf([ink.at]), ink.sizeMm * (1 + WIDEST_LETTER * ink.text.length));
    case 'clip':
      return ink.box;
  }
}

/** A path of more curves than this is not drawn whole where only some of them show. */
const MANY_CURVES = 12;

/**
 * What of a line may show in a box: of a plain line of many curves the runs that come near it, of anything else all. A dashed or filled line stays
 * whole, or its dashes would fall elsewhere.
 */
export function inkNear(ink: Ink, box: Bounds): readonly Ink[] {
  if (ink.kind !== 'path' || ink.path.length <= MANY_CURVES || ink.dashMm || ink.fill) return [ink];
  const { path, widthMm } = ink;
  const shown = curveIndex(path).touching(growBounds(box, widthMm * CORNER_WIDTHS));
  if (shown.length === path.length) return [ink];
  // One curve more at each end, so that the corners that show are drawn.
  const wanted = new Set(shown.flatMap((index) => [index - 1, index, index + 1]));
  const runs: number[][] = [];
  for (let index = 0; index < path.length; index++) {
    const isWanted =
      wanted.has(index) || (ink.closed && (wanted.has(index + path.length) || wanted.has(index - path.length)));
    if (!isWanted) continue;
    if (runs.at(-1)?.at(-1) === index - 1) runs.at(-1)!.push(index);
    else runs.push([index]);
  }
  return runs.map((run) => ({ ...ink, closed: false, path: run.map((index) => path[index]!) }));
}
