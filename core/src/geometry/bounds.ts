import type { Point } from './point.ts';

/** Axis-parallel box in mm. */
export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Box around points; an empty list gives a box at the origin with no size. */
export function boundsOf(points: readonly Point[]): Bounds {
  if (points.length === 0) return { minX: 0, minY: 0, maxX: 0, maxY: 0 };
  let minX = Infinity,
    minY = Infinity,
    maxX = -Infinity,
    maxY = -Infinity;
  for (const { x, y } of points) {
    if (x < minX) minX = x;
    if (x > maxX) maxX = x;
    if (y < minY) minY = y;
    if (y > maxY) maxY = y;
  }
  return { minX, minY, maxX, maxY };
}
export const boundsWidth = (box: Bounds): number => box.maxX - box.minX;
export const boundsHeight = (box: Bounds): number => box.maxY - box.minY;
export const boundsCentre = (box: Bounds): Point => ({ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 });
/** The corners of a box, from the lower left one round with the box to the left. */
export const boundsCorners = ({ minX, minY, maxX, maxY }: Bounds): readonly Point[] => [
  { x: minX, y: minY },
  { x: maxX, y: minY },
  { x: maxX, y: maxY },
  { x: minX, y: maxY },
];
/** Smallest box around all boxes; none gives a box of no size. */
export function joinBounds(boxes: readonly Bounds[]): Bounds {
  return boundsOf(
    boxes.flatMap((box) => [
      { x: box.minX, y: box.minY },
      { x: box.maxX, y: box.maxY },
    ]),
  );
}
export const growBounds = (box: Bounds, by: number): Bounds => ({
  minX: box.minX - by,
  minY: box.minY - by,
  maxX: box.maxX + by,
  maxY: box.maxY + by,
});
/** Whether two boxes share any point, edges included. */
export const boundsTouch = (a: Bounds, b: Bounds): boolean =>
  a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;
