<script setup lang="ts">
import type { Point } from '@grain-fold/core/geometry';

/** A ring round the place of a fault. */
defineProps<{ at: Point }>();
</script>

<template>
  <g :transform="`translate(${at.x} ${at.y})`" fill="none" pointer-events="none">
    <circle r="10" stroke="var(--brick)" stroke-width="2.5" />
    <circle r="10" stroke="#fff" stroke-width="0.8" />
  </g>
</template>
