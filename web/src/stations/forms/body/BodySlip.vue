<script setup lang="ts">
import { computed } from 'vue';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { BodyDesk } from '../use-forms.ts';
import BodyFigures from './BodyFigures.vue';
import BodyFittings from './BodyFittings.vue';
import BodyFormers from './BodyFormers.vue';
import BodyLines from './BodyLines.vue';
import BodyOpenings from './BodyOpenings.vue';
import BodySeats from './BodySeats.vue';
import { HOLDS } from './schools.ts';

/** The numbers of a body: its lines first, then how its corners close, what sits in it, and what is fitted. */
const props = defineProps<{ desk: BodyDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const body = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${body.stations.length} stations · ${body.formers.length} formers · ${body.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Length" :value="length(figures.lengthMm)" />
      <FigureRow label="Wall, along its outside" :value="length(figures.wallMm)" />
    </section>
    <BodyLines :desk="desk" />
    <InTurn><BodySeats :desk="desk" :holds="HOLDS" cut="walls" /></InTurn>
    <InTurn><BodyFormers :desk="desk" /></InTurn>
    <InTurn><BodyOpenings :desk="desk" /></InTurn>
    <InTurn><BodyFittings :desk="desk" /></InTurn>
    <InTurn><BodyFigures :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
