import { add, applyTransform, distance, rotation, type Point } from '../geometry/index.ts';
import type { DraftSegment, PathDraft } from '../paths/index.ts';

/** A quarter turn to the left, as an arc's bulge. */
const QUARTER_BULGE = Math.tan(Math.PI / 8);
const LEAST_CORNER_MM = 1e-3;

/**
 * Rectangle about a middle, turned, its corners rounded; with corners of half its width it has round ends, and a square becomes a circle.
 * The corners are cut down to what fits. Runs counter-clockwise from the lower side's start.
 */
export function roundedRectangle(
  middle: Point,
  lengthMm: number,
  widthMm: number,
  cornerMm: number,
  angleDegrees: number,
): PathDraft {
  const corner = Math.max(0, Math.min(cornerMm, lengthMm / 2, widthMm / 2));
  const [a, b] = [lengthMm / 2, widthMm / 2];
  const turn = rotation(angleDegrees);
  const placed = (p: Point): Point => add(middle, applyTransform(turn, p));
  if (corner < LEAST_CORNER_MM)
    return {
      closed: true,
      points: [
        { x: -a, y: -b },
        { x: a, y: -b },
        { x: a, y: b },
        { x: -a, y: b },
      ].map(placed),
      segments: Array.from({ length: 4 }, () => ({ kind: 'line' })),
    };
  const points: Point[] = [],
    segments: DraftSegment[] = [];
  // Where each corner's arc starts and ends, counter-clockwise from the lower right one.
  const corners = [
    [
      { x: a - corner, y: -b },
      { x: a, y: corner - b },
    ],
    [
      { x: a, y: b - corner },
      { x: a - corner, y: b },
    ],
    [
      { x: corner - a, y: b },
      { x: -a, y: b - corner },
    ],
    [
      { x: -a, y: corner - b },
      { x: corner - a, y: -b },
    ],
  ] as const;
  corners.forEach(([from], index) => {
    const before = corners[(index + 3) % 4]![1];
    if (distance(from, before) > LEAST_CORNER_MM) {
      points.push(placed(before));
      segments.push({ kind: 'line' });
    }
    points.push(placed(from));
    segments.push({ kind: 'arc', bulge: QUARTER_BULGE });
  });
  return { closed: true, points, segments };
}
