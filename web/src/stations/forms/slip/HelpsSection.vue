<script setup lang="ts">
import { computed } from 'vue';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import GaugeRows from './GaugeRows.vue';
import type { WingDesk } from '../use-forms.ts';

/** What holds the wing while it is glued, and the heights on the table that prove it has no twist. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const HELPS = [
  ['hasTipBlocks', 'Blocks under what stands off the table'],
  ['hasWedges', 'Foam wedges under the outer panels'],
  ['hasJigs', 'Rigid jigs, mitred at half the turn'],
] as const;
const materials = computed(() => {
  const known = materialsOf(work.airframe?.boards ?? []);
  return [...new Set([wing.value.jigMaterial, ...known])].map((one) => [one, one] as const);
});
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
</script>

<template>
  <section aria-label="Blocks and jigs">
    <FoldAway title="Blocks, wedges, jigs and gauges">
      <CheckRow
        v-for="[key, word] in HELPS"
        :key="key"
        :label="word"
        :model-value="wing[key]"
        @update:model-value="
          desk.change(`${$event ? 'Add' : 'Leave out'} ${word.toLowerCase()}`, [{ path: key, value: $event }])
        "
      />
      <GaugeRows :desk="desk" />
      <ChoiceRow
        label="Cut from"
        :model-value="wing.jigMaterial"
        :choices="materials"
        is-list
        @update:model-value="desk.change('Change board of the jigs', [{ path: 'jigMaterial', value: $event }])"
      />
      <p v-if="wing.hasJigs" class="safety">
        Wood on a table saw: guard on, push stick, stand beside the blade, not behind it.
      </p>
      <template v-if="figures">
        <p class="eyebrow">Nose and tail over the table: no twist</p>
        <FigureRow
          v-for="corner in figures.corners"
          :key="corner.panel"
          :label="`Panel ${corner.panel}, inner end`"
          :value="`${length(corner.rootNoseMm)} · ${length(corner.rootTailMm)}`"
        />
        <FigureRow
          v-for="corner in figures.corners"
          :key="`o${corner.panel}`"
          :label="`Panel ${corner.panel}, outer end`"
          :value="`${length(corner.tipNoseMm)} · ${length(corner.tipTailMm)}`"
        />
      </template>
    </FoldAway>
  </section>
</template>

<style scoped>
.eyebrow {
  padding: 12px 0 4px;
}
.safety {
  font-size: 13px;
  color: var(--label);
  padding: 6px 0;
}
</style>
