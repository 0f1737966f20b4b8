<script setup lang="ts">
import { computed } from 'vue';
import { formatAngle, formatLength } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureTable, { type FigureTableRow } from '../slip/FigureTable.vue';
import type { ShellDesk } from '../use-forms.ts';

/** The bevel schedule: every edge with its true angle, how it is made, and to what each side is cut. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const rows = computed((): readonly FigureTableRow[] =>
  (props.desk.made.value?.figures?.edges ?? [])
    .filter(({ way }) => way !== 'flat')
    .map(({ edge, words, way, turnDegrees, bevelDegrees, lengthMm }) => ({
      key: edge,
      words,
      small: way,
      figures: [formatAngle(turnDegrees), formatAngle(bevelDegrees), formatLength(lengthMm, work.unit)],
    })),
);
</script>

<template>
  <section aria-label="Bevel schedule">
    <FoldAway :title="`Bevels, edge by edge · ${rows.length}`">
      <FigureTable label="Bevels, edge by edge" :columns="['Edge', 'turns', 'a side', 'long']" :rows="rows" />
    </FoldAway>
  </section>
</template>
