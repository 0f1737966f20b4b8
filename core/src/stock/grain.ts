import { degreesBetween, normaliseDegrees } from '../units/index.ts';
import type { Board } from './board.ts';

/** How the direction of a part lies to the board's grain. */
export const GRAIN_RULES = ['along', 'across', 'any'] as const;
/** How a part may lie on a board relative to its grain. */
export interface GrainRule {
  /** Direction on the drawing that the rule speaks of, in degrees from the x axis. */
  readonly directionDegrees: number;
  readonly rule: (typeof GRAIN_RULES)[number];
}

/** Turns tried for parts that no rule holds, in degrees apart. */
export const TURN_STEPS = [90, 45, 30, 15] as const;
export type TurnStep = (typeof TURN_STEPS)[number];
/** Apart by which fits are looked for where parts may be turned freely, in degrees. */
const WHOLE_DEGREES = 1;
/** Turns apart that fits are looked for at, in degrees. */
export type FitStep = TurnStep | typeof WHOLE_DEGREES;
/** Turns apart that decide whether a part fits a board, in degrees. */
export const fitStep = (turns: { readonly turnStep: TurnStep; readonly turnsFreely?: boolean }): FitStep =>
  turns.turnsFreely ? WHOLE_DEGREES : turns.turnStep;

/**
 * The turns, counter-clockwise in degrees, in which a part may be cut from a board.
 * A rule on a board without grain holds nothing, so every turn of the step is allowed.
 * @param grain the part's rule
 * @param boardGrain way of the board's grain
 * @param step turns apart for parts that may lie any way
 */
export function allowedTurns(grain: GrainRule, boardGrain: Board['grain'], step: FitStep = 90): readonly number[] {
  if (liesAnyWay(grain, boardGrain)) return Array.from({ length: 360 / step }, (_, index) => index * step);
  const boardDirection = (boardGrain === 'width' ? 0 : 90) + (grain.rule === 'across' ? 90 : 0);
  const turn = normaliseDegrees(boardDirection - grain.directionDegrees);
  return [turn, normaliseDegrees(turn + 180)].sort((a, b) => a - b);
}

/** Whether no rule holds a part on a board. */
export const liesAnyWay = (grain: GrainRule, boardGrain: Board['grain']): boolean =>
  grain.rule === 'any' || boardGrain === 'none';

/** Whether a part may be cut from a board turned by so many degrees: one that no rule holds may lie at any angle. */
export const mayLieTurned = (grain: GrainRule, boardGrain: Board['grain'], degrees: number): boolean =>
  liesAnyWay(grain, boardGrain) || allowedTurns(grain, boardGrain).some((turn) => degreesBetween(turn, degrees) < 1e-6);
