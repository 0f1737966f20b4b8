<script setup lang="ts">
import { computed } from 'vue';
import { LONGEST_STRUT_NAME, strutFieldsOf, type Strut } from '@grain-fold/core/forms';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import { partsWith, standingParts } from '../slip/standing-parts.ts';
import type { StrutDesk } from '../use-forms.ts';

/** One strut or gusset: between which parts it is, on which layer it stands, and its numbers. */
const props = defineProps<{ desk: StrutDesk; strut: Strut; path: string }>();
const work = useAirframe();
const standing = computed(() => {
  const site = props.desk.made.value?.site;
  return site ? standingParts(site.standing) : [];
});
const KINDS = [
  ['strut', 'a strut or support'],
  ['gusset', 'a gusset in a corner'],
] as const;
const ENDS = [
  ['outside', 'on its outside'],
  ['inner plate', 'on the plate within'],
] as const;
const set = (label: string, key: keyof Strut, value: string): void =>
  props.desk.change(label, [{ path: `${props.path}${key}`, value }]);
</script>

<template>
  <TextRow
    label="Name"
    :most="LONGEST_STRUT_NAME"
    :model-value="strut.name"
    @update:model-value="$event.trim() && set('Rename the strut', 'name', $event.trim())"
  />
  <ChoiceRow
    label="It is"
    :model-value="strut.kind"
    :choices="KINDS"
    is-list
    @update:model-value="set('Change the strut', 'kind', $event)"
  />
  <ChoiceRow
    :label="strut.kind === 'strut' ? 'Stands on' : 'First leg on'"
    :model-value="strut.lowerId"
    :choices="partsWith(standing, strut.lowerId)"
    is-list
    @update:model-value="set('Choose what it stands on', 'lowerId', $event)"
  />
  <ChoiceRow
    v-if="strut.kind === 'strut'"
    label="Its foot"
    :model-value="strut.lowerOn"
    :choices="ENDS"
    is-list
    @update:model-value="set('Change the layer it stands on', 'lowerOn', $event)"
  />
  <ChoiceRow
    :label="strut.kind === 'strut' ? 'Bears' : 'Second leg on'"
    :model-value="strut.upperId"
    :choices="partsWith(standing, strut.upperId)"
    is-list
    @update:model-value="set('Choose what it bears', 'upperId', $event)"
  />
  <ChoiceRow
    v-if="strut.kind === 'strut'"
    label="Its head"
    :model-value="strut.upperOn"
    :choices="ENDS"
    is-list
    @update:model-value="set('Change the layer it bears', 'upperOn', $event)"
  />
  <FieldRows
    :parameters="desk.form.value!.parameters"
    :prefix="path"
    :fields="strutFieldsOf(strut.kind)"
    :unit="work.unit"
    @change="desk.change"
  />
</template>
