import Flatbush from 'flatbush';
import { boundsOf, growBounds, type Bounds } from './bounds.ts';
import type { Point } from './point.ts';

/** Boxes of things that are found by where they lie, so that each need not be held against all others. */
export interface BoxIndex {
  /** Places in the list of the boxes that share a point with one, edges included; ascending. */
  touching(box: Bounds): readonly number[];
  /** Place in the list of the box nearest to a point; -1 when there are none. */
  nearest(p: Point): number;
}

/** Indexes boxes once. @source Flatbush: a packed Hilbert R-tree */
export function boxIndex(boxes: readonly Bounds[]): BoxIndex {
  if (boxes.length === 0) return { touching: () => [], nearest: () => -1 };
  const tree = new Flatbush(boxes.length);
  for (const { minX, minY, maxX, maxY } of boxes) tree.add(minX, minY, maxX, maxY);
  tree.finish();
  return {
    touching: ({ minX, minY, maxX, maxY }) => tree.search(minX, minY, maxX, maxY).sort((a, b) => a - b),
    nearest: ({ x, y }) => tree.neighbors(x, y, 1)[0] ?? -1,
  };
}

/** Points that are found by where they lie: the places in the list of those within a square of twice the reach about a point; ascending. */
export function pointIndex(points: readonly Point[]): (p: Point, reachMm: number) => readonly number[] {
  const index = boxIndex(points.map((p) => boundsOf([p])));
  return (p, reachMm) => index.touching(growBounds(boundsOf([p]), reachMm));
}
