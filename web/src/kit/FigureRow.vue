<script setup lang="ts">
/** A figure that follows from others: its word, its value, its unit. */
defineProps<{ label: string; value: string; unit?: string }>();
</script>

<template>
  <div class="row">
    <span class="label">{{ label }}</span>
    <span class="value"
      >{{ value }} <small v-if="unit">{{ unit }}</small></span
    >
  </div>
</template>
