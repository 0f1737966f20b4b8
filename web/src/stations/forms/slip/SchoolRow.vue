<script setup lang="ts">
import { computed } from 'vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { rowsOf, sentence } from './schools.ts';

/** A way of building, chosen from a list, with what it means in a sentence. */
const props = defineProps<{
  label: string;
  modelValue: string;
  choices: readonly (readonly [string, string, string])[];
}>();
defineEmits<{ 'update:modelValue': [value: string] }>();
const rows = computed(() => rowsOf(props.choices));
</script>

<template>
  <ChoiceRow
    :label="label"
    :model-value="modelValue"
    :choices="rows"
    is-list
    @update:model-value="$emit('update:modelValue', $event)"
  />
  <p class="school">{{ sentence(choices, modelValue) }}</p>
</template>

<style scoped>
.school {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 3px 0 8px;
}
</style>
