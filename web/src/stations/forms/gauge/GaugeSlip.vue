<script setup lang="ts">
import { computed } from 'vue';
import { formatArea } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FigureList from '../slip/FigureList.vue';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { GaugeDesk } from '../use-forms.ts';
import GaugeList from './GaugeList.vue';

/** A set of gauges: what each holds first, then what they are cut from and when. */
const props = defineProps<{ desk: GaugeDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const set = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const ALWAYS = '';
const variants = computed(() => [
  [ALWAYS, 'in every variant'] as const,
  ...[...new Set([...(work.airframe?.settings.variants ?? []), ...(set.value.variant ? [set.value.variant] : [])])].map(
    (one) => [one, `in “${one}” alone`] as const,
  ),
]);
const rows = computed((): readonly (readonly [string, string])[] =>
  figures.value
    ? [
        ['Plates to cut', String(figures.value.plates)],
        ['Sheet that they take', formatArea(figures.value.sheetMm2, work.unit)],
      ]
    : [],
);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${figures?.gauges.length ?? 0} gauges · ${figures?.plates ?? 0} plates of ${set.material}`"
      @anew="$emit('anew')"
    />
    <GaugeList :desk="desk" />
    <InTurn><FigureList :desk="desk" :rows="rows" /></InTurn>
    <InTurn>
      <FormSection :desk="desk" is-anywhere>
        <ChoiceRow
          label="Cut them"
          :model-value="set.variant ?? ALWAYS"
          :choices="variants"
          is-list
          @update:model-value="
            desk.change('Change when the gauges are cut', [{ path: 'variant', value: $event || undefined }])
          "
        />
      </FormSection>
    </InTurn>
  </aside>
</template>
