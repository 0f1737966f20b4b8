<script setup lang="ts">
import { computed } from 'vue';
import { distance, type Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';

/** A measure between two places, with its length. */
const props = defineProps<{ from: Point; to: Point; unit: LengthUnit; toScreen: (p: Point) => Point }>();
const ends = computed(() => [props.toScreen(props.from), props.toScreen(props.to)] as const);
</script>

<template>
  <g pointer-events="none" class="figures">
    <path
      :d="`M${ends[0].x} ${ends[0].y}L${ends[1].x} ${ends[1].y}`"
      stroke="var(--marigold)"
      stroke-width="2"
      stroke-dasharray="6 4"
    />
    <circle
      v-for="(end, index) in ends"
      :key="index"
      :cx="end.x"
      :cy="end.y"
      r="5"
      fill="var(--foam)"
      stroke="var(--marigold)"
      stroke-width="2"
    />
    <text
      class="live"
      :x="(ends[0].x + ends[1].x) / 2 + 8"
      :y="(ends[0].y + ends[1].y) / 2 - 8"
      font-size="16"
      font-weight="600"
      fill="#fff"
      >{{ formatLengthWithUnit(distance(from, to), unit) }}</text
    >
  </g>
</template>

<style scoped>
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
</style>
