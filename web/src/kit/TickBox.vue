<script setup lang="ts">
import { nextTick, ref, watch } from 'vue';

/** A box that shows what is so: a tick that is refused is gone again at once. */
const props = defineProps<{ label: string; modelValue: boolean; disabled?: boolean }>();
const emit = defineEmits<{ 'update:modelValue': [value: boolean] }>();
const shown = ref(props.modelValue);
watch(
  () => props.modelValue,
  (now) => {
    shown.value = now;
  },
);
async function ask(value: boolean): Promise<void> {
  shown.value = value;
  emit('update:modelValue', value);
  await nextTick();
  shown.value = props.modelValue;
}
</script>

<template>
  <el-checkbox
    :model-value="shown"
    :disabled="disabled"
    :validate-event="false"
    @update:model-value="ask($event === true)"
    >{{ label }}</el-checkbox
  >
</template>
