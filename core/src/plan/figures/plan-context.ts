import type { LengthUnit } from '../../units/index.ts';

/** What a thing's made parts weigh, and where. */
export interface MadeMass {
  readonly massG: number;
  readonly atMm: number;
}

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
  /** Foam of things that parts were made for by number, and where it lies along the airframe; by the id of the thing. */
  readonly made?: ReadonlyMap<string, MadeMass>;
}
