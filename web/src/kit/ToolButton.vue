<script setup lang="ts">
/** A tool of the mat: its key and its word. */
defineProps<{ keyName: string; word: string; hint: string; isOn?: boolean; isOpen?: boolean }>();
defineEmits<{ press: [] }>();
</script>

<template>
  <el-button
    link
    class="bare tool"
    :aria-pressed="isOn === undefined ? undefined : isOn"
    :aria-expanded="isOpen === undefined ? undefined : isOpen"
    :title="hint"
    @click="$emit('press')"
    ><kbd>{{ keyName }}</kbd> {{ word }}</el-button
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
.tool:hover {
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
