import { boundsHeight, boundsOf, boundsWidth, type Bounds, type Region } from '../geometry/index.ts';

/**
 * A region cut at the height of every corner, so that each strip holds trapezoids only. Exact.
 * Heights are measured from the region's lowest point, x from its leftmost.
 */
export interface Strips {
  readonly minX: number;
  readonly minY: number;
  readonly width: number;
  readonly height: number;
  /** Heights of the cuts, ascending, from 0 to the height. */
  readonly cuts: Float64Array;
  /** Index of each strip's first trapezoid, and at the end their count. */
  readonly first: Int32Array;
  /** Four numbers a trapezoid: left side below and above, right side below and above. */
  readonly sides: Float64Array;
}

/** Corners closer in height than this count as one, in mm. */
const SAME_HEIGHT_MM = 1e-7;

interface Edge {
  readonly lowX: number;
  readonly lowY: number;
  readonly highY: number;
  readonly slope: number;
}

/**
 * Cuts a region into strips of trapezoids.
 * @param region rings under the even-odd rule that do not cross, holes included
 */
export function stripsOf(region: Region): Strips {
  const { minX, minY, maxX, maxY } = boundsOf(region.flat());
  const edges = region.flatMap(edgesOf).sort((a, b) => a.lowY - b.lowY);
  const cuts = cutsOf(region);
  const first = new Int32Array(cuts.length);
  const sides: number[] = [];
  let active: Edge[] = [],
    next = 0;
  for (let strip = 0; strip + 1 < cuts.length; strip++) {
    const [low, high] = [cuts[strip]!, cuts[strip + 1]!];
    const middle = (low + high) / 2;
    active = active.filter(({ highY }) => highY > middle);
    for (; next < edges.length && edges[next]!.lowY < middle; next++) {
      if (edges[next]!.highY > middle) active.push(edges[next]!);
    }
    first[strip] = sides.length / 4;
    const across = active.toSorted((a, b) => xAt(a, middle) - xAt(b, middle));
    for (let index = 0; index + 1 < across.length; index += 2) {
      const [left, right] = [across[index]!, across[index + 1]!];
      sides.push(xAt(left, low) - minX, xAt(left, high) - minX, xAt(right, low) - minX, xAt(right, high) - minX);
    }
  }
  first[cuts.length - 1] = sides.length / 4;
  return {
    minX,
    minY,
    width: maxX - minX,
    height: maxY - minY,
    cuts: Float64Array.from(cuts, (y) => y - minY),
    first,
    sides: Float64Array.from(sides),
  };
}

/**
 * Strips of a region that keep the box round it that they ought to have: arcs of grown outlines lie inside the true ones, so that the
 * box of the region itself is a hair too small, and what is flush by the true outline would not be by the strips.
 */
export function stripsWithin(region: Region, box: Bounds): Strips {
  const strips = stripsOf(region);
  const by = strips.minX - box.minX,
    up = strips.minY - box.minY,
    height = boundsHeight(box),
    last = strips.cuts.length - 1;
  return {
    ...strips,
    minX: box.minX,
    minY: box.minY,
    width: boundsWidth(box),
    height,
    // The lowest and the highest strip reach to the box.
    cuts: strips.cuts.map((cut, index) => (index === 0 ? 0 : index === last ? height : cut + up)),
    sides: strips.sides.map((side) => side + by),
  };
}

/** Area of a region cut into strips, in mm². */
export function stripsArea({ cuts, first, sides }: Strips): number {
  let area = 0;
  for (let strip = 0; strip + 1 < cuts.length; strip++) {
    for (let at = 4 * first[strip]!; at < 4 * first[strip + 1]!; at += 4)
      area += ((cuts[strip + 1]! - cuts[strip]!) * (sides[at + 2]! + sides[at + 3]! - sides[at]! - sides[at + 1]!)) / 2;
  }
  return area;
}

const xAt = ({ lowX, lowY, slope }: Edge, y: number): number => lowX + slope * (y - lowY);

function edgesOf(ring: Region[number]): readonly Edge[] {
  return ring.flatMap((p, index) => {
    const q = ring[(index + 1) % ring.length]!;
    const [low, high] = p.y <= q.y ? [p, q] : [q, p];
    if (high.y - low.y < SAME_HEIGHT_MM) return [];
    return [{ lowX: low.x, lowY: low.y, highY: high.y, slope: (high.x - low.x) / (high.y - low.y) }];
  });
}

function cutsOf(region: Region): readonly number[] {
  const heights = region
    .flat()
    .map(({ y }) => y)
    .sort((a, b) => a - b);
  return heights.filter((y, index) => index === 0 || y - heights[index - 1]! > SAME_HEIGHT_MM);
}
