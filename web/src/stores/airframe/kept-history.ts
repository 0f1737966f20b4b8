import { toRaw } from 'vue';
import type { Airframe } from '@grain-fold/core/airframe';
import { changed, changeTo, type AirframeChange } from './step-changes.ts';
import { NO_HISTORY, type History, type Step } from './history.ts';
import { historyStorage } from './history-storage.ts';

/** Steps to each side of the present state that outlive a closed tab. */
const KEPT_STEPS = 100;
/** Rises when what is kept changes its form; what was kept in another form is left aside. */
const FORM = 1;

/** The steps around a state by their ids: those that led to it, the oldest first, and those taken back, the next first. */
export interface StepsAround {
  readonly past: readonly string[];
  readonly future: readonly string[];
}
interface KeptStep {
  readonly label: string;
  readonly back: AirframeChange;
  readonly forth: AirframeChange;
}
/** The steps around the state that the server holds as a version of the airframe. */
interface KeptHistory extends StepsAround {
  readonly form: number;
  readonly version: number;
}

const keyOf = (airframeId: string, stepId: string): string => `${airframeId} ${stepId}`;
const kept = ({ past, future }: History): History => ({
  past: past.slice(-KEPT_STEPS),
  future: future.slice(0, KEPT_STEPS),
});
const ids = (steps: readonly Step[]): readonly string[] => steps.map(({ id }) => id);

/** The ids of the steps around a state that are kept. */
export function stepsAround(history: History): StepsAround {
  const { past, future } = kept(history);
  return { past: ids(past), future: ids(future) };
}

/**
 * Keeps the history of an airframe in the browser's storage. A step is written once, as what it changed both ways; which steps lie
 * before and after the present state is written beside it.
 */
export function historyKeeper() {
  const written = new Set<string>();

  /** Writes the steps that are not written yet. @param now the state between past and future */
  async function write(airframeId: string, history: History, now: Airframe): Promise<void> {
    const { past, future } = kept(history);
    const states = [...past.map(({ before }) => before), now, ...future.map(({ before }) => before)];
    const fresh = [...past, ...future].flatMap(({ id, label }, index) =>
      written.has(id) ? [] : [{ id, label, before: toRaw(states[index]!), after: toRaw(states[index + 1]!) }],
    );
    fresh.forEach(({ id }) => written.add(id));
    await Promise.all(
      fresh.map(({ id, label, before, after }) => {
        const step: KeptStep = { label, back: changeTo(after, before), forth: changeTo(before, after) };
        return historyStorage.put(keyOf(airframeId, id), step);
      }),
    );
  }

  /** Says which steps lie around the state that the server now holds, and drops those that lie around none. */
  async function acknowledge(airframeId: string, version: number, around: StepsAround): Promise<void> {
    const value: KeptHistory = { form: FORM, version, ...around };
    await historyStorage.put(airframeId, value);
    const wanted = new Set([...around.past, ...around.future]);
    const gone = [...written].filter((id) => !wanted.has(id));
    gone.forEach((id) => written.delete(id));
    if (gone.length > 0) await historyStorage.remove(gone.map((id) => keyOf(airframeId, id)));
  }

  /** The steps around the state that the server holds as a version; none when another version was the last. */
  async function aroundVersion(airframeId: string, version: number): Promise<StepsAround | undefined> {
    const found = await historyStorage.get<KeptHistory>(airframeId);
    return found?.form === FORM && found.version === version ? found : undefined;
  }

  /** The history around a state, as far as its steps are there. */
  async function read(now: Airframe, around: StepsAround): Promise<History> {
    written.clear();
    const load = (stepIds: readonly string[]): Promise<readonly (KeptStep | undefined)[]> =>
      historyStorage.getAll<KeptStep>(stepIds.map((id) => keyOf(now.id, id)));
    const [past, future] = await Promise.all([load(around.past), load(around.future)]);
    const follow = (
      stepIds: readonly string[],
      steps: readonly (KeptStep | undefined)[],
      way: 'back' | 'forth',
    ): Step[] => {
      let state = now;
      const made: Step[] = [];
      for (const [index, step] of steps.entries()) {
        if (!step) break;
        state = changed(state, step[way]);
        made.push({ id: stepIds[index]!, label: step.label, before: state });
      }
      return made;
    };
    const history = {
      past: follow(around.past.toReversed(), past.toReversed(), 'back').reverse(),
      future: follow(around.future, future, 'forth'),
    };
    [...around.past, ...around.future].forEach((id) => written.add(id));
    return history.past.length + history.future.length > 0 ? history : NO_HISTORY;
  }

  return { write, acknowledge, aroundVersion, read };
}

export type HistoryKeeper = ReturnType<typeof historyKeeper>;
