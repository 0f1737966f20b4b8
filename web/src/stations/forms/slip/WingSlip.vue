<script setup lang="ts">
import { computed } from 'vue';
import { PANEL_FIELDS, WING_FIELDS, type ParameterChange } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import ControlSection from './ControlSection.vue';
import FieldRows from './FieldRows.vue';
import FormHead from './FormHead.vue';
import FormSection from './FormSection.vue';
import HelpsSection from './HelpsSection.vue';
import PanelSection from './PanelSection.vue';
import RibSection from './RibSection.vue';
import SectionRows from './SectionRows.vue';
import ServoSection from './ServoSection.vue';
import SparSection from './SparSection.vue';
import WingFormRows from './WingFormRows.vue';
import WingFiguresSection from './WingFiguresSection.vue';

/** The numbers of a wing: what is decided first stands first, the rest under its head. */
const props = defineProps<{ desk: WingDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const form = computed(() => props.desk.form.value!);
const wing = computed(() => form.value.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const FIRST = { rootChordMm: WING_FIELDS.rootChordMm };
const isFolded = computed(() => (wing.value.build ?? 'folded') === 'folded');
/** One panel a side: its own numbers are the wing's. */
const isSimple = computed(() => wing.value.panels.length === 1 && wing.value.middle === 'joint');
const SIMPLE = {
  tipChordMm: PANEL_FIELDS.tipChordMm,
  dihedralDegrees: PANEL_FIELDS.dihedralDegrees,
  sweepDegrees: PANEL_FIELDS.sweepDegrees,
};
function setSpan(_label: string, changes: readonly ParameterChange[]): void {
  change('Change panel', changes);
}
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${wing.panels.length} ${wing.panels.length === 1 ? 'panel' : 'panels'} a side · ${wing.material}`"
      @anew="$emit('anew')"
    />
    <section aria-label="Numbers">
      <FigureRow v-if="figures" label="Span" :value="formatLengthWithUnit(figures.spanMm, work.unit)" />
      <FieldRows :parameters="wing" :fields="FIRST" :unit="work.unit" @change="change" />
      <FieldRows
        v-if="isSimple"
        :parameters="wing"
        prefix="panels.0."
        :fields="SIMPLE"
        :unit="work.unit"
        @change="setSpan"
      />
      <FieldRows
        v-if="isFolded && wing.section.kind === 'strip-spar'"
        :parameters="wing"
        :fields="{ sparHeightMm: WING_FIELDS.sparHeightMm }"
        :unit="work.unit"
        @change="change"
      />
    </section>
    <PanelSection :desk="desk" />
    <InTurn><SectionRows :desk="desk" /></InTurn>
    <InTurn><SparSection :desk="desk" /></InTurn>
    <InTurn><RibSection :desk="desk" /></InTurn>
    <InTurn><ControlSection :desk="desk" /></InTurn>
    <InTurn><ServoSection :desk="desk" /></InTurn>
    <InTurn><HelpsSection :desk="desk" /></InTurn>
    <InTurn><WingFiguresSection :desk="desk" /></InTurn>
    <InTurn
      ><FormSection :desk="desk" has-incidence><WingFormRows :desk="desk" /></FormSection
    ></InTurn>
  </aside>
</template>
