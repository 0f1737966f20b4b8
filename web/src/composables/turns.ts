import { nextTick, onBeforeUnmount, ref, watch, type Ref } from 'vue';

/** How long one task of the page may go on with the next in the queue, ms: half a frame leaves room for style and layout. */
const TASK_MS = 8;
const waiting = new Set<() => void>();
const bell = new MessageChannel();
let isRung = false;

function ring(): void {
  if (isRung || waiting.size === 0) return;
  isRung = true;
  bell.port2.postMessage(0);
}
bell.port1.onmessage = async (): Promise<void> => {
  const started = performance.now();
  try {
    for (const act of waiting) {
      waiting.delete(act);
      act();
      // What the turn mounts is mounted here, so that the next turn knows whether there is still time for it.
      await nextTick();
      if (performance.now() - started > TASK_MS) break;
    }
  } finally {
    // What one turn fails to mount keeps none of the others waiting.
    isRung = false;
    ring();
  }
};

/**
 * A turn in the page's queue: false at first, true when it came up. Turns come in the order they were asked for, each after what the one
 * before it mounted, and never so many in one task that the page stands still.
 * @param isWanted when it may ask for its turn; at once when not given
 */
export function useTurn(isWanted: () => boolean = () => true): Readonly<Ref<boolean>> {
  const isDue = ref(false);
  const act = (): void => {
    isDue.value = true;
  };
  watch(
    isWanted,
    (wanted) => {
      if (!wanted || isDue.value) return;
      waiting.add(act);
      ring();
    },
    { immediate: true },
  );
  onBeforeUnmount(() => waiting.delete(act));
  return isDue;
}
