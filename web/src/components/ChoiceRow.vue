<script setup lang="ts">
import { useId } from 'vue';

/** One of a few values, chosen in place. */
defineProps<{
  label: string;
  modelValue: string;
  choices: readonly (readonly [string, string])[];
  disabled?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: string] }>();
const id = useId();
</script>

<template>
  <div class="row">
    <label :for="id">{{ label }}</label>
    <select
      :id="id"
      :value="modelValue"
      :disabled="disabled"
      @change="$emit('update:modelValue', ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="[value, word] in choices" :key="value" :value="value">{{ word }}</option>
    </select>
  </div>
</template>

<style scoped>
select {
  border: 0;
  border-bottom: 1px dashed #b5a67f;
  background: transparent;
  font-weight: 600;
  padding: 3px 2px;
  max-width: 180px;
  text-align: right;
  cursor: pointer;
}
select:hover {
  background: #fffdf7;
}
option {
  background: #fffdf7;
}
</style>
