<script setup lang="ts">
import dayjs from 'dayjs';
import { computed } from 'vue';
import { titleOf } from '@grain-fold/core/airframe';
import { frameOfPage, pageInk, type Page, type PagePlan } from '@grain-fold/core/pages';
import InkDrawing from '../../pictures/InkDrawing.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** One page as it is printed. */
const props = defineProps<{ plan: PagePlan; page: Page }>();
const work = useAirframe();
const frame = computed(() => frameOfPage(props.plan, props.page));
const inks = computed(() =>
  work.airframe
    ? pageInk(props.plan, props.page, titleOf(work.airframe, work.version, dayjs().format('YYYY-MM-DD')))
    : [],
);
</script>

<template>
  <svg
    :viewBox="`0 0 ${frame.widthMm} ${frame.heightMm}`"
    role="img"
    :aria-label="`Page ${page.name} as it is printed`"
  >
    <rect :width="frame.widthMm" :height="frame.heightMm" fill="#fff" />
    <g :transform="`translate(0 ${frame.heightMm}) scale(1 -1)`">
      <InkDrawing :inks="inks" :least-text-mm="2" />
    </g>
  </svg>
</template>
