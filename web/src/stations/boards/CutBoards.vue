<script setup lang="ts">
import { computed, ref } from 'vue';
import { cutBoard, restsOf, type BoardView } from '@grain-fold/core/airframe';
import { boundsHeight, boundsOf, boundsWidth, type Polygon } from '@grain-fold/core/geometry';
import { countOf, formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { listed } from '../../stores/airframe/version-label.ts';

/** The boards at the cutting table: one that is cut leaves stock, and its rests come in. */
const props = defineProps<{ views: readonly BoardView[] }>();
const work = useAirframe();

/** Rests narrower than this are thrown away, in mm. */
const leastMm = ref(work.unit === 'in' ? 3 * 25.4 : 80);
const outcome = ref('');
const sizeOf = (corners: Polygon): string => {
  const box = boundsOf(corners);
  return `${formatLength(boundsWidth(box), work.unit, 0)} × ${formatLengthWithUnit(boundsHeight(box), work.unit, 0)}`;
};
const rows = computed(() =>
  props.views.map((view) => {
    const rests = view.isCut ? [] : restsOf(view, work.airframe!.settings.nest.clearanceMm, leastMm.value);
    return { view, rests: rests.map(sizeOf) };
  }),
);
function cut(view: BoardView): void {
  const after = cutBoard(work.airframe!, view.number - 1, leastMm.value, () => work.freshId('b'));
  if (!after) {
    outcome.value = `Board ${view.number} cannot be marked: ${view.board.name} counts none in stock.`;
    return;
  }
  work.commitMade(`Cut board ${view.number}`, after.airframe);
  outcome.value =
    after.rests.length > 0
      ? `Board ${view.number} has left stock; ${countOf(after.rests.length, 'rest')} came in.`
      : `Board ${view.number} has left stock; nothing of it was worth keeping.`;
}
</script>

<template>
  <section aria-label="At the cutting table">
    <h2 class="eyebrow">At the cutting table</h2>
    <div v-for="{ view, rests } in rows" :key="view.number" class="cutting">
      <p>
        <b>Board {{ view.number }}</b>
        <template v-if="view.isCut"> is cut.</template>
        <template v-else-if="rests.length > 0"> leaves {{ listed(rests) }}.</template>
        <template v-else> leaves nothing worth keeping.</template>
      </p>
      <el-button v-if="!view.isCut" size="small" :aria-label="`Mark as cut: board ${view.number}`" @click="cut(view)"
        >Mark as cut</el-button
      >
    </div>
    <p v-if="outcome" class="outcome" role="status">{{ outcome }}</p>
    <MeasureField
      label="Keep rests from"
      :unit="work.unit"
      :model-value="leastMm"
      :least="20"
      :most="1000"
      @update:model-value="leastMm = $event"
    />
  </section>
</template>

<style scoped>
.cutting {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--ticket-line);
}
.cutting .el-button {
  flex-shrink: 0;
}
.outcome {
  margin-top: 8px;
  font-weight: 500;
}
</style>
