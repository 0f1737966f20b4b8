<script setup lang="ts">
import { computed } from 'vue';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { RoundDesk } from '../use-forms.ts';
import RoundFiguresSection from './RoundFiguresSection.vue';
import RoundRings from './RoundRings.vue';
import RoundRolling from './RoundRolling.vue';
import RoundSheets from './RoundSheets.vue';
import RoundStations from './RoundStations.vue';

/** The numbers of a round: its profile, how it is rolled, the flat of every sheet, and what stands in it. */
const props = defineProps<{ desk: RoundDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const round = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const sheets = computed(() => figures.value?.rows.length ?? 0);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${sheets} ${sheets === 1 ? 'sheet' : 'sheets'} · ${round.rings.length} rings · ${round.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Across, where widest" :value="length(figures.mostAcrossMm)" />
      <FigureRow label="Roll it on a tube of" :value="length(figures.tubeMm)" />
    </section>
    <RoundStations :desk="desk" />
    <InTurn><RoundRolling :desk="desk" /></InTurn>
    <InTurn><RoundSheets :desk="desk" /></InTurn>
    <InTurn><RoundRings :desk="desk" /></InTurn>
    <InTurn><RoundFiguresSection :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
