<script setup lang="ts">
import { computed } from 'vue';
import type { TailFigures } from '@grain-fold/core/forms';
import { formatAngle, formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import type { TailDesk } from '../use-forms.ts';

/** What the tail comes to. */
const props = defineProps<{ desk: TailDesk }>();
const work = useAirframe();
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = props.desk.made.value?.figures;
  if (!own) return [];
  const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits),
    percent = (share: number): string => `${Math.round(100 * share)} %`;
  const moves = (label: string, one: TailFigures['up']): readonly (readonly [string, string])[] =>
    one ? [[label, `${length(one.mm)} at ${formatAngle(one.degrees)}`]] : [];
  return [
    ...(own.up ? [['Of the level plates moves', percent(own.elevatorShare)] as const] : []),
    ...(own.uprightMm2 > 0 ? [['Upright plates', formatArea(own.uprightMm2, work.unit)] as const] : []),
    ...(own.side ? [['of them moves', percent(own.rudderShare)] as const] : []),
    ...moves('Elevator up, at its tail', own.up),
    ...moves('Elevator down', own.down),
    ...moves('Rudder, either way', own.side),
    ...(own.elevatorReliefDegrees !== undefined
      ? [['Relief of the elevator', formatAngle(own.elevatorReliefDegrees)] as const]
      : []),
    ...(own.rudderReliefDegrees !== undefined
      ? [['Relief of the rudder', formatAngle(own.rudderReliefDegrees)] as const]
      : []),
    ...(own.joiner
      ? [
          [
            'Wire between the halves',
            `${length(own.joiner.legMm, 0)} + ${length(own.joiner.bridgeMm, 0)} + ${length(own.joiner.legMm, 0)}`,
          ] as const,
        ]
      : []),
    ['Hinge tape', length(own.hingeMm, 0)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Mass of its foam', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
  ];
});
</script>

<template>
  <FigureList :desk="desk" :rows="rows" />
</template>
