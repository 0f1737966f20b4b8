<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from './FigureList.vue';
import type { WingDesk } from '../use-forms.ts';

/** What the wing comes to, and the hand calculation that it replaces. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const made = computed(() => props.desk.made.value);
const figures = computed(() => made.value?.figures);
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = figures.value;
  if (!own) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
  return [
    ['Area, from above', formatArea(own.areaMm2, work.unit)],
    ['Mean chord', length(own.meanChordMm)],
    ['its nose, aft of the root', length(own.meanChordNoseMm)],
    ['Aspect ratio', own.aspectRatio.toFixed(1)],
    ['Foam, both sides', formatArea(own.foamMm2, work.unit)],
    ['Mass of its foam', formatMass(own.massG, work.unit)],
    ...(own.massAt ? [['its middle, aft of the datum', length(own.massAt.x)] as const] : []),
    ['Folds, all together', formatLengthWithUnit(own.foldMm, work.unit, 0)],
    ...(own.twistMm > 0.05
      ? [['Twist of a plate, most', formatLengthWithUnit(own.twistMm, work.unit, 2)] as const]
      : []),
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
