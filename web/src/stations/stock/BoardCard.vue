<script setup lang="ts">
import { computed, ref, useId, useTemplateRef } from 'vue';
import {
  boardCorners,
  eventWords,
  THICKEST_BOARD_MM,
  THINNEST_BOARD_MM,
  type Blemish,
  type Board,
} from '@grain-fold/core/stock';
import { fromMassPerArea, toMassPerArea, type LengthUnit, type MassPerArea } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TextRow from '../../kit/TextRow.vue';
import BlemishRows from './BlemishRows.vue';

const props = defineProps<{ board: Board; unit: LengthUnit; currency?: string; massPerArea: MassPerArea }>();
const emit = defineEmits<{
  change: [changes: Partial<Board>];
  remove: [];
  shape: [];
  mark: [blemishes: readonly Blemish[]];
}>();

const id = useId();
const outline = computed(() =>
  boardCorners(props.board)
    .map(({ x, y }) => `${x},${-y}`)
    .join(' '),
);
/** The blemish that the next press on the drawing puts in its place. */
const placing = ref<number>();
const drawing = useTemplateRef<SVGSVGElement>('drawing');
function press(event: MouseEvent): void {
  const matrix = drawing.value?.getScreenCTM(),
    { blemishes = [], widthMm, heightMm } = props.board;
  if (placing.value === undefined || !blemishes[placing.value] || !matrix) return;
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  const [x, y] = [Math.max(0, Math.min(widthMm, at.x)), Math.max(0, Math.min(heightMm, -at.y))].map(Math.round);
  emit('mark', blemishes.with(placing.value, { ...blemishes[placing.value]!, x: x!, y: y! }));
  placing.value = undefined;
}
const grainLines = computed(() => {
  const { widthMm: w, heightMm: h, grain } = props.board;
  if (grain === 'none') return '';
  return [0.3, 0.5, 0.7]
    .map((t) => (grain === 'width' ? `M${w * 0.12} ${-h * t}H${w * 0.88}` : `M${w * t} ${-h * 0.12}V${-h * 0.88}`))
    .join('');
});
</script>

<template>
  <article class="card">
    <svg
      ref="drawing"
      :style="placing === undefined ? undefined : { cursor: 'crosshair' }"
      @click="press"
      :viewBox="`-10 ${-board.heightMm - 10} ${board.widthMm + 20} ${board.heightMm + 20}`"
      preserveAspectRatio="xMinYMid meet"
      aria-hidden="true"
    >
      <polygon
        :points="outline"
        fill="#e9dfc6"
        stroke="var(--ink)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <clipPath :id="id"><polygon :points="outline" /></clipPath>
      <path
        :d="grainLines"
        :clip-path="`url(#${id})`"
        stroke="#b09a63"
        stroke-width="1.2"
        vector-effect="non-scaling-stroke"
        stroke-dasharray="10 5"
      />
      <g :clip-path="`url(#${id})`">
        <circle
          v-for="(blemish, index) in board.blemishes ?? []"
          :key="index"
          :cx="blemish.x"
          :cy="-blemish.y"
          :r="blemish.radiusMm"
          fill="#b3583f"
          :fill-opacity="index === placing ? 0.65 : 0.35"
          stroke="#8c3f2a"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </svg>
    <TextRow
      class="name"
      label="Board's name"
      hide-label
      :model-value="board.name"
      @update:model-value="emit('change', { name: $event.trim() || board.name })"
    />
    <MeasureField
      label="Thickness, measured"
      :unit="unit"
      :decimals="2"
      :model-value="board.thicknessMm"
      :least="THINNEST_BOARD_MM"
      :most="THICKEST_BOARD_MM"
      @update:model-value="emit('change', { thicknessMm: $event })"
    />
    <MeasureField
      label="Width"
      :unit="unit"
      :model-value="board.widthMm"
      :least="10"
      :disabled="!!board.outline"
      @update:model-value="emit('change', { widthMm: $event })"
    />
    <MeasureField
      label="Height"
      :unit="unit"
      :model-value="board.heightMm"
      :least="10"
      :disabled="!!board.outline"
      @update:model-value="emit('change', { heightMm: $event })"
    />
    <MeasureField
      label="Count"
      kind="number"
      :model-value="board.count"
      :least="0"
      :most="999"
      @update:model-value="emit('change', { count: Math.round($event) })"
    />
    <MeasureField
      :label="currency ? `Price each, ${currency}` : 'Price each'"
      kind="number"
      :model-value="board.price"
      :least="0"
      :most="100000"
      @update:model-value="emit('change', { price: $event })"
    />
    <ChoiceRow
      label="Grain runs"
      :model-value="board.grain"
      :choices="[
        ['width', 'along the width'],
        ['height', 'along the height'],
        ['none', 'no grain'],
      ]"
      @update:model-value="emit('change', { grain: $event as Board['grain'] })"
    />
    <MeasureField
      :label="`Mass, ${massPerArea}`"
      kind="number"
      :model-value="Number(toMassPerArea(board.gramsPerSquareMetre, massPerArea).toFixed(2))"
      :least="0.05"
      :most="100000"
      @update:model-value="emit('change', { gramsPerSquareMetre: fromMassPerArea($event, massPerArea) })"
    />
    <BlemishRows
      :board="board"
      :unit="unit"
      :placing="placing"
      @change="emit('mark', $event)"
      @place="placing = $event"
    />
    <ul v-if="board.history?.length" class="history" aria-label="What befell it">
      <li v-for="(event, index) in board.history.toReversed()" :key="index">
        <time :datetime="event.date">{{ event.date }}</time> {{ eventWords(event) }}
      </li>
    </ul>
    <p v-if="board.outline" class="offcut">An offcut: its outline has {{ board.outline.length }} corners.</p>
    <el-button text size="small" @click="emit('shape')">{{
      board.outline ? 'Its shape' : 'Give it a shape'
    }}</el-button>
    <el-button text size="small" @click="emit('remove')">Remove</el-button>
  </article>
</template>

<style scoped>
.card {
  border: 1px solid var(--ticket-line);
  border-radius: var(--radius);
  padding: 14px 16px 8px;
  background: #fffdf7;
}
svg {
  width: 100%;
  height: 110px;
  margin-bottom: 8px;
}
.name {
  border: 0;
  min-height: 0;
}
.name :deep(.el-input__inner) {
  font-weight: 600;
  font-size: 16px;
  text-align: left;
}
.history {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  font-size: 13px;
  color: var(--ink-soft);
}
.history li {
  padding: 2px 0;
}
time {
  font-family: var(--figures, inherit);
  font-weight: 600;
  color: var(--ink);
  margin-right: 4px;
}
.offcut {
  color: var(--ink-soft);
  margin-top: 6px;
}
.el-button {
  margin: 6px 0 0 -9px;
}
</style>
