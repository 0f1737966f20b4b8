<script setup lang="ts">
import { computed } from 'vue';
import { boundsHeight, boundsWidth } from '@grain-fold/core/geometry';
import { partPicture } from '@grain-fold/core/ink';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import InkDrawing from '../../pictures/InkDrawing.vue';

/** A part in the line code, as tall as it needs at the picture's width. */
const props = defineProps<{ part: ResolvedPart }>();
const WIDTH_MM = 60,
  TALLEST_MM = 34;
const height = computed(() =>
  Math.min(
    TALLEST_MM,
    Math.max(5, (WIDTH_MM * boundsHeight(props.part.bounds)) / Math.max(1, boundsWidth(props.part.bounds))),
  ),
);
const inks = computed(() => partPicture(props.part, { minX: 1, maxX: WIDTH_MM - 1, minY: 1, maxY: height.value - 1 }));
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH_MM} ${height}`" role="img" :aria-label="`${part.name} with its lines of work`">
    <g :transform="`translate(0 ${height}) scale(1 -1)`"><InkDrawing :inks="inks" /></g>
  </svg>
</template>
