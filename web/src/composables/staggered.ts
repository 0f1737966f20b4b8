import { onBeforeUnmount, ref, watch, type Ref } from 'vue';

/**
 * Counts up to a number, a few a frame, so that a station with many drawings mounts them over several frames instead of holding the
 * page still. What was shown once stays shown.
 * @param total how many there are now
 * @param perFrame how many more each frame
 */
export function useStaggered(total: () => number, perFrame = 1): Ref<number> {
  const shown = ref(0);
  let frame = 0;
  const step = (): void => {
    shown.value = Math.min(total(), shown.value + perFrame);
    frame = shown.value < total() ? requestAnimationFrame(step) : 0;
  };
  watch(
    total,
    (count) => {
      if (count > shown.value && frame === 0) frame = requestAnimationFrame(step);
    },
    { immediate: true },
  );
  onBeforeUnmount(() => cancelAnimationFrame(frame));
  return shown;
}
