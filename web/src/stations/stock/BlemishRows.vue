<script setup lang="ts">
import { MOST_BLEMISHES, WIDEST_BLEMISH_MM, type Blemish, type Board } from '@grain-fold/core/stock';
import type { LengthUnit } from '@grain-fold/core/units';
import MeasureField from '../../kit/MeasureField.vue';

/** Dents and stains of a board, each typed or pressed on its drawing; no part is nested on them. */
const props = defineProps<{ board: Board; unit: LengthUnit; placing?: number }>();
const emit = defineEmits<{ change: [blemishes: readonly Blemish[]]; place: [index: number | undefined] }>();
const USUAL_RADIUS_MM = 15;

const all = (): readonly Blemish[] => props.board.blemishes ?? [];
const change = (index: number, changes: Partial<Blemish>): void =>
  emit('change', all().with(index, { ...all()[index]!, ...changes }));
const remove = (index: number): void => {
  emit('place', undefined);
  emit('change', all().toSpliced(index, 1));
};
function add(): void {
  const { widthMm, heightMm } = props.board;
  emit('change', [...all(), { x: widthMm / 2, y: heightMm / 2, radiusMm: USUAL_RADIUS_MM }]);
  emit('place', all().length);
}
</script>

<template>
  <div>
    <fieldset v-for="(blemish, index) in board.blemishes ?? []" :key="index" :class="{ isPlacing: placing === index }">
      <legend>Place {{ index + 1 }} not to be used</legend>
      <MeasureField
        label="Across"
        :unit="unit"
        :model-value="blemish.x"
        :least="0"
        :most="board.widthMm"
        @update:model-value="change(index, { x: $event })"
      />
      <MeasureField
        label="Up"
        :unit="unit"
        :model-value="blemish.y"
        :least="0"
        :most="board.heightMm"
        @update:model-value="change(index, { y: $event })"
      />
      <MeasureField
        label="Reaches"
        :unit="unit"
        :model-value="blemish.radiusMm"
        :least="1"
        :most="WIDEST_BLEMISH_MM"
        @update:model-value="change(index, { radiusMm: $event })"
      />
      <el-button
        text
        size="small"
        :aria-pressed="placing === index"
        @click="emit('place', placing === index ? undefined : index)"
        >{{ placing === index ? 'Press where it is, above' : 'Press it on the drawing' }}</el-button
      >
      <el-button text size="small" :aria-label="`Take it off: place ${index + 1}`" @click="remove(index)"
        >Take it off</el-button
      >
    </fieldset>
    <el-button v-if="(board.blemishes?.length ?? 0) < MOST_BLEMISHES" text size="small" class="add" @click="add"
      >Mark a dent or stain</el-button
    >
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  border-left: 4px solid transparent;
  padding: 0 0 0 10px;
  margin: 10px 0 0;
}
fieldset.isPlacing {
  border-left-color: var(--marigold);
}
legend {
  font-weight: 600;
}
.add {
  margin: 6px 0 0 -9px;
}
</style>
