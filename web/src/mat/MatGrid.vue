<script setup lang="ts">
import { computed } from 'vue';
import { formatLength, type LengthUnit } from '@grain-fold/core/units';
import type { GridSteps, MatView } from './mat-view.ts';

const props = defineProps<{ view: MatView; steps: GridSteps; unit: LengthUnit; topRoomPx: number }>();

function lines(step: number): { readonly vertical: readonly number[]; readonly horizontal: readonly number[] } {
  const { k, x, y, width, height } = props.view;
  const from = (start: number): number => Math.ceil(start / step);
  const range = (first: number, last: number): number[] =>
    Array.from({ length: Math.max(0, Math.min(400, last - first + 1)) }, (_, index) => (first + index) * step);
  return {
    vertical: range(from(-x / k), Math.floor((width - x) / k / step)),
    horizontal: range(from(-(height - y) / k), Math.floor(y / k / step)),
  };
}
const paths = computed(() => {
  const { k, x, y, width, height } = props.view;
  const path = ({ vertical, horizontal }: ReturnType<typeof lines>): string =>
    vertical.map((at) => `M${(x + at * k).toFixed(1)} 0V${height}`).join('') +
    horizontal.map((at) => `M0 ${(y - at * k).toFixed(1)}H${width}`).join('');
  return { fine: path(lines(props.steps.fineMm)), labelled: path(lines(props.steps.labelledMm)) };
});
const labels = computed(() => {
  const { k, x, y, height } = props.view;
  const { vertical, horizontal } = lines(props.steps.labelledMm);
  const text = (at: number): string => formatLength(at, props.unit, props.steps.labelledMm < 1 ? 1 : 0);
  return {
    bottom: vertical.map((at) => ({ x: x + at * k + 4, y: height - 7, text: text(at) })),
    left: horizontal
      .map((at) => ({ x: 4, y: y - at * k - 4, text: text(at) }))
      .filter((label) => label.y < height - 20 && label.y > props.topRoomPx)
      .map((label, index, all) =>
        index === all.length - 1 ? { ...label, text: `${label.text} ${props.unit}` } : label,
      ),
  };
});
</script>

<template>
  <g aria-hidden="true">
    <path :d="paths.fine" stroke="var(--mat-grid)" stroke-width="1" opacity="0.38" />
    <path :d="paths.labelled" stroke="var(--mat-grid)" stroke-width="1" />
    <g class="labels figures" fill="var(--mat-text)" font-size="12">
      <text v-for="label in labels.bottom" :key="`b${label.x}`" :x="label.x" :y="label.y">{{ label.text }}</text>
      <text v-for="label in labels.left" :key="`l${label.y}`" :x="label.x" :y="label.y">{{ label.text }}</text>
    </g>
  </g>
</template>
