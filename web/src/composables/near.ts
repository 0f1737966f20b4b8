import { useIntersectionObserver } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useTurn } from './turns.ts';

/** How far outside the window something counts as near, so that it is there before it is scrolled to. */
const REACH = '600px';

/**
 * Whether an element has come near the window, and its turn to be filled has come. Long lists give each line a plain frame and fill it
 * then; what was filled stays.
 */
export function useNear(element: Readonly<Ref<HTMLElement | null | undefined>>): Readonly<Ref<boolean>> {
  const wasNear = ref(false);
  const { stop } = useIntersectionObserver(
    element,
    ([entry]) => {
      if (!entry?.isIntersecting) return;
      wasNear.value = true;
      stop();
    },
    { rootMargin: REACH },
  );
  return useTurn(() => wasNear.value);
}
