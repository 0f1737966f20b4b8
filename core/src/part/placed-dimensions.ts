import type { Point } from '../geometry/index.ts';
import type { Dimension, DimensionAlong } from './dimension.ts';
import { pathsOf, type Part } from './part.ts';

/** A dimension with its places and its value in mm. */
export interface PlacedDimension extends Dimension {
  readonly from: Point;
  readonly to: Point;
  readonly valueMm: number;
}

/** The value of a dimension between two places in mm. */
export function dimensionValue(from: Point, to: Point, along: DimensionAlong): number {
  if (along === 'across') return Math.abs(to.x - from.x);
  return along === 'up' ? Math.abs(to.y - from.y) : Math.hypot(to.x - from.x, to.y - from.y);
}

/** The part's dimensions where their points are now; those whose points are gone are left out. */
export function placedDimensions(part: Part): readonly PlacedDimension[] {
  if (!part.dimensions || part.dimensions.length === 0) return [];
  const nodes = new Map(pathsOf(part).flatMap((path) => path.nodes.map((node) => [node.id, node] as const)));
  return part.dimensions.flatMap((dimension) => {
    const from = nodes.get(dimension.fromNodeId),
      to = nodes.get(dimension.toNodeId);
    return from && to
      ? [
          {
            ...dimension,
            from: { x: from.x, y: from.y },
            to: { x: to.x, y: to.y },
            valueMm: dimensionValue(from, to, dimension.along),
          },
        ]
      : [];
  });
}

/** Where a dimension runs: straight, or level or upright with a step to its second point. */
export function dimensionEnds({ from, to, along }: PlacedDimension): readonly [Point, Point, ...Point[]] {
  if (along === 'across') return [from, { x: to.x, y: from.y }, to];
  return along === 'up' ? [from, { x: from.x, y: to.y }, to] : [from, to];
}
