<script setup lang="ts">
import { computed } from 'vue';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';

/** The length of the whole drawing, on a bar beneath it. */
const props = defineProps<{ box: Bounds; unit: LengthUnit; toScreen: (p: Point) => Point }>();
const text = computed(() => formatLengthWithUnit(props.box.maxX - props.box.minX, props.unit));
const left = computed(() => props.toScreen({ x: props.box.minX, y: props.box.minY }));
const right = computed(() => props.toScreen({ x: props.box.maxX, y: props.box.minY }));
</script>

<template>
  <g class="figures" stroke="#cfdcdb" fill="#fff" pointer-events="none">
    <path :d="`M${left.x} ${left.y + 24}v12m0-6H${right.x}m0-6v12`" fill="none" />
    <g :transform="`translate(${(left.x + right.x) / 2} ${left.y + 30})`">
      <rect
        :x="-text.length * 4.4 - 6"
        y="-10"
        :width="text.length * 8.8 + 12"
        height="20"
        fill="var(--mat)"
        stroke="none"
      />
      <text text-anchor="middle" y="6" font-size="17" font-weight="600" stroke="none">{{ text }}</text>
    </g>
  </g>
</template>
