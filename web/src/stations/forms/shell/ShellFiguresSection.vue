<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { ShellDesk } from '../use-forms.ts';

/** What the shell comes to, and the hand calculation that it replaces. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const made = computed(() => props.desk.made.value);
const figures = computed(() => made.value?.figures);
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = figures.value;
  if (!own) return [];
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits);
  return [
    ['Outside, to cover', formatArea(own.skinMm2, work.unit)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Mass of its foam and plates', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
    ['Seams to glue and tape', length(own.seamMm, 0)],
    ['Folds, all together', length(own.foldMm, 0)],
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
