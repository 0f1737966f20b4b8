import { nextTick, onMounted, watch, type ComputedRef } from 'vue';
import type { Part } from '@grain-fold/core/part';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { keptDrawing } from './kept-drawing.ts';
import type { Drafting } from './use-drafting.ts';

/**
 * Keeps the path that is being drawn while it is not yet an edit, and goes on with it when the station opens again: another station may
 * have been looked at meanwhile, or the tab closed.
 * @param choose shows a part on the mat
 */
export function useKeptDrawing(
  part: ComputedRef<Part | undefined>,
  drafting: Drafting,
  choose: (partId: string) => Promise<unknown>,
): void {
  const work = useAirframe();
  const sayNotKept = (): void => {
    work.message = 'This browser keeps nothing that is half drawn: end it before you close the page.';
  };

  watch(drafting.soFar, (now) => {
    const airframeId = work.airframe?.id,
      partId = part.value?.id;
    if (!airframeId) return;
    (now && partId ? keptDrawing.keep(airframeId, { ...now, partId }) : keptDrawing.forget(airframeId)).catch(
      sayNotKept,
    );
  });
  onMounted(async () => {
    const airframeId = work.airframe?.id;
    const kept = airframeId ? await keptDrawing.find(airframeId).catch(sayNotKept) : undefined;
    if (!kept || drafting.soFar.value || work.airframe?.id !== airframeId) return;
    const drawnOn = work.airframe?.parts.find(({ id }) => id === kept.partId);
    if (!drawnOn) return;
    if (part.value?.id !== kept.partId) await choose(kept.partId);
    await nextTick();
    drafting.goOn(kept);
    work.message = `What you had begun to draw on ${drawnOn.name} is here: go on from its last point, or Esc takes it back.`;
  });
}
