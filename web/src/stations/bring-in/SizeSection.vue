<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { DRAWING_UNITS } from '@grain-fold/core/formats';
import { boundsHeight, boundsWidth, distance, type Bounds, type Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import type { OpenedDrawing } from '../../workers/intake.worker.ts';
import type { BringInOptions } from './use-bring-in.ts';

/** How large the drawing is: its unit, a factor, or a length that is known; and the board that it was drawn for. */
const props = defineProps<{
  drawing: OpenedDrawing;
  unit: LengthUnit;
  /** As it is sized now. */ bounds: Bounds;
  picked: readonly Point[];
  /** Width that slots and trenches of the drawing have. */ likelyBoardMm?: number;
  isPicking: boolean;
}>();
const options = defineModel<BringInOptions>('options', { required: true });
defineEmits<{ pick: []; known: [lengthMm: number] }>();

const isChord = computed(() => props.drawing.unit.word === 'chord');
/** Each unit with the width that the drawing would have in it. */
const units = computed(() => {
  const own = props.drawing.unit,
    widthInUnits = Math.max(boundsWidth(props.drawing.bounds), boundsHeight(props.drawing.bounds)) / own.mmPerUnit;
  return DRAWING_UNITS.map(
    ({ word, mmPerUnit }) =>
      [String(mmPerUnit), `${word}: ${formatLengthWithUnit(widthInUnits * mmPerUnit, props.unit)}`] as const,
  );
});
const pickedMm = computed(() => (props.picked.length === 2 ? distance(props.picked[0]!, props.picked[1]!) : undefined));
/** What the builder says it is stays in the field while the drawing takes its size. */
const known = ref(0);
watch(pickedMm, (length) => {
  known.value = length ?? 0;
});
</script>

<template>
  <section>
    <h2 class="eyebrow">Size</h2>
    <p v-if="!drawing.unit.isCertain && !isChord" class="ask">
      The file does not say what its numbers are. Choose what makes it as long as it should be, or pick a length that
      you know.
    </p>
    <ChoiceRow
      v-if="!drawing.unit.isCertain && !isChord"
      label="A number is a"
      is-list
      :model-value="String(options.mmPerUnit)"
      :choices="units"
      @update:model-value="options.mmPerUnit = Number($event)"
    />
    <MeasureField
      v-if="isChord"
      label="Chord"
      :unit="unit"
      :model-value="options.mmPerUnit * options.factor"
      :least="5"
      :most="3000"
      @update:model-value="((options.mmPerUnit = $event), (options.factor = 1))"
    />
    <MeasureField
      v-else
      label="Scaled by"
      kind="factor"
      :model-value="options.factor"
      :least="0.001"
      :most="1000"
      @update:model-value="options.factor = $event"
    />
    <MeasureField
      v-if="!isChord"
      label="Length over all"
      :unit="unit"
      :model-value="boundsWidth(bounds)"
      :least="1"
      :most="20000"
      @update:model-value="options.factor *= $event / boundsWidth(bounds)"
    />
    <div class="known">
      <el-button size="small" :type="isPicking ? 'primary' : undefined" @click="$emit('pick')">{{
        isPicking ? 'Click both ends …' : 'Pick a known length'
      }}</el-button>
    </div>
    <MeasureField
      v-if="pickedMm !== undefined"
      label="What you picked is"
      :unit="unit"
      :model-value="known"
      :least="0.1"
      :most="20000"
      @update:model-value="$emit('known', $event)"
    />
    <MeasureField
      label="Drawn for board of"
      :unit="unit"
      :auto="options.drawnForMm === 0 ? 'not said' : undefined"
      :model-value="options.drawnForMm"
      :least="0"
      :most="50"
      @update:model-value="options.drawnForMm = $event"
    />
    <div v-if="likelyBoardMm && options.drawnForMm === 0" class="likely">
      <span>Its slots are {{ formatLengthWithUnit(likelyBoardMm, unit) }} wide.</span>
      <el-button size="small" @click="options.drawnForMm = likelyBoardMm">Let them follow my board</el-button>
    </div>
    <p v-if="options.drawnForMm > 0" class="follows">Slots and trenches as wide as that follow your board.</p>
  </section>
</template>

<style scoped>
.ask {
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 6px 10px;
  margin: 6px 0;
}
.known {
  padding: 8px 0 4px;
}
.likely {
  display: flex;
  gap: 8px;
  align-items: center;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 6px 10px;
  margin-top: 4px;
}
.likely span {
  flex: 1;
}
.follows {
  color: var(--ink-soft);
  font-size: 13px;
  padding-top: 3px;
}
</style>
