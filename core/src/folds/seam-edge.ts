import type { Point, Point3 } from '../geometry/index.ts';
import type { PlateSolid } from './plate-solid.ts';

/** A straight line in space or on the flat part, from one end to the other. */
export type Line3 = readonly [Point3, Point3];

/** One free straight edge of a plate: a side that is cut or bevelled and lies on a straight edge of the drawing, or along a through cut. */
export interface SeamEdge {
  readonly solid: PlateSolid;
  readonly segmentId: string;
  /** On the flat part, with the plate on its left. */
  readonly from: Point;
  readonly to: Point;
  /** Whether the drawing runs along the edge with the board on its left. */
  readonly isBoardLeft: boolean;
  /** Its lines on the flat part: on the far skin, and on the face. */
  readonly flat: readonly [Line3, Line3];
  /** Whether it is a line drawn on the plate, which ends nothing. */
  readonly isLine?: true;
  /** Whether it is the chord of a curved edge between two folds. */
  readonly isCurved?: true;
}
