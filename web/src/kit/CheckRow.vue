<script setup lang="ts">
import TickBox from './TickBox.vue';

/** Something that is so or is not. */
defineProps<{ label: string; modelValue: boolean; disabled?: boolean }>();
defineEmits<{ 'update:modelValue': [value: boolean] }>();
</script>

<template>
  <div class="row">
    <TickBox
      :label="label"
      :model-value="modelValue"
      :disabled="disabled"
      @update:model-value="$emit('update:modelValue', $event)"
    />
  </div>
</template>
