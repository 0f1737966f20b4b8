<script setup lang="ts">
import { computed } from 'vue';
import { distance, midpoint, type Point } from '@grain-fold/core/geometry';
import type { Gap } from '@grain-fold/core/intake';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { ShownPages } from '../../workers/intake.worker.ts';

/** What is marked over a drawing: the length that is picked, gaps, and the pages that it was cut into. */
const props = defineProps<{
  picked: readonly Point[];
  hover?: Point;
  gaps: readonly Gap[];
  pages?: ShownPages;
  /** The page that is dragged, and by how much. */ drag?: { readonly page: number; readonly by: Point };
  unit: LengthUnit;
  toScreen: (p: Point) => Point;
}>();
/** More rings than this tell no more. */
const MOST_RINGS = 300;

const line = computed(() => {
  const ends = [...props.picked, ...(props.picked.length === 1 && props.hover ? [props.hover] : [])];
  if (ends.length < 2) return undefined;
  const [a, b] = ends.map(props.toScreen) as [Point, Point];
  return { a, b, at: midpoint(a, b), words: formatLengthWithUnit(distance(ends[0]!, ends[1]!), props.unit) };
});
const frames = computed(() => {
  const { pages, drag } = props;
  if (!pages || pages.count < 2) return [];
  return pages.corners.map((corner, index) => {
    const by = drag?.page === index ? drag.by : { x: 0, y: 0 },
      x = corner.x + by.x,
      y = corner.y + by.y;
    const low = props.toScreen({ x: x + pages.window.minX, y: y + pages.window.minY }),
      high = props.toScreen({ x: x + pages.window.maxX, y: y + pages.window.maxY });
    return { number: pages.chosen[index]!, x: low.x, y: high.y, width: high.x - low.x, height: low.y - high.y };
  });
});
</script>

<template>
  <g class="marks">
    <g v-for="frame in frames" :key="frame.number">
      <rect class="page" :x="frame.x" :y="frame.y" :width="frame.width" :height="frame.height" />
      <text class="number" :x="frame.x + 8" :y="frame.y + 22">{{ frame.number }}</text>
    </g>
    <circle
      v-for="(gap, index) in gaps.slice(0, MOST_RINGS)"
      :key="index"
      class="gap"
      :cx="toScreen(midpoint(gap.from, gap.to)).x"
      :cy="toScreen(midpoint(gap.from, gap.to)).y"
      r="9"
    />
    <circle v-if="hover" class="end" :cx="toScreen(hover).x" :cy="toScreen(hover).y" r="6" />
    <template v-if="line">
      <line class="length" :x1="line.a.x" :y1="line.a.y" :x2="line.b.x" :y2="line.b.y" />
      <circle class="end" :cx="line.a.x" :cy="line.a.y" r="5" />
      <circle class="end" :cx="line.b.x" :cy="line.b.y" r="5" />
      <text class="words" :x="line.at.x" :y="line.at.y - 8">{{ line.words }}</text>
    </template>
  </g>
</template>

<style scoped>
.page {
  fill: none;
  stroke: #a8c0c4;
  stroke-dasharray: 3 5;
}
.number {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  fill: #8a6a2c;
}
.gap {
  fill: none;
  stroke: #ff8f70;
  stroke-width: 2;
}
.length {
  stroke: var(--marigold);
  stroke-width: 2;
}
.end {
  fill: var(--marigold);
  stroke: var(--ink);
}
.words {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 18px;
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: #fffdf6;
  stroke-width: 5px;
}
</style>
