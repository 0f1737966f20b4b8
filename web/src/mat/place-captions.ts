import type { Point } from '@grain-fold/core/geometry';
import type { TextMark } from '@grain-fold/core/marks';

/** A caption on the screen: its middle and its size in pixels, turned with its line. */
export interface PlacedCaption {
  readonly mark: TextMark;
  readonly at: Point;
  readonly width: number;
}

/** Size of a caption in pixels. */
export const CAPTION_HEIGHT_PX = 18;
/** Size of a caption's letters when nothing else is said. */
export const USUAL_SIZE_PX = 14;
const LETTER_SHARE = 0.44,
  PADDING_PX = 10;
/** How far a caption is moved along its line at a try, as a share of its width, and how often. */
const STEP_SHARE = 0.55,
  MOST_STEPS = 8;

/**
 * Captions where none covers another: one that would is moved along its own line, to the nearest free place on it. What finds none stays.
 * @param toScreen a place of the drawing in pixels, y down
 * @param sizePx size of the letters
 */
export function placeCaptions(
  texts: readonly TextMark[],
  toScreen: (p: Point) => Point,
  sizePx: number,
): readonly PlacedCaption[] {
  const placed: PlacedCaption[] = [];
  for (const mark of texts) {
    const width = mark.text.length * sizePx * LETTER_SHARE + PADDING_PX;
    const middle = toScreen(mark.at),
      way = wayOf(mark, toScreen);
    const reach = Math.hypot(way.x, way.y) * (mark.slideMm ?? 0) - width / 2;
    const at = offsets(width, reach)
      .map((by) => moved(middle, mark.angleDegrees, by))
      .find((one) => placed.every((other) => !isCovered({ mark, at: one, width }, other)));
    placed.push({ mark, at: at ?? middle, width });
  }
  return placed;
}

/** One mm along a caption's line, in pixels. */
function wayOf({ at, angleDegrees }: TextMark, toScreen: (p: Point) => Point): Point {
  const [a, b] = [toScreen(at), toScreen(moved(at, -angleDegrees, 1))];
  return { x: b.x - a.x, y: b.y - a.y };
}
/** A place moved along a turned line; on the screen y runs down. */
function moved(p: Point, angleDegrees: number, by: number): Point {
  const angle = (-angleDegrees * Math.PI) / 180;
  return { x: p.x + Math.cos(angle) * by, y: p.y + Math.sin(angle) * by };
}
/** Where along its line a caption is tried, the nearest first. */
const offsets = (width: number, reach: number): readonly number[] => [
  0,
  ...Array.from({ length: MOST_STEPS }, (_, step) => (step + 1) * STEP_SHARE * width)
    .filter((by) => by <= reach)
    .flatMap((by) => [by, -by]),
];

/** Whether two turned boxes overlap: no axis of either parts them. @source the separating axis theorem */
function isCovered(a: PlacedCaption, b: PlacedCaption): boolean {
  return [a, b].every(({ mark }) =>
    [mark.angleDegrees, mark.angleDegrees + 90].every((degrees) => {
      const axis = moved({ x: 0, y: 0 }, degrees, 1);
      const apart = Math.abs((b.at.x - a.at.x) * axis.x + (b.at.y - a.at.y) * axis.y);
      return apart < halfAlong(a, degrees) + halfAlong(b, degrees);
    }),
  );
}
/** Half the extent of a caption's box along a direction. */
function halfAlong({ mark, width }: PlacedCaption, degrees: number): number {
  const turn = ((degrees - mark.angleDegrees) * Math.PI) / 180;
  return (Math.abs(Math.cos(turn)) * width + Math.abs(Math.sin(turn)) * CAPTION_HEIGHT_PX) / 2;
}
