/** Which distance a dimension tells: straight from point to point, or only across or only up. */
export const DIMENSION_WAYS = ['straight', 'across', 'up'] as const;
export type DimensionAlong = (typeof DIMENSION_WAYS)[number];

/** A dimension pinned to two points of the drawing: it stays, and tells their distance however they move. */
export interface Dimension {
  readonly id: string;
  readonly fromNodeId: string;
  readonly toNodeId: string;
  readonly along: DimensionAlong;
}
