<script setup lang="ts">
import { computed } from 'vue';
import { POWER_BOX_FIELDS, THRUST_FIELDS } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { PowerDesk } from '../use-forms.ts';
import PowerFiguresSection from './PowerFiguresSection.vue';
import PowerFirewall from './PowerFirewall.vue';
import PowerHold from './PowerHold.vue';

/** The numbers of a power box: the thrust first, then the box and its firewall. */
const props = defineProps<{ desk: PowerDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const power = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const DRIVES = [
  ['pulls', 'before the box', 'The firewall is its front: the motor pulls.'],
  [
    'pushes',
    'behind the box',
    'The firewall is its rear: the motor pushes. To the right and down are those of the pull on the airframe.',
  ],
] as const;
const WALLS = [
  [
    'doubled',
    'doubled',
    'The walls’ skin is laid over their edges and an inner wall folded in: stiff without formers.',
  ],
  ['single', 'single', 'One board on either side.'],
] as const;
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`walls ${power.walls} · ${power.frontLayers + power.plugLayers} plates of ${power.plateMaterial} · ${power.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Motor, to port and up" :value="`${length(figures.asideMm)} · ${length(figures.aboveMm)}`" />
      <FigureRow label="Longest corner" :value="figures.longestCorner" />
    </section>
    <section aria-label="Thrust">
      <h3 class="eyebrow">Thrust</h3>
      <SchoolRow
        label="Motor"
        :model-value="power.isPusher ? 'pushes' : 'pulls'"
        :choices="DRIVES"
        @update:model-value="
          desk.change('Turn the power box round', [{ path: 'isPusher', value: $event === 'pushes' ? true : undefined }])
        "
      />
      <FieldRows :parameters="power" :fields="THRUST_FIELDS" :unit="work.unit" @change="desk.change" />
    </section>
    <section aria-label="Box">
      <h3 class="eyebrow">Box</h3>
      <FieldRows :parameters="power" :fields="POWER_BOX_FIELDS" :unit="work.unit" @change="desk.change" />
      <SchoolRow
        label="Walls"
        :model-value="power.walls"
        :choices="WALLS"
        @update:model-value="desk.change('Change the walls', [{ path: 'walls', value: $event }])"
      />
    </section>
    <InTurn><PowerHold :desk="desk" /></InTurn>
    <InTurn><PowerFirewall :desk="desk" /></InTurn>
    <InTurn><PowerFiguresSection :desk="desk" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
