<script setup lang="ts">
import { computed } from 'vue';
import { MOST_ROUND_STATIONS, ROUND_FIELDS, ROUND_STATION_FIELDS, type RoundStation } from '@grain-fold/core/forms';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import ItemList from '../slip/ItemList.vue';
import { halfWayInLongest } from '../slip/half-way.ts';
import SchoolRow from '../slip/SchoolRow.vue';
import type { RoundDesk } from '../use-forms.ts';

/** The profile of a round: how wide it is where, and what runs between. */
const props = defineProps<{ desk: RoundDesk }>();
const work = useAirframe();
const round = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const PROFILES = [
  ['straight', 'straight', 'One sheet from each station to the next.'],
  ['curved', 'a smooth curve', 'As many sheets as you say, laid so that they miss the curve least.'],
] as const;
const fresh = (): Omit<RoundStation, 'id'> | undefined => halfWayInLongest(round.value.stations, ['aftMm', 'acrossMm']);
</script>

<template>
  <section aria-label="Profile">
    <h3 class="eyebrow">Profile, across outside</h3>
    <ItemList
      :desk="desk"
      list="stations"
      :items="round.stations"
      :most="MOST_ROUND_STATIONS"
      :least="2"
      word="station"
      :fields="ROUND_STATION_FIELDS"
      :word-of="({ aftMm }, at) => `${at + 1} at ${formatLength(aftMm, work.unit)}`"
      :figure-of="({ acrossMm }) => formatLengthWithUnit(acrossMm, work.unit)"
      :fresh="fresh"
      id-prefix="q"
      :order-of="({ aftMm }) => aftMm"
    />
    <SchoolRow
      label="Between them"
      :model-value="round.profile"
      :choices="PROFILES"
      @update:model-value="desk.change('Change the profile', [{ path: 'profile', value: $event }])"
    />
    <template v-if="round.profile === 'curved'">
      <FieldRows
        :parameters="round"
        :fields="{ frusta: ROUND_FIELDS.frusta }"
        :unit="work.unit"
        @change="desk.change"
      />
      <FigureRow
        v-if="figures"
        label="off the curve at most"
        :value="`${formatLengthWithUnit(figures.deviationMm, work.unit, 2)} at ${formatLength(figures.deviationAftMm, work.unit)}`"
      />
    </template>
  </section>
</template>
