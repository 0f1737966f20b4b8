<script setup lang="ts">
import { computed } from 'vue';
import { formatAngle, formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { DeckDesk } from '../use-forms.ts';

/** What the deck comes to. */
const props = defineProps<{ desk: DeckDesk }>();
const work = useAirframe();
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = props.desk.made.value?.figures;
  if (!own) return [];
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits);
  const range = ([least, most]: readonly [number, number]): string => `${formatAngle(least)} to ${formatAngle(most)}`;
  return [
    ...own.rows.flatMap(({ longMm, wideMm, foreLeans, aftLeans }, index): readonly (readonly [string, string])[] => [
      [`Sheet ${index + 1} on the flat`, `${length(longMm, 0)} × ${length(wideMm, 0)}`],
      [`its ends, off square`, `${range(foreLeans)}, ${range(aftLeans)}`],
    ]),
    ['Tightest bend, radius', length(own.tightestMm)],
    ['Outside, to cover', formatArea(own.skinMm2, work.unit)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Mass of its foam and formers', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
    ['Glue lines', length(own.glueMm, 0)],
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
