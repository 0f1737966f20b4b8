import type { Point } from '../geometry/index.ts';

/** A sheet as a scanner sees it: lightness of its pixels from 0 to 255, row by row from the upper left corner. */
export interface ScannedSheet {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly mmPerPx: number;
  readonly lightness: Uint8Array | Uint8ClampedArray;
}

/** How far round a place a cross is looked for, then looked at more closely, as half of a window in mm. */
const WINDOWS_MM = [9, 4, 4] as const;
/** Half of a band round a line that its middle is weighed in, in mm. */
const BAND_MM = 0.7;
/** What crosses a line right at the other one weighs nothing, in mm. */
const HUB_MM = 0.9;
/** A line darkens at least so much of its window. */
const LEAST_SHARE = 0.35;
/** Lighter than this is paper. */
const PAPER = 200;

/**
 * The middle of a printed cross near a place, to a fraction of a pixel.
 * @param near in mm from the sheet's lower left corner
 * @returns undefined where no two lines cross
 */
export function findCross(sheet: ScannedSheet, near: Point): Point | undefined {
  const { heightPx, mmPerPx } = sheet;
  let x = near.x / mmPerPx,
    y = heightPx - near.y / mmPerPx;
  for (const window of WINDOWS_MM) {
    const half = window / mmPerPx,
      column = lineMiddle(sheet, x, y, half, 'column'),
      row = lineMiddle(sheet, x, y, half, 'row');
    if (column === undefined || row === undefined) return undefined;
    [x, y] = [column, row];
  }
  return { x: x * mmPerPx, y: (heightPx - y) * mmPerPx };
}

/** Where the darkest upright or level line lies in a window, across it, in pixels. */
function lineMiddle(
  { widthPx, heightPx, mmPerPx, lightness }: ScannedSheet,
  x: number,
  y: number,
  half: number,
  way: 'column' | 'row',
): number | undefined {
  const [across, along] = way === 'column' ? [x, y] : [y, x],
    [mostAcross, mostAlong] = way === 'column' ? [widthPx, heightPx] : [heightPx, widthPx];
  const from = Math.max(0, Math.round(across - half)),
    to = Math.min(mostAcross - 1, Math.round(across + half)),
    first = Math.max(0, Math.round(along - half)),
    last = Math.min(mostAlong - 1, Math.round(along + half));
  const hub = half * mmPerPx > WINDOWS_MM[1] ? 0 : HUB_MM / mmPerPx;
  const weights: number[] = [];
  for (let at = from; at <= to; at++) {
    let sum = 0;
    for (let other = first; other <= last; other++) {
      if (Math.abs(other - along) < hub) continue;
      const dark = PAPER - lightness[way === 'column' ? other * widthPx + at : at * widthPx + other]!;
      if (dark > 0) sum += dark;
    }
    weights.push(sum);
  }
  const peak = weights.indexOf(Math.max(...weights));
  if (peak < 0 || weights[peak]! < LEAST_SHARE * PAPER * 0.4 * (last - first)) return undefined;
  const band = Math.ceil(BAND_MM / mmPerPx);
  let total = 0,
    moment = 0;
  for (let index = Math.max(0, peak - band); index <= Math.min(weights.length - 1, peak + band); index++) {
    total += weights[index]!;
    // A pixel's middle lies half a pixel within it.
    moment += weights[index]! * (from + index + 0.5);
  }
  return moment / total;
}
