<script setup lang="ts">
import { computed } from 'vue';
import { DECK_SECTION_FIELDS, MOST_DECK_SECTIONS, type DeckSection } from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { halfWayInLongest } from '../slip/half-way.ts';
import ItemList from '../slip/ItemList.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { DeckDesk } from '../use-forms.ts';

/** The sections that a deck is wrapped over, and how many sheets do it. */
const props = defineProps<{ desk: DeckDesk }>();
const work = useAirframe();
const deck = computed(() => props.desk.form.value!.parameters);
const SHEETS = [
  ['each bay', 'one for each bay', 'Every section as you say it; the sheets meet on formers.'],
  ['one', 'one over all', 'Straight from the first section to the last; formers between follow its inside.'],
] as const;
/** How far behind the last one a fresh section stands, where no bay has room. */
const NEXT_MM = 100;
/** Half way through the longest bay, or behind the last section. */
function fresh(): Omit<DeckSection, 'id'> {
  const { sections } = deck.value,
    last = sections.at(-1)!;
  const half = halfWayInLongest(sections, ['aftMm', 'widthMm', 'riseMm', 'sillMm', 'fullPercent']);
  return half ? { ...half, fullPercent: Math.round(half.fullPercent) } : { ...last, aftMm: last.aftMm + NEXT_MM };
}
</script>

<template>
  <section aria-label="Sections">
    <h3 class="eyebrow">Sections, wide × high outside</h3>
    <ItemList
      :desk="desk"
      list="sections"
      :items="deck.sections"
      :most="MOST_DECK_SECTIONS"
      :least="2"
      word="section"
      :fields="DECK_SECTION_FIELDS"
      :word-of="({ aftMm }, at) => `${at + 1} at ${formatLength(aftMm, work.unit)}`"
      :figure-of="({ widthMm, riseMm }) => `${formatLength(widthMm, work.unit)} × ${formatLength(riseMm, work.unit)}`"
      :fresh="fresh"
      id-prefix="c"
      :order-of="({ aftMm }) => aftMm"
    />
    <p>Fullness 50 is half an ellipse; more gives square shoulders.</p>
    <SchoolRow
      v-if="deck.sections.length > 2"
      label="Sheets"
      :model-value="deck.sheets"
      :choices="SHEETS"
      @update:model-value="desk.change('Change the sheets', [{ path: 'sheets', value: $event }])"
    />
  </section>
</template>

<style scoped>
p {
  font-size: 13px;
  color: var(--ink-soft);
  padding-top: 6px;
}
</style>
