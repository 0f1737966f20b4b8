<script setup lang="ts">
/** Something that is so or is not. */
defineProps<{ label: string; modelValue: boolean; disabled?: boolean }>();
defineEmits<{ 'update:modelValue': [value: boolean] }>();
</script>

<template>
  <div class="row">
    <el-checkbox
      :model-value="modelValue"
      :disabled="disabled"
      :validate-event="false"
      @update:model-value="$emit('update:modelValue', $event === true)"
      >{{ label }}</el-checkbox
    >
  </div>
</template>
