<script setup lang="ts">
import { computed } from 'vue';
import {
  operationDepth,
  operationWidth,
  traitsOf,
  type FoldDefaults,
  type Operation,
  type OperationField,
} from '@grain-fold/core/operations';
import type { LengthUnit } from '@grain-fold/core/units';
import CheckRow from '../../../../kit/CheckRow.vue';
import ChoiceRow from '../../../../kit/ChoiceRow.vue';
import MeasureField from '../../../../kit/MeasureField.vue';

/** The numbers and choices of a line of work, as the table of kinds has them. */
const props = defineProps<{
  operation: Operation;
  /** The same with all that it leaves to the airframe filled in. */
  whole: Operation;
  defaults: FoldDefaults;
  thicknessMm: number;
  unit: LengthUnit;
}>();
const emit = defineEmits<{ change: [changes: Readonly<Record<string, unknown>>] }>();

const given = (field: OperationField): unknown => (props.operation as unknown as Record<string, unknown>)[field.key];
const filled = (field: OperationField): unknown =>
  (props.whole as unknown as Record<string, unknown>)[field.key] ?? field.usual;
const fields = computed(() =>
  traitsOf(props.operation.kind).fields.filter(
    ({ onlyWith }) => !onlyWith || (props.whole as unknown as Record<string, unknown>)[onlyWith[0]] === onlyWith[1],
  ),
);
/** The number that stands where a field follows the board: the width or the depth that it comes to. */
const followed = (): number =>
  operationDepth(props.whole, props.thicknessMm) ?? operationWidth(props.whole, props.thicknessMm);
const numberOf = (field: OperationField): number => {
  const value = filled(field);
  return typeof value === 'number' ? value : followed();
};
const asUsual = ({ key, choices }: OperationField): string => {
  const usual = props.defaults[key as keyof FoldDefaults];
  return `as usual: ${choices?.find(([value]) => value === usual)?.[1] ?? usual}`;
};
const choicesOf = (field: OperationField): readonly (readonly [string, string])[] => [
  ...(field.isFromAirframe ? [['', asUsual(field)] as const] : []),
  ...field.choices!.map(([value, word]) => [String(value), word] as const),
];
const choose = (field: OperationField, word: string): void =>
  emit('change', { [field.key]: field.choices!.find(([value]) => String(value) === word)?.[0] });
function setNumber(field: OperationField, value: number): void {
  const number = field.kind === 'count' ? Math.round(value) : value;
  emit('change', { [field.key]: number === field.usual ? undefined : number });
}
const follow = (field: OperationField, does: boolean): void =>
  emit('change', { [field.key]: does ? 'auto' : Math.round(followed() * 100) / 100 });
</script>

<template>
  <template v-for="field in fields" :key="field.key">
    <ChoiceRow
      v-if="field.choices"
      :label="field.word"
      :model-value="String(given(field) ?? '')"
      :choices="choicesOf(field)"
      @update:model-value="choose(field, $event)"
    />
    <MeasureField
      v-else
      :label="field.word"
      :kind="field.kind === 'count' ? 'number' : field.kind === 'angle' ? 'angle' : 'length'"
      :unit="unit"
      :model-value="numberOf(field)"
      :least="field.least"
      :most="field.most"
      @update:model-value="setNumber(field, $event)"
    />
    <CheckRow
      v-if="field.auto !== undefined"
      :label="field.auto"
      :model-value="given(field) === 'auto'"
      @update:model-value="follow(field, $event)"
    />
  </template>
</template>
