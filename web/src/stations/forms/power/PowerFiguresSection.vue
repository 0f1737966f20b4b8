<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { PowerDesk } from '../use-forms.ts';

/** What the power box comes to. */
const props = defineProps<{ desk: PowerDesk }>();
const work = useAirframe();
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = props.desk.made.value?.figures;
  if (!own) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
  return [
    ['Outside, wide × high', `${length(own.widthMm)} × ${length(own.heightMm)}`],
    ['Strip, across', length(own.stripMm)],
    ['Port wall longer by', length(own.portLongerMm)],
    ['Top longer than the floor by', length(own.topLongerMm)],
    ['Propeller, aft of the datum', length(own.propeller.x)],
    ['its middle, up', length(own.propeller.y)],
    ['Propeller reaches below the box', length(own.discBelowMm)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Plates', formatArea(own.plateMm2, work.unit)],
    ['Mass of its foam and plates', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
