<script setup lang="ts">
import { computed } from 'vue';
import { drawnId, type Part } from '@grain-fold/core/drawing';
import { closeSeam, foldName, foldOrder, foldReport, type FoldedPart, type SeamState } from '@grain-fold/core/folds';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe.ts';
import type { Selection } from '../selection.ts';

/** How the part closes: its report, its seams with their gaps and mends, and the order to fold it in. */
const props = defineProps<{ part: Part; folded: FoldedPart; selection: Selection }>();
const work = useAirframe();
const report = computed(() => foldReport(props.part, props.folded, work.unit));
const order = computed(() => foldOrder(props.folded.solids, props.folded.tree, (id) => foldName(props.part, id)));
const numberOf = (segmentId: string): string => {
  const id = drawnId(segmentId);
  for (const path of props.part.contours) {
    const index = path.segments.findIndex((segment) => segment.id === id);
    if (index >= 0) return `${path.role === 'outer' ? 'edge' : 'hole edge'} ${index + 1}`;
  }
  return 'edge';
};
const nameOf = ({ seam }: SeamState): string => `${numberOf(seam.fromSegmentId)} to ${numberOf(seam.toSegmentId)}`;
const mendOf = (state: SeamState): ReturnType<typeof closeSeam> => (state.state === 'open' ? closeSeam(props.folded, state) : undefined);
const show = ({ seam }: SeamState): void => {
  const path = props.part.contours.find(({ segments }) => segments.some(({ id }) => id === drawnId(seam.fromSegmentId)));
  if (path) props.selection.chosen.value = { kind: 'segment', pathId: path.id, segmentId: drawnId(seam.fromSegmentId), t: 0.5 };
};
const near = computed(() => props.folded.near.filter(({ seam }) => !seam.fromSegmentId.includes('~') && !seam.toSegmentId.includes('~')));
const declare = (states: readonly SeamState[]): void => { work.runAll(props.part.id, states.map(({ seam }) => ({ name: 'addSeam', args: { fromSegmentId: seam.fromSegmentId, toSegmentId: seam.toSegmentId } })), `Declare ${states.length} seams`); };
const gap = ({ gapMm }: SeamState): string => formatLengthWithUnit(gapMm, work.unit, 2);
</script>

<template>
  <section aria-label="Folds">
    <h2 class="eyebrow">How it closes</h2>
    <div class="report" role="status"><p v-for="(sentence, index) in report" :key="index">{{ sentence }}</p></div>
    <div v-for="seam in folded.seams" :key="seam.seam.id" class="seam" :class="seam.state">
      <button type="button" class="name" @click="show(seam)">{{ nameOf(seam) }}</button><span class="value figures">{{ gap(seam) }}<template v-if="seam.angleDegrees > 0.5"> · {{ formatAngle(seam.angleDegrees) }} off</template></span>
      <button type="button" class="button small quiet" :aria-label="`Remove the seam ${nameOf(seam)}`" @click="work.run(part.id, { name: 'removeSeam', args: { seamId: seam.seam.id! } })">Remove</button>
      <div v-if="mendOf(seam)" class="doings"><button type="button" class="button small strong" @click="work.run(part.id, mendOf(seam)!)">Close it</button></div>
    </div>
    <template v-if="near.length > 0">
      <p class="hint">{{ near.length === 1 ? 'Two edges nearly meet' : `${near.length} pairs of edges nearly meet` }} when it is folded. Declare them as seams and their gaps are watched.</p>
      <div v-for="(state, index) in near" :key="index" class="seam near"><span class="name">{{ nameOf(state) }}</span><span class="value figures">{{ gap(state) }}</span></div>
      <button type="button" class="button small" @click="declare(near)">{{ near.length === 1 ? 'Declare the seam' : `Declare ${near.length} seams` }}</button>
    </template>
    <h2 class="eyebrow order">Fold in this order</h2>
    <ol><li v-for="{ operationId, reason } in order" :key="operationId"><b>{{ foldName(part, operationId) }}</b> <span>{{ reason }}</span></li></ol>
  </section>
</template>

<style scoped>
.report { margin: 8px 0; display: grid; gap: 6px; }
.seam { display: grid; grid-template-columns: 1fr auto auto; gap: 2px 8px; align-items: center; border-left: 4px solid var(--moss); padding: 4px 0 4px 10px; margin: 6px 0; }
.seam.open { border-left-color: var(--brick); background: var(--brick-pale); }
.seam.near { border-left-color: #c9bd9f; }
.name { border: 0; background: none; text-align: left; padding: 0; font-weight: 500; }
button.name:hover { text-decoration: underline; }
.value { font-weight: 600; font-size: 17px; }
.doings { grid-column: 1 / -1; display: flex; gap: 6px; }
.hint { margin: 10px 0 4px; color: var(--ink-soft); }
.order { margin-top: 16px; }
ol { padding-left: 20px; margin-top: 6px; display: grid; gap: 4px; }
li span { color: var(--ink-soft); }
</style>
