<script setup lang="ts">
import { computed, useId } from 'vue';

/** One of a few values, chosen in place: side by side where the words are few and short, else from a list. */
const props = defineProps<{
  label: string;
  modelValue: string;
  choices: readonly (readonly [value: string, word: string])[];
  disabled?: boolean;
  /** The label is only spoken: the place says it. */
  hideLabel?: boolean;
  /** Always from a list. */
  isList?: boolean;
}>();
defineEmits<{ 'update:modelValue': [value: string] }>();

/** What fits beside a label on the slip. */
const MOST_ABREAST = 3,
  MOST_LETTERS = 16,
  FEW_LETTERS = 8;

const id = useId();
const isAbreast = computed(() => {
  const letters = props.choices.reduce((sum, [, word]) => sum + word.length, 0);
  return !props.isList && props.choices.length > 1 && props.choices.length <= MOST_ABREAST && letters <= MOST_LETTERS;
});
/** Numbers and single words leave the room to the label. */
const isNarrow = computed(() => props.choices.every(([, word]) => word.length <= FEW_LETTERS));
const options = computed(() => props.choices.map(([value, label]) => ({ value, label })));
</script>

<template>
  <div class="row choice">
    <component
      :is="isAbreast ? 'span' : 'label'"
      :for="isAbreast ? undefined : id"
      class="label"
      :class="{ 'visually-hidden': hideLabel }"
      >{{ label }}</component
    >
    <el-segmented
      v-if="isAbreast"
      :model-value="modelValue"
      :options="options"
      :disabled="disabled"
      :aria-label="label"
      :validate-event="false"
      @update:model-value="$emit('update:modelValue', String($event))"
    />
    <el-select
      v-else
      :id="id"
      :class="{ narrow: isNarrow }"
      :model-value="modelValue"
      :disabled="disabled"
      :persistent="false"
      :validate-event="false"
      :aria-label="label"
      placeholder=""
      :empty-values="[null, undefined]"
      @update:model-value="$emit('update:modelValue', $event)"
    >
      <el-option v-for="[value, word] in choices" :key="value" :value="value" :label="word" />
    </el-select>
  </div>
</template>

<style scoped>
.el-select {
  width: 180px;
  flex: none;
}
.el-select.narrow {
  width: 110px;
}
.label {
  flex: 1;
}
</style>
