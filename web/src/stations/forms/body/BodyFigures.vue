<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { BodyDesk } from '../use-forms.ts';

/** What the body comes to, and the hand calculation that it replaces. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const made = computed(() => props.desk.made.value);
const figures = computed(() => made.value?.figures);
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = figures.value;
  if (!own) return [];
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits);
  return [
    ['Widest, outside', length(own.widthMm)],
    ['Highest, outside', length(own.heightMm)],
    ['Floor, along its outside', length(own.floorMm)],
    ...(own.lidMm > 0 ? [['Lid, along its outside', length(own.lidMm)] as const] : []),
    ['Outside, to cover', formatArea(own.skinMm2, work.unit)],
    ['Mass of its foam and plates', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
    ['Glue lines', length(own.glueMm, 0)],
    ['Tape along the corners', length(own.tapeMm, 0)],
    ...(own.reinforceMm > 0 ? [['Reinforcing tape on both walls', length(own.reinforceMm, 0)] as const] : []),
    ...own.boxes.flatMap(({ name, sideMm, dowels, dowelMm, dowelLengthMm }): readonly (readonly [string, string])[] => [
      [`${name}, room on either side`, sideMm < 0 ? `${length(-sideMm)} too tight` : length(sideMm)],
      ...(dowels > 0
        ? [[`its dowels of ${length(dowelMm)}, cut to`, `${dowels} × ${length(dowelLengthMm)}`] as const]
        : []),
    ]),
    ...(own.foldMm > 0 ? [['Folds, all together', length(own.foldMm, 0)] as const] : []),
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
