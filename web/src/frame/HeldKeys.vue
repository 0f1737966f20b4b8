<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { onBeforeUnmount } from 'vue';
import { held, HELD_KEYS } from '../keys/held-keys.ts';

/** Keys to hold with a finger: what Shift, Alt and Ctrl do for a press. Only where something is touched. */
const isTouched = useMediaQuery('(any-pointer: coarse)');
const WORDS = { Shift: 'choose several', Alt: 'no snapping', Ctrl: 'several parts' } as const;
onBeforeUnmount(() => {
  for (const key of HELD_KEYS) held[key] = false;
});
</script>

<template>
  <span v-if="isTouched" class="held" role="group" aria-label="Keys to hold">
    <el-button
      v-for="key in HELD_KEYS"
      :key="key"
      link
      class="bare"
      :aria-pressed="held[key]"
      :title="`Hold ${key}: ${WORDS[key]}`"
      @click="held[key] = !held[key]"
      >{{ key }}</el-button
    >
  </span>
</template>

<style scoped>
.held {
  display: flex;
  gap: 4px;
}
.held button {
  min-width: 44px;
  min-height: 28px;
  border: 1px solid #5d7f86;
  border-radius: var(--radius);
  padding: 2px 8px;
}
.held button[aria-pressed='true'] {
  background: var(--foam);
  color: var(--ink);
  font-weight: 600;
}
</style>
