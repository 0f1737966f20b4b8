<script setup lang="ts">
import { computed } from 'vue';
import { BODY_STATION_FIELDS, MOST_STATIONS, type BodyStation } from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ItemList from '../slip/ItemList.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { BodyDesk } from '../use-forms.ts';
import { CORNERS, LIDS, LINES } from './schools.ts';

/** The stations that the side and width lines run through, and how the sheets between them meet. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const body = computed(() => props.desk.form.value!.parameters);
const WAYS = LINES.map(([value, word]) => [value, word] as const);
const ROWS = [
  ['topLine', 'Top line'],
  ['bottomLine', 'Bottom line'],
  ['widthLine', 'Width line'],
] as const;
/** Half way through the longest bay. */
function freshStation(): Omit<BodyStation, 'id'> | undefined {
  const { stations } = body.value;
  const bays = stations.slice(1).map((b, index) => [stations[index]!, b] as const);
  const [a, b] = bays.reduce((best, one) => (one[1].aftMm - one[0].aftMm > best[1].aftMm - best[0].aftMm ? one : best));
  if (b.aftMm - a.aftMm < 40) return undefined;
  const middle = (of: (station: BodyStation) => number): number => Math.round(((of(a) + of(b)) / 2) * 10) / 10;
  return {
    aftMm: middle(({ aftMm }) => aftMm),
    topMm: middle(({ topMm }) => topMm),
    bottomMm: middle(({ bottomMm }) => bottomMm),
    widthMm: middle(({ widthMm }) => widthMm),
  };
}
const figure = ({ topMm, bottomMm, widthMm }: BodyStation): string =>
  `${formatLength(topMm - bottomMm, work.unit)} × ${formatLength(widthMm, work.unit)}`;
</script>

<template>
  <section aria-label="Lines">
    <h3 class="eyebrow">Stations, high × wide outside</h3>
    <ItemList
      :desk="desk"
      list="stations"
      :items="body.stations"
      :most="MOST_STATIONS"
      :least="2"
      word="station"
      :fields="BODY_STATION_FIELDS"
      :word-of="({ aftMm }, at) => `${at + 1} at ${formatLength(aftMm, work.unit)}`"
      :figure-of="figure"
      :fresh="freshStation"
      id-prefix="s"
      :order-of="({ aftMm }) => aftMm"
    />
    <FoldAway title="Lines and corners" is-open>
      <ChoiceRow
        v-for="[key, word] in ROWS"
        :key="key"
        :label="word"
        :model-value="body[key]"
        :choices="WAYS"
        is-list
        @update:model-value="desk.change(`${word} ${$event}`, [{ path: key, value: $event }])"
      />
      <SchoolRow
        label="Corners"
        :model-value="body.corners"
        :choices="CORNERS"
        @update:model-value="desk.change('Change corners', [{ path: 'corners', value: $event }])"
      />
      <SchoolRow
        label="Lid"
        :model-value="body.lid"
        :choices="LIDS"
        @update:model-value="desk.change('Change lid', [{ path: 'lid', value: $event }])"
      />
    </FoldAway>
  </section>
</template>
