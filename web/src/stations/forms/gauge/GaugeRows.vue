<script setup lang="ts">
import { computed } from 'vue';
import {
  foundControls,
  GAUGE_COUNT_FIELDS,
  GAUGE_FIELDS_OF,
  LONGEST_GAUGE_NAME,
  THROW_GAUGE_FIELDS,
  type Gauge,
  type ParameterChange,
} from '@grain-fold/core/forms';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import { partsWith, standingParts } from '../slip/standing-parts.ts';
import type { GaugeDesk } from '../use-forms.ts';
import { AGAINST_WORDS, BACK_WORDS, GAUGE_WORDS } from './gauge-words.ts';

/** One gauge of a set: what it is, of which part, against what, and its numbers. */
const props = defineProps<{ desk: GaugeDesk; gauge: Gauge; path: string }>();
const work = useAirframe();
const standing = computed(() => {
  const site = props.desk.made.value?.site;
  return site ? standingParts(site.standing) : [];
});
const controls = computed(() => foundControls(props.desk.forms.value));
const OWN = '';
const linked = computed(() =>
  controls.value.find(({ formId, control }) => formId === props.gauge.formId && control === props.gauge.control),
);
const set = (label: string, key: keyof Gauge, value: string): void =>
  props.desk.change(label, [{ path: `${props.path}${key}`, value }]);
function link(at: string): void {
  const one = controls.value[Number(at)];
  const changes: Readonly<Record<string, ParameterChange['value']>> =
    at === OWN || !one
      ? { formId: undefined, control: undefined }
      : {
          formId: one.formId,
          control: one.control,
          chordMm: one.chordMm,
          upDegrees: one.upDegrees,
          downDegrees: one.downDegrees,
        };
  props.desk.change(
    'Choose the control',
    Object.entries(changes).map(([key, value]) => ({ path: `${props.path}${key}`, value })),
  );
}
const fields = computed(() => ({
  ...(props.gauge.kind === 'throw' ? (linked.value ? {} : THROW_GAUGE_FIELDS) : GAUGE_FIELDS_OF[props.gauge.kind]),
  ...GAUGE_COUNT_FIELDS,
}));
</script>

<template>
  <TextRow
    label="Printed on it"
    :most="LONGEST_GAUGE_NAME"
    :model-value="gauge.name"
    @update:model-value="$event.trim() && set('Rename the gauge', 'name', $event.trim())"
  />
  <ChoiceRow
    label="It is"
    :model-value="gauge.kind"
    :choices="GAUGE_WORDS"
    is-list
    @update:model-value="set('Change the gauge', 'kind', $event)"
  />
  <ChoiceRow
    v-if="gauge.kind !== 'throw'"
    label="Of"
    :model-value="gauge.partId"
    :choices="partsWith(standing, gauge.partId)"
    is-list
    @update:model-value="set('Choose what is gauged', 'partId', $event)"
  />
  <ChoiceRow
    v-if="gauge.kind === 'angle'"
    label="Against"
    :model-value="gauge.against"
    :choices="AGAINST_WORDS"
    is-list
    @update:model-value="set('Change what the angle is against', 'against', $event)"
  />
  <ChoiceRow
    v-if="gauge.kind === 'square' || (gauge.kind === 'angle' && gauge.against === 'part')"
    :label="gauge.kind === 'square' ? 'From the middle of' : 'the part'"
    :model-value="gauge.againstId"
    :choices="partsWith(standing, gauge.againstId)"
    is-list
    @update:model-value="set('Choose what it is measured from', 'againstId', $event)"
  />
  <ChoiceRow
    v-if="gauge.kind === 'profile'"
    label="Its back"
    :model-value="gauge.back"
    :choices="BACK_WORDS"
    is-list
    @update:model-value="set('Change the back', 'back', $event)"
  />
  <ChoiceRow
    v-if="gauge.kind === 'throw'"
    label="Control"
    :model-value="linked ? String(controls.indexOf(linked)) : OWN"
    :choices="[[OWN, 'by its own numbers'], ...controls.map(({ name }, at) => [String(at), name] as const)]"
    is-list
    @update:model-value="link"
  />
  <FieldRows
    :parameters="desk.form.value!.parameters"
    :prefix="path"
    :fields="fields"
    :unit="work.unit"
    @change="desk.change"
  />
</template>
