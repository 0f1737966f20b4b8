<script setup lang="ts">
import { computed } from 'vue';
import { formatArea, formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { TailDesk } from '../use-forms.ts';
import TailElevator from './TailElevator.vue';
import TailFiguresSection from './TailFiguresSection.vue';
import TailFin from './TailFin.vue';
import TailRoom from './TailRoom.vue';
import TailStabiliser from './TailStabiliser.vue';

/** The numbers of a tail: its plates, how far they move, and what that costs them. */
const props = defineProps<{ desk: TailDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const tail = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const plates = computed(() =>
  [
    'stabiliser',
    tail.value.elevator && (tail.value.elevator.halves === 'two' ? 'elevator in halves' : 'elevator'),
    tail.value.fin && (tail.value.fin.place === 'tips' ? 'fins at the tips' : 'fin'),
    tail.value.rudder && 'rudder',
  ]
    .filter(Boolean)
    .join(', '),
);
const lost = (size: { readonly alongMm: number; readonly acrossMm: number }): string =>
  `${formatLengthWithUnit(size.alongMm, work.unit)} × ${formatLengthWithUnit(size.acrossMm, work.unit)}`;
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead :desk="desk" :words="`${plates} · ${tail.material}`" @anew="$emit('anew')" />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Level plates" :value="formatArea(figures.levelMm2, work.unit)" />
      <FigureRow
        v-if="figures.elevatorLoses"
        label="Elevator loses, along × across"
        :value="lost(figures.elevatorLoses)"
      />
      <FigureRow v-if="figures.rudderLoses" label="Rudder loses, along × up" :value="lost(figures.rudderLoses)" />
    </section>
    <TailStabiliser :desk="desk" />
    <InTurn><TailElevator :desk="desk" /></InTurn>
    <InTurn><TailFin :desk="desk" /></InTurn>
    <InTurn><TailRoom :desk="desk" /></InTurn>
    <InTurn><TailFiguresSection :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
