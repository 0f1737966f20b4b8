import { ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue';
import type { Airframe, FoldExtent, FoldView } from '@grain-fold/core/airframe';
import { slowly } from '../../../workers/index.ts';

export interface FoldViewing {
  /** How much of the airframe is folded. */
  readonly extent: Ref<FoldExtent>;
  /** What is shown; it stays while the next is worked out, so it may be of the part that was open before. */
  readonly view: ShallowRef<FoldView | undefined>;
  readonly isFolding: Ref<boolean>;
  /** Why it could not be folded, or nothing. */
  readonly message: Ref<string>;
}

/** Keeps the folded view of a part up to date in a worker: the newest state is worked out, those that it overtook are left out. */
export function useFoldView(
  airframe: () => Airframe | undefined,
  partId: () => string | undefined,
  isOpen: () => boolean,
): FoldViewing {
  const extent = ref<FoldExtent>('part'),
    view = shallowRef<FoldView>(),
    isFolding = ref(false),
    message = ref('');
  let isAsked = false;

  async function follow(): Promise<void> {
    isAsked = true;
    if (isFolding.value) return;
    isFolding.value = true;
    try {
      while (isAsked) {
        isAsked = false;
        const [now, id, wanted] = [airframe(), partId(), extent.value];
        if (!now || !id || !isOpen()) continue;
        const answer = await slowly.folded(now, id, wanted);
        if (partId() !== id || extent.value !== wanted) continue;
        message.value = answer.ok ? '' : answer.message;
        view.value = answer.ok ? answer.value : undefined;
      }
    } catch (error) {
      message.value = `Folding failed: ${error instanceof Error ? error.message : String(error)}. Undo the last step, or open the part flat.`;
      throw error;
    } finally {
      isFolding.value = false;
    }
  }
  watch(
    [airframe, partId, isOpen, extent],
    () => {
      if (isOpen()) void follow();
      else view.value = undefined;
    },
    { immediate: true },
  );
  return { extent, view, isFolding, message };
}
