<script setup lang="ts">
import { ref, useId, watch } from 'vue';

/** Words edited in place and taken when the field is left or Enter is pressed; Escape puts back what stood there. */
const props = withDefaults(
  defineProps<{
    label: string;
    modelValue: string;
    most?: number;
    /** The label is only spoken: the place says it. */
    hideLabel?: boolean;
    /** Several lines. */
    lines?: number;
    placeholder?: string;
    /** Words to choose from, which may be others too. */
    known?: readonly string[];
  }>(),
  { most: 80, hideLabel: false, lines: 1, placeholder: '', known: undefined },
);
const emit = defineEmits<{ 'update:modelValue': [value: string] }>();
const id = useId();
const text = ref(props.modelValue);
watch(
  () => props.modelValue,
  (value) => {
    text.value = value;
  },
);
function take(): void {
  if (text.value !== props.modelValue) emit('update:modelValue', text.value);
}
const leave = (event: Event): void => (event.target as HTMLElement).blur();
function cancel(event: Event): void {
  text.value = props.modelValue;
  leave(event);
}
</script>

<template>
  <div class="row words" :class="{ tall: lines > 1, alone: hideLabel }">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <el-input
      :id="id"
      v-model="text"
      :type="lines > 1 ? 'textarea' : 'text'"
      :rows="lines"
      :maxlength="most"
      :placeholder="placeholder"
      :validate-event="false"
      :list="known ? `${id}-known` : undefined"
      @blur="take"
      @keydown.enter="lines > 1 || leave($event)"
      @keydown.esc.stop="cancel"
    />
    <datalist v-if="known" :id="`${id}-known`"><option v-for="word in known" :key="word" :value="word" /></datalist>
  </div>
</template>

<style scoped>
.el-input {
  width: 160px;
  flex: none;
}
.words :deep(.el-input__inner) {
  text-align: right;
  font-weight: 500;
}
.tall {
  flex-direction: column;
  align-items: stretch;
  gap: 3px;
  padding: 6px 0;
}
.alone .el-input {
  width: 100%;
}
</style>
