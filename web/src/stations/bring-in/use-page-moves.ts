import { computed, ref, shallowRef } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import type { BringIn } from './use-bring-in.ts';

/** Pages that are moved by hand over the mat, where no lines told how they lie. */
export function usePageMoves({ drawing, moved, arrange, worker, lost }: BringIn) {
  const isOn = ref(false);
  const drag = shallowRef<{ readonly page: number; readonly from: Point; readonly by: Point }>();
  const cursor = computed(() => (isOn.value ? (drag.value ? 'grabbing' : 'grab') : undefined));

  function press(at: Point): void {
    const pages = drawing.value?.pages;
    if (!isOn.value || !pages) return;
    const { minX, minY, maxX, maxY } = pages.window;
    const page = pages.corners.findLastIndex(
      ({ x, y }) => at.x >= x + minX && at.x <= x + maxX && at.y >= y + minY && at.y <= y + maxY,
    );
    if (page >= 0) drag.value = { page, from: at, by: { x: 0, y: 0 } };
  }
  function move(at: Point): void {
    if (drag.value) drag.value = { ...drag.value, by: { x: at.x - drag.value.from.x, y: at.y - drag.value.from.y } };
  }
  async function release(): Promise<void> {
    const dropped = drag.value;
    drag.value = undefined;
    if (dropped) await moveBy(dropped.page, dropped.by);
  }
  /** Moves a page on by some mm and lets it catch. @param page its place among those that are joined */
  async function moveBy(page: number, by: Point): Promise<void> {
    const pages = drawing.value?.pages;
    if (!pages || (by.x === 0 && by.y === 0)) return;
    const before = moved.value[page] ?? { x: 0, y: 0 };
    const caught = await worker.catchMove(page, { x: before.x + by.x, y: before.y + by.y }, before).catch(lost);
    if (!caught) return;
    moved.value = { ...moved.value, [page]: caught };
    await arrange(pages.chosen, pages.layout);
  }
  const drop = (): void => {
    drag.value = undefined;
  };
  return { isOn, drag, cursor, press, move, release, moveBy, drop };
}
