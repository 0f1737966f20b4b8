<script setup lang="ts">
import { computed } from 'vue';
import { MOST_RINGS, RING_FIELDS, type RoundRing } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import CutFromRow from '../slip/CutFromRow.vue';
import ItemList from '../slip/ItemList.vue';
import type { RoundDesk } from '../use-forms.ts';

/** Rings and discs within a round. */
const props = defineProps<{ desk: RoundDesk }>();
const work = useAirframe();
const round = computed(() => props.desk.form.value!.parameters);
/** On the first joint between two sheets that has no ring yet, so that both butt on it; else half way along. */
function fresh(): Omit<RoundRing, 'id'> {
  const { stations, rings } = round.value,
    site = props.desk.made.value?.site,
    half = (site?.board.thicknessMm ?? 0) / 2;
  const joints = (site?.frusta ?? []).slice(1).map(({ fore }) => Math.round(10 * (fore.x - half)) / 10);
  const free = joints.find((aftMm) => rings.every((ring) => Math.abs(ring.aftMm - aftMm) > 4 * half));
  return { aftMm: free ?? Math.round((stations[0]!.aftMm + stations.at(-1)!.aftMm) / 2), rimMm: 12 };
}
</script>

<template>
  <section aria-label="Rings">
    <FoldAway :title="`Rings · ${round.rings.length}`">
      <ItemList
        :desk="desk"
        list="rings"
        :items="round.rings"
        :most="MOST_RINGS"
        word="ring"
        :fields="RING_FIELDS"
        :word-of="(_, at) => `Ring ${at + 1}`"
        :figure-of="({ aftMm }) => formatLengthWithUnit(aftMm, work.unit)"
        :fresh="fresh"
        id-prefix="g"
        :order-of="({ aftMm }) => aftMm"
      >
        <template #default="{ path, item }">
          <CutFromRow
            :model-value="item.material"
            :own="`the round’s: ${round.material}`"
            @update:model-value="desk.change('Change board of ring', [{ path: `${path}material`, value: $event }])"
          />
        </template>
      </ItemList>
      <p>
        A ring that is as wide as two boards under a joint lets both sheets butt on it. Its rim leans as the side does;
        with a rim of 0 it is a full disc.
      </p>
    </FoldAway>
  </section>
</template>

<style scoped>
p {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
