<script setup lang="ts" generic="Numbers extends { material: string }">
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { StartRow } from './start-rows.ts';

/** The few numbers that a form starts from, its board, and the key that makes it. */
defineProps<{
  lead: string;
  rows: readonly StartRow[];
  makes: string;
  /** Whether there is nothing to make yet. */ isIdle?: boolean;
}>();
const numbers = defineModel<Numbers>({ required: true });
defineEmits<{ make: [] }>();
const work = useAirframe();
const materials = materialsOf(work.airframe?.boards ?? []);
const set = (key: string, value: number | string): void => {
  numbers.value = { ...numbers.value, [key]: value };
};
const valueOf = (key: string): number => (numbers.value as unknown as Record<string, number>)[key]!;
</script>

<template>
  <p class="lead">{{ lead }}</p>
  <div class="numbers">
    <slot name="before" />
    <MeasureField
      v-for="[key, word, kind, least, most] in rows"
      :key="key"
      :label="word"
      :kind="kind"
      :unit="work.unit"
      :model-value="valueOf(key)"
      :least="least"
      :most="most"
      @update:model-value="set(key, $event)"
    />
    <ChoiceRow
      label="Board"
      :model-value="numbers.material"
      :choices="(materials.length > 0 ? materials : [numbers.material]).map((one) => [one, one] as const)"
      is-list
      @update:model-value="set('material', $event)"
    />
    <slot name="after" />
  </div>
  <div class="go">
    <el-button type="primary" :disabled="isIdle" @click="$emit('make')">{{ makes }}</el-button>
    <slot />
  </div>
</template>
