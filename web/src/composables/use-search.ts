import { onBeforeUnmount, ref, shallowRef, watch, type Ref, type ShallowRef, type WatchSource } from 'vue';
import type { Airframe } from '@grain-fold/core/airframe';
import { useAirframe } from '../stores/airframe/airframe.ts';
import { slowly } from '../workers/index.ts';

/** A long search over the airframe in a worker: how it stands, and its start and stop. */
export interface Search<Step> {
  readonly search: ShallowRef<Step | undefined>;
  readonly isRunning: Ref<boolean>;
  /** Why it ended without an answer. */
  readonly fault: Ref<string>;
  readonly look: () => Promise<void>;
  readonly stop: () => void;
}

/**
 * A search that tells each step, keeps the best when it is stopped, and is dropped when what it was asked about changes.
 * @param about what it is asked about: what was found for something else is not for this
 */
export function useSearch<Step>(
  job: (airframe: Airframe, onProgress: (step: Step) => void) => Promise<Step>,
  about: readonly WatchSource<unknown>[],
): Search<Step> {
  const work = useAirframe();
  const search = shallowRef<Step>(),
    isRunning = ref(false),
    fault = ref('');
  let turn = 0;
  const stop = (): void => {
    if (isRunning.value) void slowly.stopSearch();
  };
  watch([...about], () => {
    stop();
    turn += 1;
    search.value = undefined;
  });
  onBeforeUnmount(stop);
  async function look(): Promise<void> {
    const { airframe } = work;
    if (!airframe || isRunning.value) return;
    const own = ++turn;
    isRunning.value = true;
    fault.value = '';
    search.value = undefined;
    const take = (step: Step): void => {
      if (own === turn) search.value = step;
    };
    try {
      take(await job(airframe, take));
    } catch (error) {
      fault.value = `The search stopped: ${error instanceof Error ? error.message : String(error)}`;
    }
    isRunning.value = false;
  }
  return { search, isRunning, fault, look, stop };
}
