<script setup lang="ts">
import { computed } from 'vue';
import {
  DOUBLER_FIELDS,
  FORMER_FIELDS,
  MOST_DOUBLERS,
  MOST_FORMERS,
  type BodyDoubler,
  type BodyFormer,
} from '@grain-fold/core/forms';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import CutFromRow from '../slip/CutFromRow.vue';
import ItemList from '../slip/ItemList.vue';
import type { BodyDesk } from '../use-forms.ts';

/** The plates across the body, and the second layer within its walls. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const body = computed(() => props.desk.form.value!.parameters);
/** In the middle of the longest stretch without one. */
function freshFormer(): Omit<BodyFormer, 'id'> {
  const { stations, formers } = body.value,
    places = [stations[0]!.aftMm, ...formers.map(({ aftMm }) => aftMm), stations.at(-1)!.aftMm].sort((a, b) => a - b);
  const at = places
    .slice(1)
    .reduce((best, b, index) => (b - places[index]! > places[best + 1]! - places[best]! ? index : best), 0);
  return { aftMm: Math.round((places[at]! + places[at + 1]!) / 2), boards: 1, rimMm: 10, leadMm: 0 };
}
function freshDoubler(): Omit<BodyDoubler, 'id'> {
  const { stations } = body.value;
  return { fromMm: stations[0]!.aftMm, toMm: Math.round(stations.at(-1)!.aftMm * 0.45) };
}
</script>

<template>
  <section aria-label="Formers">
    <FoldAway :title="`Formers · ${body.formers.length}`">
      <ItemList
        :desk="desk"
        list="formers"
        :items="body.formers"
        :most="MOST_FORMERS"
        word="former"
        :fields="FORMER_FIELDS"
        :word-of="(_, at) => `Former ${at + 1}`"
        :figure-of="({ aftMm }) => formatLengthWithUnit(aftMm, work.unit)"
        :fresh="freshFormer"
        id-prefix="f"
        :order-of="({ aftMm }) => aftMm"
      >
        <template #default="{ item, path }">
          <CutFromRow
            :model-value="item.material"
            :own="`the body’s: ${body.material}`"
            @update:model-value="desk.change('Change board of former', [{ path: `${path}material`, value: $event }])"
          />
        </template>
      </ItemList>
    </FoldAway>
    <FoldAway :title="`Doublers within the walls · ${body.doublers.length}`">
      <ItemList
        :desk="desk"
        list="doublers"
        :items="body.doublers"
        :most="MOST_DOUBLERS"
        word="doubler"
        :fields="DOUBLER_FIELDS"
        :word-of="(_, at) => `Doubler ${at + 1}`"
        :figure-of="({ fromMm, toMm }) => `${formatLength(fromMm, work.unit)} – ${formatLength(toMm, work.unit)}`"
        :fresh="freshDoubler"
        id-prefix="d"
      />
    </FoldAway>
  </section>
</template>
