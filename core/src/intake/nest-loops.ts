import {
  boundsOf,
  boxIndex,
  curveBounds,
  edgeDistanceOf,
  flattenClosedPath,
  growBounds,
  insideOf,
  joinBounds,
  pathSignedArea,
  type Bounds,
  type Path,
  type Polygon,
} from '../geometry/index.ts';

/** A loop with what is needed to see what lies in it. */
export interface Loop {
  readonly path: Path;
  readonly box: Bounds;
  readonly areaMm2: number;
  readonly ring: Polygon;
}

/** An outline and the holes in it. */
export interface Nested {
  readonly outline: Loop;
  readonly holes: readonly Loop[];
}

/** Loops are looked at as polygons this close to them, in mm. */
const RING_MM = 0.05;

export const loopOf = (path: Path): Loop => ({
  path,
  box: joinBounds(path.map(curveBounds)),
  areaMm2: Math.abs(pathSignedArea(path)),
  ring: flattenClosedPath(path, RING_MM),
});

/**
 * Outlines and their holes by how loops lie in each other: a loop in no other is an outline, one in an outline a hole, one in a hole an
 * outline again.
 */
export function nestLoops(loops: readonly Loop[]): readonly Nested[] {
  const parents = parentsOf(loops);
  const depth = (index: number): number => (parents[index]! < 0 ? 0 : depth(parents[index]!) + 1);
  const isOutline = loops.map((_, index) => depth(index) % 2 === 0);
  return loops.flatMap((outline, index) =>
    isOutline[index]
      ? [{ outline, holes: loops.filter((_, other) => !isOutline[other] && parents[other] === index) }]
      : [],
  );
}

/** For each loop the smallest that it lies in, by its place in the list; -1 for none. */
export function parentsOf(loops: readonly Loop[]): readonly number[] {
  const boxes = boxIndex(loops.map(({ box }) => box));
  const inside = loops.map(({ ring }) => insideOf(ring));
  return loops.map((loop, index) => {
    // Loops may touch: most of some of its points tell.
    const ring = loop.ring,
      some = [0, 1, 2, 3, 4].map((step) => ring[Math.floor((step * ring.length) / 5)]!);
    let parent = -1;
    for (const other of boxes.touching(loop.box)) {
      const around = loops[other]!;
      const isLarger = around.areaMm2 > loop.areaMm2 || (around.areaMm2 === loop.areaMm2 && other < index);
      if (other === index || !isLarger || (parent >= 0 && around.areaMm2 >= loops[parent]!.areaMm2)) continue;
      if (some.filter(inside[other]!).length >= 3) parent = other;
    }
    return parent;
  });
}

/** Points as near to an outline as this lie on it, in mm: a bevel is written along its edge. */
const ON_OUTLINE_MM = RING_MM + 0.01;

/** The smallest outline that most of some points lie in, or else on; by its place in the list, -1 for none. */
export function outlineAround(outlines: readonly Nested[]): (points: readonly { x: number; y: number }[]) => number {
  const boxes = boxIndex(outlines.map(({ outline }) => outline.box));
  const inside = outlines.map(({ outline }) => insideOf(outline.ring));
  return (points) => {
    let found = -1;
    for (const index of boxes.touching(boundsOf(points))) {
      const { areaMm2 } = outlines[index]!.outline;
      const isWithin = points.filter(inside[index]!).length * 2 > points.length;
      if (isWithin && (found < 0 || areaMm2 < outlines[found]!.outline.areaMm2)) found = index;
    }
    return found >= 0
      ? found
      : outlineUnder(outlines, boxes.touching(growBounds(boundsOf(points), ON_OUTLINE_MM)), points);
  };
}

const outlineUnder = (
  outlines: readonly Nested[],
  near: readonly number[],
  points: readonly { x: number; y: number }[],
): number =>
  near.find((index) => {
    const apart = edgeDistanceOf([outlines[index]!.outline.ring]);
    return points.filter((p) => apart(p) <= ON_OUTLINE_MM).length * 2 > points.length;
  }) ?? -1;
