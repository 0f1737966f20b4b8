<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{
  shapes: readonly { readonly d: string; readonly box: readonly [number, number, number, number] }[];
}>();

/** Shapes side by side in rows, each row as tall as its tallest, so that the largest part leads. */
const layout = computed(() => {
  const gap = 12;
  const widest = Math.max(1, ...props.shapes.map(({ box }) => box[2] - box[0])) * 1.5;
  let x = 0,
    y = 0,
    rowHeight = 0,
    right = 0;
  const placed = props.shapes.map(({ d, box }) => {
    const [width, height] = [box[2] - box[0], box[3] - box[1]];
    if (x > 0 && x + width > widest) [x, y, rowHeight] = [0, y + rowHeight + gap, 0];
    const at = { d, transform: `translate(${x - box[0]} ${y + box[3]}) scale(1 -1)` };
    x += width + gap;
    right = Math.max(right, x - gap);
    rowHeight = Math.max(rowHeight, height);
    return at;
  });
  return { placed, viewBox: `-6 -6 ${right + 12} ${y + rowHeight + 12}` };
});
</script>

<template>
  <svg :viewBox="layout.viewBox" preserveAspectRatio="xMidYMid meet" aria-hidden="true">
    <path
      v-for="(shape, index) in layout.placed"
      :key="index"
      :d="shape.d"
      :transform="shape.transform"
      fill="var(--foam)"
      fill-rule="evenodd"
      stroke="var(--ink)"
      stroke-width="1.3"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
