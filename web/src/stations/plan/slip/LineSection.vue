<script setup lang="ts">
import { computed } from 'vue';
import { boundsHeight, boundsWidth, pathBounds } from '@grain-fold/core/geometry';
import { curvesOf } from '@grain-fold/core/paths';
import { moveLinePoint, nameLine, removeLine, removeLinePoint, type ViewLine } from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** A line or outline drawn in a view; a point of it by its numbers. */
const props = defineProps<{ desk: PlanDesk; line: ViewLine; nodeId?: string }>();
const work = useAirframe();
const bounds = computed(() => pathBounds(curvesOf(props.line)));
const node = computed(() => props.line.nodes.find(({ id }) => id === props.nodeId));
function remove(): void {
  const { line, nodeId } = props;
  props.desk.run((now) => (nodeId === undefined ? removeLine(now, line.id) : removeLinePoint(now, line.id, nodeId)));
  props.desk.chosen.value = nodeId === undefined ? undefined : { kind: 'line', lineId: line.id };
}
const setPlace = (change: { readonly x?: number; readonly y?: number }): void => {
  const point = node.value;
  if (point)
    props.desk.run((now) => moveLinePoint(now, props.line.id, point.id, { x: point.x, y: point.y, ...change }));
};
</script>

<template>
  <section aria-label="Drawn line">
    <TextRow
      label="Name"
      :model-value="line.name"
      @update:model-value="$event.trim() && desk.run((now) => nameLine(now, line.id, $event.trim()))"
    />
    <p class="hint">
      Give the same name to what the other views show of it: then the views are held against each other.
    </p>
    <FigureRow label="Long" :value="formatLengthWithUnit(boundsWidth(bounds), work.unit)" />
    <FigureRow label="High" :value="formatLengthWithUnit(boundsHeight(bounds), work.unit)" />
    <template v-if="node">
      <h3 class="eyebrow">Point</h3>
      <MeasureField
        label="Across"
        :unit="work.unit"
        :model-value="node.x"
        @update:model-value="setPlace({ x: $event })"
      />
      <MeasureField label="Up" :unit="work.unit" :model-value="node.y" @update:model-value="setPlace({ y: $event })" />
    </template>
    <el-button size="small" class="out" @click="remove">{{ node ? 'Take the point out' : 'Take it out' }}</el-button>
  </section>
</template>

<style scoped>
.hint {
  padding: 6px 0;
  font-size: 13px;
  color: var(--ink-soft);
}
.eyebrow {
  padding-top: 12px;
}
.out {
  margin-top: 12px;
}
</style>
