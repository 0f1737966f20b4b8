<script setup lang="ts">
import { computed } from 'vue';
import { formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { useFigures } from '../../../stores/figures.ts';
import FigureTable from './FigureTable.vue';

/** All forms together: one mass and where it lies, and one list of seams. */
const work = useAirframe();
const figures = useFigures();
const length = (mm: number, digits = 1): string => formatLengthWithUnit(mm, work.unit, digits);
const mass = computed(() => figures.slow?.mass);
const masses = computed(() => {
  if (!mass.value) return [];
  const { rows, massG, at } = mass.value;
  return [
    ...rows.map((row) => ({
      key: row.formId ?? 'drawn',
      words: row.name,
      figures: [formatMass(row.massG, work.unit), row.at ? length(row.at.x) : '–'],
    })),
    { key: 'all together', words: 'All together', figures: [formatMass(massG, work.unit), at ? length(at.x) : '–'] },
  ];
});
/** So many rows of seams are told; further ones close. */
const MOST_ROWS = 14;
const seams = computed(() =>
  (figures.slow?.seamRows ?? []).slice(0, MOST_ROWS).map(({ names, closed, open, pressed, worstMm }) => ({
    key: names.join('/'),
    words: names.join(' to '),
    ...(open + pressed > 0 ? { small: `${open} open, ${pressed} pressing` } : {}),
    figures: [String(closed + open + pressed), length(worstMm, 2)],
  })),
);
const more = computed(() => (figures.slow?.seamRows.length ?? 0) - seams.value.length);
</script>

<template>
  <FoldAway title="The whole airframe">
    <p v-if="!mass" class="about" role="status">It is being stood together …</p>
    <template v-else>
      <FigureTable label="Mass of the whole airframe" :columns="['Foam and plates', 'Mass', 'Aft']" :rows="masses" />
      <FigureTable
        v-if="seams.length > 0"
        label="Seams of the whole airframe"
        :columns="['Seams of', 'Seams', 'Widest']"
        :rows="seams"
      />
      <p v-if="more > 0" class="about">And those of {{ more }} more that lie closer.</p>
    </template>
  </FoldAway>
</template>

<style scoped>
.about {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 6px 0;
}
[role='table'] + [role='table'] {
  margin-top: 14px;
}
</style>
