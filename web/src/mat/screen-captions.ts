import type { Point } from '@grain-fold/core/geometry';
import { placeCaptions, type PlacedCaption } from '@grain-fold/core/linecode';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import type { LengthUnit } from '@grain-fold/core/units';

/** Size of a caption in pixels. */
export const CAPTION_HEIGHT_PX = 18;
/** Size of a caption's letters when nothing else is said. */
export const USUAL_SIZE_PX = 14;
const PADDING_PX = 10;

/** A caption on the screen: its middle and its width in pixels, turned with its line. */
export interface ScreenCaption {
  readonly mark: PlacedCaption['mark'];
  readonly at: Point;
  readonly width: number;
}

/**
 * The captions of a part as large as they are on the screen whatever the zoom, where they leave each other and the lines clear.
 * @param toScreen a place of the drawing in pixels, y down, of one scale all over
 */
export function screenCaptions(
  part: ResolvedPart,
  unit: LengthUnit,
  toScreen: (p: Point) => Point,
  sizePx: number,
): readonly ScreenCaption[] {
  const pixelsPerMm = Math.abs(toScreen({ x: 1, y: 0 }).x - toScreen({ x: 0, y: 0 }).x);
  const lettering = {
    letterMm: sizePx / pixelsPerMm,
    heightMm: CAPTION_HEIGHT_PX / pixelsPerMm,
    paddingMm: PADDING_PX / pixelsPerMm,
  };
  return placeCaptions(part, unit, lettering).map(({ mark, at, widthMm }) => ({
    mark,
    at: toScreen(at),
    width: widthMm * pixelsPerMm,
  }));
}
