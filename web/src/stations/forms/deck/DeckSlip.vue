<script setup lang="ts">
import { computed } from 'vue';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { DeckDesk } from '../use-forms.ts';
import DeckFiguresSection from './DeckFiguresSection.vue';
import DeckFormers from './DeckFormers.vue';
import DeckRolling from './DeckRolling.vue';
import DeckSections from './DeckSections.vue';

/** The numbers of a deck: its sections, how it is bent, its formers. */
const props = defineProps<{ desk: DeckDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const deck = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const sheets = computed(() => figures.value?.rows.length ?? 0);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${deck.sections.length} sections · ${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} · ${deck.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow
        label="Round its ends, before and behind"
        :value="`${formatLengthWithUnit(figures.rows[0]!.foreMm, work.unit)} · ${formatLengthWithUnit(figures.rows.at(-1)!.aftMm, work.unit)}`"
      />
      <FigureRow label="False by, at most" :value="`${(100 * figures.errorShare).toFixed(2)} %`" />
    </section>
    <DeckSections :desk="desk" />
    <InTurn><DeckRolling :desk="desk" /></InTurn>
    <InTurn><DeckFormers :desk="desk" /></InTurn>
    <InTurn><DeckFiguresSection :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
