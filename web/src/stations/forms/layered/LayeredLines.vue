<script setup lang="ts">
import { computed } from 'vue';
import { LAYERED_STATION_FIELDS, MOST_LAYERED_STATIONS, type LayeredStation } from '@grain-fold/core/forms';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ItemList from '../slip/ItemList.vue';
import { halfWayInLongest } from '../slip/half-way.ts';
import type { LayeredDesk } from '../use-forms.ts';

/** The side view of a profile body: its heights at stations, and what runs between. */
const props = defineProps<{ desk: LayeredDesk }>();
const work = useAirframe();
const layered = computed(() => props.desk.form.value!.parameters);
const WAYS = [
  ['straight', 'straight'],
  ['curved', 'a smooth curve'],
] as const;
const fresh = (): Omit<LayeredStation, 'id'> | undefined =>
  halfWayInLongest(layered.value.stations, ['aftMm', 'topMm', 'bottomMm']);
</script>

<template>
  <section aria-label="Side view">
    <h3 class="eyebrow">Side view</h3>
    <ItemList
      :desk="desk"
      list="stations"
      :items="layered.stations"
      :most="MOST_LAYERED_STATIONS"
      :least="2"
      word="station"
      :fields="LAYERED_STATION_FIELDS"
      :word-of="({ aftMm }, at) => `${at + 1} at ${formatLength(aftMm, work.unit)}`"
      :figure-of="({ topMm, bottomMm }) => formatLengthWithUnit(topMm - bottomMm, work.unit)"
      :fresh="fresh"
      id-prefix="q"
      :order-of="({ aftMm }) => aftMm"
    />
    <ChoiceRow
      label="Top line"
      :model-value="layered.topLine"
      :choices="WAYS"
      is-list
      @update:model-value="desk.change('Change the top line', [{ path: 'topLine', value: $event }])"
    />
    <ChoiceRow
      label="Bottom line"
      :model-value="layered.bottomLine"
      :choices="WAYS"
      is-list
      @update:model-value="desk.change('Change the bottom line', [{ path: 'bottomLine', value: $event }])"
    />
  </section>
</template>
