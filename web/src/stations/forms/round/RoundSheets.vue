<script setup lang="ts">
import { computed } from 'vue';
import { formatAngle, formatLength } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureTable, { type FigureTableRow } from '../slip/FigureTable.vue';
import type { RoundDesk } from '../use-forms.ts';

/** The flat of every sheet: what a compass needs, and how the knife is set at its ends. */
const props = defineProps<{ desk: RoundDesk }>();
const work = useAirframe();
const length = (mm: number): string => formatLength(mm, work.unit);
const bevel = (degrees: number): string =>
  degrees === 0 ? 'square' : `${formatAngle(Math.abs(degrees))} ${degrees > 0 ? 'in' : 'out'}`;
const rows = computed((): readonly FigureTableRow[] =>
  (props.desk.made.value?.figures?.rows ?? []).map(
    ({ role, frustum, foreArcMm, aftArcMm, foreBevelDegrees, aftBevelDegrees }, at) => {
      const { sectorDegrees, foreRadiusMm, aftRadiusMm, slantMm } = frustum,
        isTube = sectorDegrees === 0;
      return {
        key: role,
        words: `${at + 1}: ${length(foreArcMm)} / ${length(aftArcMm)} round`,
        small: `ends cut ${bevel(foreBevelDegrees)} / ${bevel(aftBevelDegrees)}`,
        figures: [
          isTube ? length(slantMm) : `${length(foreRadiusMm)} / ${length(aftRadiusMm)}`,
          isTube ? '–' : formatAngle(sectorDegrees),
        ],
      };
    },
  ),
);
</script>

<template>
  <section aria-label="Sheets">
    <FoldAway title="Every sheet on the flat" is-open>
      <FigureTable label="Every sheet on the flat" :columns="['Ends, fore / aft', 'radii', 'angle']" :rows="rows" />
      <p>“in” cuts the inside back, “out” the outside. Of a tube the length stands for the radii.</p>
    </FoldAway>
  </section>
</template>

<style scoped>
p {
  font-size: 13px;
  color: var(--ink-soft);
  padding-top: 6px;
}
</style>
