<script setup lang="ts">
import type { Point } from '@grain-fold/core/geometry';
import type { Snap } from '@grain-fold/core/paths';

/** Where the pointer was caught, and by what. */
defineProps<{ at: Point; reason: Snap['reason'] }>();
const WORDS: Readonly<Record<Snap['reason'], string>> = {
  end: 'on a point',
  crossing: 'on a crossing',
  middle: 'on the middle',
  centre: 'on the centre',
  tangent: 'touching',
  square: 'square to it',
  guide: 'on a guide',
  edge: 'on an edge',
  'other part': 'on the part beneath',
  grid: 'on the grid',
  free: '',
};
</script>

<template>
  <g v-if="reason !== 'free'" :transform="`translate(${at.x} ${at.y})`" pointer-events="none">
    <path d="M-7 0H7M0-7V7" stroke="var(--marigold)" stroke-width="2" />
    <text x="12" y="-10" class="figures live" font-size="13" font-weight="600" fill="#ffd9a1">{{ WORDS[reason] }}</text>
  </g>
</template>

<style scoped>
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
</style>
