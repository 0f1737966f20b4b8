<script setup lang="ts">
import { computed } from 'vue';
import { formatAngle } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { ShellDesk } from '../use-forms.ts';
import EdgeSchedule from './EdgeSchedule.vue';
import ShellBulkheads from './ShellBulkheads.vue';
import ShellFiguresSection from './ShellFiguresSection.vue';
import ShellSections from './ShellSections.vue';

/** The numbers of a shell: its sections and corners, then its edges as they are cut, and what stands in it. */
const props = defineProps<{ desk: ShellDesk }>();
defineEmits<{ anew: [] }>();
const shell = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${shell.sections.length} sections · ${shell.sections[0]?.corners.length ?? 0} corners a side · ${shell.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Faces, in pieces" :value="`${figures.faces} in ${figures.pieces}`" />
      <FigureRow
        label="Edges turn"
        :value="`${formatAngle(figures.leastTurnDegrees)} to ${formatAngle(figures.mostTurnDegrees)}`"
      />
    </section>
    <ShellSections :desk="desk" />
    <InTurn><EdgeSchedule :desk="desk" /></InTurn>
    <InTurn><ShellBulkheads :desk="desk" /></InTurn>
    <InTurn><ShellFiguresSection :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
