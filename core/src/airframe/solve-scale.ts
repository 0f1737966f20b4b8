import type { Airframe } from './airframe.ts';
import { goalAtScale, type GoalAtScale, type ScaleGoal } from './scale-goal.ts';

/** How a search for the largest factor stands. */
export interface ScaleSearch {
  readonly tried: number;
  /** The largest factor found so far at which the goal holds; verified, as all that is told. */
  readonly best?: GoalAtScale;
  /** The smallest factor above it at which it does not: what binds. */
  readonly bound?: GoalAtScale;
  readonly isDone: boolean;
}

/** Factors that are looked at first: over each other by a fifth. */
const FIRST_FACTORS = Array.from({ length: 13 }, (_, index) => Number((0.3 * 1.2 ** index).toFixed(3)));
/** A factor is told to this. */
const STEP = 0.001;
/** Boards do not grow steadily with size: so far above what was found it is looked again, as shares of it. */
const LOOK_AGAIN = [1.01, 1.02, 1.035, 1.05] as const;

/**
 * Searches the largest factor at which a goal holds. Goals of boards and pages are no steady function of it: every factor that is told was
 * itself laid out, and a few above it are tried again.
 */
export function* solveScale(airframe: Airframe, goal: ScaleGoal): Generator<ScaleSearch, ScaleSearch> {
  let tried = 0,
    best: GoalAtScale | undefined,
    bound: GoalAtScale | undefined;
  const look = (factor: number): GoalAtScale => {
    tried += 1;
    const found = goalAtScale(airframe, goal, factor);
    if (found.holds) {
      if (!best || factor > best.factor) best = found;
      if (bound && bound.factor <= best.factor) bound = undefined;
    } else if ((!best || factor > best.factor) && (!bound || factor < bound.factor)) bound = found;
    return found;
  };
  const state = (isDone = false): ScaleSearch => ({
    tried,
    isDone,
    ...(best ? { best } : {}),
    ...(bound ? { bound } : {}),
  });
  for (const factor of FIRST_FACTORS) {
    look(factor);
    yield state();
  }
  const between = function* (): Generator<ScaleSearch> {
    while (best && bound && bound.factor - best.factor > 1.5 * STEP) {
      look(Math.round((best.factor + bound.factor) / (2 * STEP)) * STEP);
      yield state();
    }
  };
  yield* between();
  const first: GoalAtScale | undefined = best;
  if (first && (goal.kind === 'boards' || goal.kind === 'pages')) {
    for (const share of LOOK_AGAIN) {
      look(Math.round((first.factor * share) / STEP) * STEP);
      yield state();
    }
    yield* between();
  }
  return state(true);
}
