import { watchDebounced } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowReactive, shallowRef, watch } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import { USUAL_INTAKE, type ClassWorks, type PageLayout } from '@grain-fold/core/intake';
import { IntakeWorker } from '../../workers/intake-desk.ts';
import type { OpenedDrawing, OpenedProject, TakenDrawing } from '../../workers/intake.worker.ts';

/** How the drawing on the desk is taken in, as the builder says it. */
export interface BringInOptions {
  /** mm of the file's unit. */
  mmPerUnit: number;
  factor: number;
  works: ClassWorks;
  joinMm: number;
  gapMm: number;
  arcMm: number;
  keepsLetters: boolean;
  /** As it seems while nobody said. */
  leavesFrameOut: boolean | undefined;
  /** 0 while nobody said. */
  drawnForMm: number;
}

/** A part that comes in, as the builder wants it. */
export interface Wanted {
  readonly name: string;
  readonly quantity: number;
  readonly isWanted: boolean;
}

/** A file on its way in: what it holds, how it is taken, and what it gives. */
export function useBringIn() {
  const worker = new IntakeWorker();
  const fileName = ref('');
  const opened = shallowRef<OpenedDrawing | OpenedProject>();
  const taken = shallowRef<TakenDrawing>();
  const fault = ref('');
  const isReading = ref(false);
  const isTaking = ref(false);
  const progress = shallowRef<{ readonly done: number; readonly of: number }>();
  const wanted = shallowRef<readonly Wanted[]>([]);
  /** By how much pages were moved by hand, by their places among those that are joined. */
  const moved = shallowRef<Readonly<Record<number, Point>>>({});
  const options = shallowReactive<BringInOptions>({
    ...USUAL_INTAKE,
    mmPerUnit: 1,
    factor: 1,
    works: {},
    leavesFrameOut: undefined,
    drawnForMm: 0,
  });

  const drawing = computed(() => (opened.value && opened.value.kind !== 'project' ? opened.value : undefined));
  const project = computed(() => (opened.value?.kind === 'project' ? opened.value.airframe : undefined));
  /** From the size that the file says to the size that is taken. */
  const scale = computed(() =>
    drawing.value ? (options.mmPerUnit / drawing.value.unit.mmPerUnit) * options.factor : 1,
  );

  async function open(file: File): Promise<void> {
    clear();
    fileName.value = file.name;
    isReading.value = true;
    try {
      const answer = await worker.open(file, (done, of) => {
        progress.value = { done, of };
      });
      if (!answer) return;
      if (!answer.ok) {
        fault.value = answer.message;
        return;
      }
      if (answer.kind !== 'project') adopt(answer);
      opened.value = answer;
    } catch (error) {
      lost(error);
    } finally {
      isReading.value = false;
      progress.value = undefined;
    }
  }

  function adopt(answer: OpenedDrawing): void {
    Object.assign(options, {
      ...USUAL_INTAKE,
      mmPerUnit: answer.unit.mmPerUnit,
      factor: 1,
      works: answer.works,
      leavesFrameOut: undefined,
      drawnForMm: 0,
    });
  }

  function clear(): void {
    worker.stop();
    opened.value = undefined;
    taken.value = undefined;
    fault.value = '';
    fileName.value = '';
    wanted.value = [];
    moved.value = {};
  }
  /** What nothing foresaw ends the worker with all that it holds; the builder is told, and the next file gets another. */
  function lost(error: unknown): undefined {
    const name = fileName.value;
    clear();
    fault.value = `${name} could not be brought in: ${error instanceof Error ? error.message : 'its reader gave up'}. Nothing was changed.`;
  }
  /** Ends what is worked on; with it goes what was read. */
  function stop(): void {
    const name = fileName.value;
    clear();
    isTaking.value = false;
    fault.value = `${name} was not brought to its end: you stopped it.`;
  }

  let asked = 0;
  async function take(): Promise<void> {
    const now = drawing.value;
    if (!now) return;
    const own = ++asked;
    isTaking.value = true;
    try {
      const answer = await worker.take({
        mmPerUnit: options.mmPerUnit * options.factor,
        works: { ...options.works },
        joinMm: options.joinMm,
        gapMm: options.gapMm,
        arcMm: options.arcMm,
        keepsLetters: options.keepsLetters,
        leavesFrameOut: options.leavesFrameOut,
        ...(options.drawnForMm > 0 ? { drawnForMm: options.drawnForMm } : {}),
      });
      if (!answer || own !== asked) return;
      if (!answer.ok) {
        fault.value = answer.message;
        return;
      }
      taken.value = answer;
      wanted.value = answer.parts.map(({ name, quantity }, index) => ({
        name: name || `Part ${index + 1}`,
        quantity,
        isWanted: wanted.value.length === answer.parts.length ? wanted.value[index]!.isWanted : true,
      }));
    } catch (error) {
      if (own === asked) lost(error);
    } finally {
      if (own === asked) isTaking.value = false;
    }
  }
  // From the moment that something changes, what is shown is old: it is not taken in before it is made anew.
  watch(
    [drawing, options],
    () => {
      isTaking.value = drawing.value !== undefined;
      asked += 1;
    },
    { deep: true, flush: 'sync' },
  );
  watchDebounced([drawing, options], () => void take(), { debounce: 120, deep: true });

  /** Lays the pages anew: others, in another order, further apart, or moved by hand. */
  async function arrange(numbers: readonly number[], layout: PageLayout | undefined): Promise<void> {
    const before = drawing.value;
    // Moves are those of places: other pages have none.
    if (before?.pages?.chosen.join() !== numbers.join()) moved.value = {};
    const answer = await worker
      .arrange([...numbers], layout && structuredClone(layout), { ...moved.value })
      .catch(lost);
    if (!answer) return;
    if (!answer.ok) {
      fault.value = answer.message;
      return;
    }
    fault.value = '';
    opened.value = answer;
    // What the builder said of lines stays.
    options.works = { ...answer.works, ...(before ? options.works : {}) };
  }

  onBeforeUnmount(() => worker.stop());
  return {
    worker,
    fileName,
    opened,
    drawing,
    project,
    taken,
    fault,
    isReading,
    isTaking,
    progress,
    wanted,
    options,
    scale,
    moved,
    open,
    clear,
    stop,
    lost,
    arrange,
  };
}
export type BringIn = ReturnType<typeof useBringIn>;
