import type { LengthUnit } from '../../units/index.ts';

/** What figures of a plan need to know of the rest of the airframe. */
export interface PlanContext {
  readonly unit: LengthUnit;
  /** Measured thickness of the board that is built with most. */
  readonly boardMm: number;
  readonly gramsPerSquareMetre: number;
  /** Longest run on any board in stock; 0 without one. */
  readonly longestBoardMm: number;
  /** Foam of the parts that are drawn; undefined while there are none. */
  readonly partsFoamG?: number;
}
