<script setup lang="ts">
import { computed } from 'vue';
import { GAUGE_FIELDS, NO_GAUGES, type ParameterChange, type WingGauges } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** Gauges that prove the wing while it is built, and where it balances. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const gauges = computed(() => wing.value.gauges ?? NO_GAUGES);
type Flag = Exclude<keyof WingGauges, 'balancePercent'>;
const rows = computed((): readonly (readonly [Flag, string])[] => [
  ['hasCradles', 'Cradles: dihedral, incidence, washout'],
  ['hasJoints', 'Angles for the joints'],
  ...(wing.value.build === 'cambered' ? [['hasCamber', 'Camber at each station'] as const] : []),
  ...(wing.value.controls.length > 0 ? [['hasThrows', 'Throw of each control'] as const] : []),
  ['hasBalance', 'Balance stand and its marks'],
]);
function set(key: Flag, word: string, is: boolean): void {
  const form = props.desk.stored.value!;
  props.desk.replace(`${is ? 'Add' : 'Leave out'} ${word.toLowerCase()}`, {
    ...form,
    parameters: { ...form.parameters, gauges: { ...gauges.value, [key]: is } },
  });
}
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
/** The gauges that are cut, and the one variant that they exist in; in every one with nothing. */
const cut = computed(() =>
  (work.airframe?.parts ?? []).filter(
    ({ source, group }) => source?.formId === props.desk.stored.value!.id && group.endsWith(' gauges'),
  ),
);
const variants = computed(() => [
  ['', 'every variant'] as const,
  ...(work.airframe?.settings.variants ?? []).map((name) => [name, `only ${name}`] as const),
]);
const inVariant = computed(() => (cut.value[0]?.variants?.length === 1 ? cut.value[0].variants[0]! : ''));
function setVariant(name: string): void {
  work.runEach(
    cut.value.map(({ id }) => ({
      partId: id,
      command: { name: 'setVariants', args: { targetId: id, variants: name === '' ? null : [name] } },
    })),
    name === '' ? 'Gauges in every variant' : `Gauges only in ${name}`,
  );
}
const balance = computed(() => props.desk.made.value?.figures?.balance);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
</script>

<template>
  <p class="eyebrow">Gauges</p>
  <CheckRow
    v-for="[key, word] in rows"
    :key="key"
    :label="word"
    :model-value="gauges[key]"
    @update:model-value="set(key, word, $event)"
  />
  <ChoiceRow
    v-if="cut.length > 0 && variants.length > 1"
    label="Gauges exist in"
    :model-value="inVariant"
    :choices="variants"
    is-list
    @update:model-value="setVariant"
  />
  <template v-if="gauges.hasBalance">
    <FieldRows :parameters="wing" prefix="gauges." :fields="GAUGE_FIELDS" :unit="work.unit" @change="change" />
    <p v-if="balance" class="figures">
      {{ length(balance.aftMm) }} aft of the root's nose<template v-if="balance.alongNoseMm !== undefined"
        >, or {{ length(balance.alongNoseMm) }} out along the nose</template
      >
    </p>
  </template>
</template>

<style scoped>
.eyebrow {
  padding: 12px 0 4px;
}
.figures {
  font-size: 14px;
  font-weight: 600;
  padding: 4px 0;
}
</style>
