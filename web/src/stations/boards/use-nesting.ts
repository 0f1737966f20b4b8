import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { isNestCurrent, lockedCount, type AirframeNest, type NestScope } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import { nestJobsApi } from '../../api/nest-jobs.ts';
import type { NestProgress, NestResult } from '../../workers/nest.worker.ts';
import { slowly } from '../../workers/index.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { dropFromServer, heardFromServer, searchOnServer, type ServerSearch } from './nest-on-server.ts';
import type { SearchOrder } from './searches.ts';
import { isBetterNest, isLaidAlike, keepFound, nestFigures } from './nests-found.ts';

/** A point of the search's course: when, and how good the best nest was. */
export interface CoursePoint {
  readonly seconds: number;
  readonly score: NestProgress['score'];
}

/** A search for a nest in the worker: how it stands, its best so far, and how it came there. */
export function useNesting() {
  const work = useAirframe();
  const isRunning = ref(false);
  const progress = shallowRef<NestProgress>();
  const best = shallowRef<AirframeNest>();
  const course = shallowRef<readonly CoursePoint[]>([]);
  const fault = ref('');

  /** What came of the last search, where the nest that is shown does not say it. */
  const outcome = ref('');

  /** Ends the listening to a search on the server, which goes on without the page. */
  let listening: AbortController | undefined;
  const onServer = shallowRef<ServerSearch>();
  /** Stop may be asked for while the server has not taken the search in yet: it is told as soon as it has. */
  let isStopAsked = false;

  /** Searches in the page or on the server; the best is then kept as the airframe's nest, unless the one before is better. */
  async function start({ length, isOnServer }: SearchOrder, scope: NestScope = {}): Promise<void> {
    const airframe = work.airframe;
    if (!airframe || isRunning.value) return;
    await run(airframe.id, scope, async (tell) => {
      if (!isOnServer) return slowly.nest(airframe, length.tries, scope, tell);
      await work.flush(); // the server nests what is saved
      return listen(await nestJobsApi.start({ airframeId: airframe.id, seconds: length.seconds, ...scope }), tell);
    });
  }
  /** Comes back to a search that the server runs, or has run, for the airframe. */
  async function comeBack(): Promise<void> {
    const id = work.airframe?.id;
    const search = id && (await searchOnServer(id));
    if (!search || isRunning.value || work.airframe?.id !== id) return;
    await run(id, search.scope, async (tell) => listen(search, tell));
  }
  async function listen(search: ServerSearch, tell: (step: NestProgress) => void): Promise<NestResult | undefined> {
    onServer.value = search;
    listening = new AbortController();
    if (isStopAsked) stop();
    return heardFromServer(search, tell, listening.signal);
  }

  async function run(
    airframeId: string,
    scope: NestScope,
    search: (tell: (step: NestProgress) => void) => Promise<NestResult | undefined>,
  ): Promise<void> {
    isRunning.value = true;
    isStopAsked = false;
    fault.value = '';
    outcome.value = '';
    progress.value = undefined;
    best.value = undefined;
    course.value = [];
    const tell = (step: NestProgress): void => {
      progress.value = step;
      if (step.nest) {
        best.value = step.nest;
        course.value = [...course.value, { seconds: step.seconds, score: step.score }];
      }
    };
    try {
      const result = await search(tell);
      if (result) tell(result);
      // Parts edited meanwhile make the nest one of an older state; its fingerprint says so where it is shown.
      if (result && work.airframe?.id === airframeId) {
        take(result.nest, scope);
        // Only now: a page that is left before keeps its nest on the server.
        if (onServer.value) void dropFromServer(onServer.value);
      }
    } catch (error) {
      fault.value =
        error instanceof Error ? `The nest stopped: ${error.message}` : 'The nest stopped without a reason.';
    } finally {
      isRunning.value = false;
      best.value = undefined;
      onServer.value = undefined;
    }
  }
  /** Keeps what was found: as the nest, or beside the one before where that is no worse. */
  function take(nest: AirframeNest, { board, isAnother }: NestScope): void {
    const airframe = work.airframe!,
      before = airframe.nest;
    if (before && isNestCurrent(airframe)) {
      keepFound(airframe.id, before);
      if (nest.readHash !== before.readHash) {
        outcome.value = 'Parts, boards or distances have changed since the search began: the nest before stays.';
        return;
      }
      if (isAnother && board === undefined) {
        const [now, kept] = [nestFigures(airframe, nest), nestFigures(airframe, before)];
        if (!isBetterNest(now, kept)) {
          keepFound(airframe.id, nest);
          outcome.value = `This try came to ${now.effectiveBoards.toFixed(2)} boards, no better than ${kept.effectiveBoards.toFixed(2)}: the nest before stays.`;
          return;
        }
      } else if (isLaidAlike(nest, before)) {
        // A search that goes on from a nest ends with it, or with a better one.
        outcome.value =
          'Nothing better was found: the nest stays as it was. A longer search, or another try, may find more.';
        return;
      }
    }
    const freed = lockedCount(before) - lockedCount(nest);
    if (freed > 0) outcome.value = `${countOf(freed, 'locked piece')} could not stay: laid anew.`;
    keepFound(airframe.id, nest);
    work.setNest(
      board === undefined ? `Nest on ${countOf(nest.boards.length, 'board')}` : `Nest board ${board + 1} anew`,
      nest,
    );
  }
  const stop = (): void => {
    if (!isRunning.value) return;
    isStopAsked = true;
    if (!onServer.value) void slowly.stopNest();
    else
      nestJobsApi.stop(onServer.value.id).catch((error: unknown) => {
        fault.value = error instanceof Error ? error.message : 'The server could not be asked to stop.';
      });
  };
  watch(() => work.airframe?.id, comeBack, { immediate: true });
  onBeforeUnmount(() => {
    if (onServer.value) listening?.abort();
    else stop();
  });

  return {
    isRunning,
    progress,
    best,
    course,
    fault,
    outcome,
    isOnServer: computed(() => onServer.value !== undefined),
    start,
    stop,
    seconds: computed(() => progress.value?.seconds ?? 0),
  };
}
export type Nesting = ReturnType<typeof useNesting>;
