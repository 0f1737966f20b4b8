import { memo } from '../units/index.ts';
import { boundsOf, growBounds, type Bounds } from './bounds.ts';
import { boxIndex, type BoxIndex } from './box-index.ts';
import { distanceToRun, type Point } from './point.ts';
import { isInside, type Polygon } from './polygon.ts';

/** Rings of fewer points than this are looked through from end to end: that is as fast. */
const FEW_POINTS = 24;

/** A ring that many questions are asked of, with its edges by where they lie. Edge i runs from point i to the next. */
interface IndexedRing {
  readonly box: Bounds;
  readonly edges: BoxIndex;
}

const indexed = memo((ring: Polygon): IndexedRing => ({
  box: boundsOf(ring),
  edges: boxIndex(ring.map((p, index) => boundsOf([p, ring[(index + 1) % ring.length]!]))),
}));

/** Whether points lie inside a ring, for many points: the answers of `isInside`, of the edges to the right of each point alone. */
export function insideOf(ring: Polygon): (p: Point) => boolean {
  if (ring.length < FEW_POINTS) return (p) => isInside(p, ring);
  const { box, edges } = indexed(ring);
  return (p) => {
    if (p.x < box.minX || p.x > box.maxX || p.y < box.minY || p.y > box.maxY) return false;
    let inside = false;
    for (const index of edges.touching({ minX: p.x, minY: p.y, maxX: box.maxX, maxY: p.y })) {
      // As in `isInside`, the edge runs from its point back to the one before it.
      const b = ring[index]!,
        a = ring[(index + 1) % ring.length]!;
      if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    }
    return inside;
  };
}

/** Whether points lie inside an outer ring and in none of its holes, for many points. */
export function insideRegionOf(outer: Polygon, holes: readonly Polygon[]): (p: Point) => boolean {
  const isWithin = insideOf(outer),
    inHole = holes.map(insideOf),
    holesNear = boxIndex(holes.map(boundsOf));
  return (p) => isWithin(p) && !holesNear.touching(boundsOf([p])).some((index) => inHole[index]!(p));
}

/** Distances of points from the nearest edge of some rings, for many points; Infinity without a ring. */
export function edgeDistanceOf(rings: readonly Polygon[]): (p: Point) => number {
  const edges = rings.flatMap((ring) => ring.map((from, index) => [from, ring[(index + 1) % ring.length]!] as const));
  const near = boxIndex(edges.map(boundsOf));
  return (p) => {
    const some = edges[near.nearest(p)];
    if (!some) return Infinity;
    const atMost = distanceToRun(p, ...some);
    return near
      .touching(growBounds(boundsOf([p]), atMost))
      .reduce((nearest, index) => Math.min(nearest, distanceToRun(p, ...edges[index]!)), atMost);
  };
}

/** Edges of a ring that come within a reach of a box, by the places of their first points; ascending. */
export const edgesNear = (ring: Polygon, box: Bounds, reachMm = 0): readonly number[] =>
  indexed(ring).edges.touching(growBounds(box, reachMm));
