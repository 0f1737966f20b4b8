<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { RoundDesk } from '../use-forms.ts';

/** What the round comes to. */
const props = defineProps<{ desk: RoundDesk }>();
const work = useAirframe();
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = props.desk.made.value?.figures;
  if (!own) return [];
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits);
  return [
    ['Length', length(own.lengthMm)],
    ['Bore, where narrowest', length(own.leastBoreMm)],
    ['Outside, to cover', formatArea(own.skinMm2, work.unit)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Mass of its foam and rings', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
    ['Glue along the seams', length(own.seamMm, 0)],
    ['Glue round joints and rings', length(own.jointMm, 0)],
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
