import { boundsOf, type Bounds, type Point, type Region } from '../geometry/index.ts';

/**
 * A region cut into horizontal slabs of one pitch: for each slab, the spans of x that the region touches anywhere in it.
 * Spans never leave out a point of the region, so shapes whose spans are apart are apart. Slab 0 starts at the region's lowest point.
 */
export interface SlabShape {
  readonly bounds: Bounds;
  /** For each slab, spans as [left, right, left, right, ...], ascending, relative to bounds.minX. */
  readonly rows: readonly Float64Array[];
}

/**
 * Cuts a region into slabs.
 * @param region rings under the even-odd rule, holes included
 * @param pitchMm height of a slab, above 0
 * @param bounds the box that the slabs begin and end at, where it is not the region's own
 * @source A point of the region inside a slab either has the region along its vertical to the slab's middle line, so that the middle
 * line's spans hold its x, or an edge crosses that vertical, so that the edge's own x range in the slab does.
 */
export function slabShape(region: Region, pitchMm: number, bounds = boundsOf(region.flat())): SlabShape {
  const count = Math.max(1, Math.ceil((bounds.maxY - bounds.minY) / pitchMm - 1e-9));
  const rows = slabSpans(region, bounds.minY, pitchMm, count).map((spans) =>
    Float64Array.from(spans, (x) => x - bounds.minX),
  );
  return { bounds, rows };
}

/** Merged spans of a region in each of `count` slabs from `fromY` up. */
export function slabSpans(
  region: Region,
  fromY: number,
  pitchMm: number,
  count: number,
): readonly (readonly number[])[] {
  const spans: [number, number][][] = Array.from({ length: count }, () => []);
  const middles: number[][] = Array.from({ length: count }, () => []);
  for (const ring of region) {
    for (let index = 0; index < ring.length; index++) addEdge(ring[index]!, ring[(index + 1) % ring.length]!);
  }
  function addEdge(a: Point, b: Point): void {
    const [low, high] = a.y <= b.y ? [a, b] : [b, a];
    const slope = high.y > low.y ? (high.x - low.x) / (high.y - low.y) : 0;
    const first = Math.max(0, Math.floor((low.y - fromY) / pitchMm - 1e-9));
    const last = Math.min(count - 1, Math.floor((high.y - fromY) / pitchMm + 1e-9));
    for (let row = first; row <= last; row++) {
      const y0 = Math.max(low.y, fromY + row * pitchMm),
        y1 = Math.min(high.y, fromY + (row + 1) * pitchMm);
      const x0 = high.y > low.y ? low.x + slope * (y0 - low.y) : low.x,
        x1 = high.y > low.y ? low.x + slope * (y1 - low.y) : high.x;
      spans[row]!.push(x0 < x1 ? [x0, x1] : [x1, x0]);
      const middle = fromY + (row + 0.5) * pitchMm;
      if (low.y <= middle && middle < high.y) middles[row]!.push(low.x + slope * (middle - low.y));
    }
  }
  return spans.map((edges, row) => {
    const cuts = middles[row]!.sort((p, q) => p - q);
    for (let index = 0; index + 1 < cuts.length; index += 2) edges.push([cuts[index]!, cuts[index + 1]!]);
    return mergeSpans(edges);
  });
}

/** Overlapping or touching spans joined, as a flat ascending list. */
export function mergeSpans(spans: [number, number][]): readonly number[] {
  spans.sort((p, q) => p[0] - q[0]);
  const merged: number[] = [];
  for (const [left, right] of spans) {
    const last = merged.length - 1;
    if (last >= 0 && left <= merged[last]! + 1e-9) merged[last] = Math.max(merged[last]!, right);
    else merged.push(left, right);
  }
  return merged;
}
