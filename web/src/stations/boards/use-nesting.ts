import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import type { AirframeNest } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import type { NestProgress } from '../../workers/nest.worker.ts';
import { slowly } from '../../workers/index.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** A point of the search's course: when, and how good the best nest was. */
export interface CoursePoint {
  readonly seconds: number;
  readonly effectiveBoards: number;
}

/** A search for a nest in the worker: how it stands, its best so far, and how it came there. */
export function useNesting() {
  const work = useAirframe();
  const isRunning = ref(false);
  const progress = shallowRef<NestProgress>();
  const best = shallowRef<AirframeNest>();
  const course = shallowRef<readonly CoursePoint[]>([]);
  const fault = ref('');

  /** Searches for so many steps or until it is stopped; the best is then kept as the airframe's nest. */
  async function start(tries: number): Promise<void> {
    const airframe = work.airframe;
    if (!airframe || isRunning.value) return;
    isRunning.value = true;
    fault.value = '';
    progress.value = undefined;
    best.value = undefined;
    course.value = [];
    const tell = (step: NestProgress): void => {
      progress.value = step;
      if (step.nest) {
        best.value = step.nest;
        course.value = [...course.value, { seconds: step.seconds, effectiveBoards: step.score.effectiveBoards }];
      }
    };
    try {
      const result = await slowly.nest(airframe, tries, tell);
      tell(result);
      // Parts edited meanwhile make the nest one of an older state; its fingerprint says so where it is shown.
      if (work.airframe?.id === airframe.id)
        work.setNest(`Nest on ${countOf(result.nest.boards.length, 'board')}`, result.nest);
    } catch (error) {
      fault.value =
        error instanceof Error ? `The nest stopped: ${error.message}` : 'The nest stopped without a reason.';
    } finally {
      isRunning.value = false;
      best.value = undefined;
    }
  }
  const stop = (): void => {
    if (isRunning.value) void slowly.stopNest();
  };
  onBeforeUnmount(stop);

  return {
    isRunning,
    progress,
    best,
    course,
    fault,
    start,
    stop,
    seconds: computed(() => progress.value?.seconds ?? 0),
  };
}
export type Nesting = ReturnType<typeof useNesting>;
