<script setup lang="ts">
import { parameterAt, type FormField, type ParameterChange } from '@grain-fold/core/forms';
import type { LengthUnit } from '@grain-fold/core/units';
import MeasureField from '../../../kit/MeasureField.vue';

/** Numbers of a form, one a row; one that may be left out tells what it follows then. */
const props = defineProps<{
  parameters: object;
  /** Path of what they belong to, with its dot: `panels.1.`. */
  prefix?: string;
  fields: Readonly<Record<string, FormField>>;
  unit: LengthUnit;
  /** What a left-out number is instead, by its key. */
  follows?: Readonly<Record<string, { readonly word: string; readonly value: number }>>;
}>();
const emit = defineEmits<{ change: [label: string, changes: readonly ParameterChange[]] }>();
const KINDS = { length: 'length', angle: 'angle', count: 'number', percent: 'number' } as const;
const pathOf = (key: string): string => `${props.prefix ?? ''}${key}`;
const valueOf = (key: string): number | undefined => parameterAt(props.parameters, pathOf(key)) as number | undefined;
const set = (key: string, value: number | undefined): void =>
  emit('change', `Change ${props.fields[key]!.word.toLowerCase()}`, [{ path: pathOf(key), value }]);
</script>

<template>
  <template v-for="(field, key) in fields" :key="key">
    <MeasureField
      :label="field.kind === 'percent' ? `${field.word}, % of the chord` : field.word"
      :kind="KINDS[field.kind]"
      :unit="unit"
      :step-by="field.kind === 'percent' ? 0.5 : undefined"
      :auto="valueOf(key) === undefined ? follows?.[key]?.word : undefined"
      :model-value="valueOf(key) ?? follows?.[key]?.value ?? 0"
      :least="field.least"
      :most="field.most"
      @update:model-value="set(key, $event)"
    />
    <el-button
      v-if="field.isOptional && valueOf(key) !== undefined"
      link
      size="small"
      class="follow"
      @click="set(key, undefined)"
      >{{ field.word }}: as it follows</el-button
    >
  </template>
</template>

<style scoped>
.follow {
  display: block;
  margin-left: auto;
}
</style>
