import type { Airframe } from '@grain-fold/core/airframe';

/** One named step; airframes are immutable, so the state before it is a reference. */
export interface Step {
  readonly id: string;
  readonly label: string;
  readonly before: Airframe;
}

/** The steps that lead here, the oldest first, and those that were taken back, the next one first. */
export interface History {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

/** Steps kept at most. */
export const HISTORY_LIMIT = 1000;
export const NO_HISTORY: History = { past: [], future: [] };

/** The history after a new step: what was taken back is gone, and so is the oldest beyond the limit. */
export const withStep = ({ past }: History, step: Step): History => ({
  past: [...past, step].slice(-HISTORY_LIMIT),
  future: [],
});

/**
 * Goes steps back (below 0) or forward at once.
 * @returns the history and the state there; undefined when there is no such step
 */
export function walked(
  { past, future }: History,
  now: Airframe,
  steps: number,
): { readonly history: History; readonly now: Airframe } | undefined {
  const isBack = steps < 0;
  const taken = isBack ? past.slice(steps).reverse() : future.slice(0, steps);
  if (taken.length === 0) return undefined;
  let state = now;
  const passed = taken.map(({ id, label, before }): Step => {
    const step = { id, label, before: state };
    state = before;
    return step;
  });
  const history = isBack
    ? { past: past.slice(0, past.length - taken.length), future: [...passed.reverse(), ...future] }
    : { past: [...past, ...passed], future: future.slice(taken.length) };
  return { history, now: state };
}
