<script setup lang="ts">
/** A tool of the mat: its key and its word. */
withDefaults(
  defineProps<{
    word: string;
    keyName?: string;
    hint?: string;
    /** Whether it is in use, for one that can be. */
    isOn?: boolean;
    /** Whether what it opens is open, for one that opens something. */
    isOpen?: boolean;
    disabled?: boolean;
  }>(),
  { keyName: undefined, hint: undefined, isOn: undefined, isOpen: undefined },
);
defineEmits<{ press: [] }>();
</script>

<template>
  <el-button
    link
    class="bare tool"
    :aria-pressed="isOn"
    :aria-expanded="isOpen"
    :disabled="disabled"
    :title="hint"
    @click="$emit('press')"
    ><kbd v-if="keyName">{{ keyName }}</kbd> {{ word }}</el-button
  >
</template>

<style scoped>
.tool {
  min-height: 28px;
  padding: 4px 7px;
  border-radius: 2px;
  font-size: 13px;
  font-family: var(--font);
  font-weight: 400;
  color: var(--mat-light);
  white-space: nowrap;
}
.tool:hover:not(:disabled) {
  background: var(--mat-raised);
}
.tool[aria-pressed='true'] {
  background: var(--foam);
  color: var(--ink);
}
.tool[aria-pressed='true'] kbd {
  color: var(--marigold-deep);
}
</style>
