<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { formContext, gapBetweenParts } from '@grain-fold/core/airframe';
import { isWing, restOfBoards, type StandsBy } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';

/** The wing that this one stands by: with stagger, gap and decalage; and what its skins leave of their boards. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const form = computed(() => props.desk.stored.value!);
const wings = computed(() => props.desk.forms.value.filter(isWing));
const leader = computed(() => wings.value.find(({ id }) => id === form.value.standsBy?.formId));
const isLeader = computed(() => props.desk.forms.value.some(({ standsBy }) => standsBy?.formId === form.value.id));
const choices = computed(() => [
  ['', 'none: where it is said'] as const,
  ...wings.value
    .filter(({ id, standsBy }) => id !== form.value.id && !standsBy)
    .map(({ id, name }) => [id, name] as const),
]);
const ROWS = [
  ['aftMm', 'Behind it', 'length', -5000, 5000],
  ['upMm', 'Above it', 'length', -2000, 2000],
  ['noseDownDegrees', 'Nose down against it', 'angle', -20, 20],
] as const;
function standBy(formId: string): void {
  const { standsBy: _before, ...rest } = form.value;
  props.desk.replace(
    formId ? 'Stand by another wing' : 'Stand alone',
    formId ? { ...rest, standsBy: { aftMm: 0, upMm: 0, noseDownDegrees: 0, ..._before, formId } } : rest,
  );
}
const set = (label: string, key: keyof StandsBy, value: number): void =>
  props.desk.replace(`Change ${label.toLowerCase()}`, {
    ...form.value,
    standsBy: { ...form.value.standsBy!, [key]: value },
  });
const left = ref('');
watch(
  () => form.value.id,
  () => (left.value = ''),
);
/** The lower wing out of what the upper one leaves: both lie along their boards. */
function takeFromRest(): void {
  const { airframe } = work;
  if (!airframe || !leader.value) return;
  const { nest } = airframe.settings;
  const rest = restOfBoards(
    leader.value,
    form.value,
    formContext(airframe),
    Math.max(gapBetweenParts(nest), nest.edgeMarginMm),
  );
  if ('refused' in rest) {
    left.value = rest.refused;
    return;
  }
  const [room, width] = [rest.restMm, rest.widthMm].map((mm) => formatLengthWithUnit(mm, work.unit));
  left.value = `${leader.value.name} leaves ${room} of each board; the skin takes ${width} of it.`;
  props.desk.change('Take the chord from the rest', rest.changes);
}
</script>

<template>
  <template v-if="choices.length > 1 || form.standsBy">
    <ChoiceRow
      v-if="!isLeader"
      label="Stands by"
      :model-value="form.standsBy?.formId ?? ''"
      :choices="choices"
      is-list
      @update:model-value="standBy"
    />
    <template v-if="form.standsBy && leader">
      <MeasureField
        v-for="[key, word, kind, least, most] in ROWS"
        :key="key"
        :label="word"
        :kind="kind"
        :unit="work.unit"
        :least="least"
        :most="most"
        :model-value="form.standsBy[key]"
        @update:model-value="set(word, key, $event)"
      />
      <el-button size="small" @click="takeFromRest">Take its chord from the rest of the boards</el-button>
      <p v-if="left" class="about" role="status">{{ left }}</p>
    </template>
  </template>
</template>

<style scoped>
.about {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
