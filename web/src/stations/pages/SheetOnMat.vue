<script setup lang="ts">
import { computed } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import type { Page, PagePlan, Sheet } from '@grain-fold/core/pages';
import PartMarks from '../../mat/PartMarks.vue';

/** One sheet on the page map: its pages, and the templates across them. */
const props = defineProps<{
  plan: PagePlan;
  sheet: Sheet;
  shift: Point;
  pages: readonly Page[];
  origin: Point;
  width: number;
  height: number;
  chosenName?: string;
}>();
defineEmits<{ choose: [name: string] }>();
const chosen = computed(() => props.pages.find(({ name }) => name === props.chosenName)?.view);
const matrix = ({ a, b, c, d, e, f }: Sheet['placed'][number]['transform']): string =>
  `matrix(${a} ${b} ${c} ${d} ${e} ${f})`;
</script>

<template>
  <g :transform="`translate(${shift.x} ${shift.y})`">
    <rect
      v-for="page in pages"
      :key="page.name"
      :x="page.view.minX"
      :y="page.view.minY"
      :width="page.view.maxX - page.view.minX"
      :height="page.view.maxY - page.view.minY"
      :fill="page.name === chosenName ? '#fff' : '#f3efe3'"
      stroke="#7d9499"
      stroke-width="1"
      vector-effect="non-scaling-stroke"
      style="cursor: pointer"
      @pointerdown.stop="$emit('choose', page.name)"
    />
    <rect
      v-if="chosen"
      :x="chosen.minX"
      :y="chosen.minY"
      :width="chosen.maxX - chosen.minX"
      :height="chosen.maxY - chosen.minY"
      fill="none"
      stroke="var(--marigold)"
      stroke-width="3"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
    <path
      v-if="sheet.board"
      :d="`M${sheet.board.ring.map(({ x, y }) => `${x} ${y}`).join('L')}Z`"
      fill="none"
      stroke="var(--marigold-deep)"
      stroke-width="1.5"
      stroke-dasharray="8 4"
      vector-effect="non-scaling-stroke"
      pointer-events="none"
    />
    <g v-for="(one, index) in sheet.placed" :key="index" :transform="matrix(one.transform)" pointer-events="none"
      ><PartMarks :part="one.template.part" fill="none" plain
    /></g>
  </g>
</template>
