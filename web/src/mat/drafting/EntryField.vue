<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue';
import type { InputInstance } from 'element-plus';

/** One figure of a typed entry. */
defineProps<{ label: string; name: string; placeholder?: string; unit?: string; hint?: string }>();
defineEmits<{ taken: [text: string] }>();
const text = defineModel<string>({ required: true });
const field = useTemplateRef<InputInstance>('field');

/** Goes to the field; what was typed to get there becomes its first letter. */
async function focus(typed = ''): Promise<void> {
  field.value?.focus();
  if (!typed) return;
  text.value = typed;
  await nextTick();
}
defineExpose({ focus });
</script>

<template>
  <label
    >{{ label }}
    <el-input
      ref="field"
      v-model="text"
      :name="name"
      :placeholder="placeholder"
      :title="hint"
      :validate-event="false"
      autocomplete="off"
      @change="$emit('taken', $event)"
    />
    {{ unit }}</label
  >
</template>

<style scoped>
label {
  display: flex;
  align-items: center;
  gap: 6px;
}
.el-input {
  width: 78px;
}
.el-input :deep(.el-input__inner) {
  text-align: right;
  font-weight: 600;
}
</style>
