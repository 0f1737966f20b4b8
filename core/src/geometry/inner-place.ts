import { boundsHeight, boundsOf, boundsWidth } from './bounds.ts';
import type { Point } from './point.ts';
import type { Polygon } from './polygon.ts';
import { edgeDistanceOf, insideRegionOf } from './ring-index.ts';

/**
 * The place inside a polygon that is furthest from every edge, and how far it is.
 * @param precisionMm stops when no cell can be better by more than this, above 0
 * @source quadtree search for the pole of inaccessibility: cells are split while their best possible distance beats the best found
 */
export function roomiestPlace(
  ring: Polygon,
  avoid: readonly Polygon[],
  precisionMm: number,
): { readonly place: Point; readonly distance: number } {
  const toEdge = edgeDistanceOf([ring, ...avoid]),
    isWithin = insideRegionOf(ring, avoid);
  const depth = (p: Point): number => (isWithin(p) ? toEdge(p) : -toEdge(p));
  const box = boundsOf(ring);
  const size = Math.max(precisionMm, Math.min(boundsWidth(box), boundsHeight(box)));
  let cells: { x: number; y: number; half: number; depth: number }[] = [];
  for (let x = box.minX; x < box.maxX; x += size) {
    for (let y = box.minY; y < box.maxY; y += size) cells.push(cell(x + size / 2, y + size / 2, size / 2));
  }
  function cell(x: number, y: number, half: number): { x: number; y: number; half: number; depth: number } {
    return { x, y, half, depth: depth({ x, y }) };
  }
  let best = cells.reduce(
    (a, b) => (b.depth > a.depth ? b : a),
    cell((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2, 0),
  );
  for (let round = 0; round < 20 && cells.length > 0; round++) {
    const worthwhile = cells.filter((c) => c.depth + c.half * Math.SQRT2 > best.depth + precisionMm);
    cells = worthwhile.flatMap(({ x, y, half }) =>
      [
        [-1, -1],
        [-1, 1],
        [1, -1],
        [1, 1],
      ].map(([i, j]) => cell(x + (i! * half) / 2, y + (j! * half) / 2, half / 2)),
    );
    for (const candidate of cells) if (candidate.depth > best.depth) best = candidate;
  }
  return { place: { x: best.x, y: best.y }, distance: best.depth };
}
