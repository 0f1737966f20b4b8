<script setup lang="ts">
import { computed, reactive } from 'vue';
import { rolledEdge } from '@grain-fold/core/allowance';
import type { Part } from '@grain-fold/core/part';
import { CoreError, formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../../kit/ChoiceRow.vue';
import FoldAway from '../../../../kit/FoldAway.vue';
import MeasureField from '../../../../kit/MeasureField.vue';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';

/** Makes a row of one crease, so that the board rolls round a radius. */
const props = defineProps<{ part: Part; operationId: string }>();
const work = useAirframe();
const roll = reactive({ radius: 30, turn: 90, creases: 6, side: 'left' });
/** What the row would be, or why it cannot be. */
const rolled = computed(() => {
  try {
    return rolledEdge(roll.radius, roll.turn, roll.creases);
  } catch (error) {
    if (error instanceof CoreError) return error.message;
    throw error;
  }
});
function make(): void {
  const { radius, turn, creases, side } = roll;
  work.run(props.part.id, {
    name: 'rollCrease',
    args: {
      operationId: props.operationId,
      radiusMm: radius,
      turnDegrees: turn,
      creases,
      side: side as 'left' | 'right',
    },
  });
}
</script>

<template>
  <FoldAway title="Roll round a radius">
    <MeasureField
      label="Outer radius"
      :unit="work.unit"
      :model-value="roll.radius"
      :least="1"
      :most="5000"
      @update:model-value="roll.radius = $event"
    />
    <MeasureField
      label="Turn in all"
      kind="angle"
      :model-value="roll.turn"
      :least="1"
      :most="360"
      @update:model-value="roll.turn = $event"
    />
    <MeasureField
      label="Creases"
      kind="number"
      :model-value="roll.creases"
      :least="1"
      :most="200"
      @update:model-value="roll.creases = Math.round($event)"
    />
    <ChoiceRow
      v-model="roll.side"
      label="They follow"
      :choices="[
        ['left', 'on its left'],
        ['right', 'on its right'],
      ]"
    />
    <p v-if="typeof rolled === 'string'" class="told">{{ rolled }}</p>
    <div v-else class="row">
      <span class="label"
        >{{ formatAngle(rolled.foldDegrees) }} each, {{ formatLengthWithUnit(rolled.pitchMm, work.unit) }} apart</span
      ><span class="value">{{ formatLengthWithUnit(rolled.deviationMm, work.unit, 2) }} <small>off</small></span>
    </div>
    <el-button size="small" @click="make">Make the row</el-button>
  </FoldAway>
</template>

<style scoped>
.el-button {
  margin-top: 8px;
}
.told {
  color: var(--ink-soft);
  margin: 6px 0;
}
</style>
