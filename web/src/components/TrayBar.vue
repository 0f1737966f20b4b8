<script setup lang="ts">
import dayjs from 'dayjs';
import { computed } from 'vue';
import { useAirframe } from '../stores/airframe.ts';

const work = useAirframe();
const saveWords = computed(() => ({
  saved: `saved ${dayjs(work.savedAt).format('HH:mm')}`, unsaved: 'saving soon', saving: 'saving', offline: 'not saved: kept here, trying again',
  stale: 'not saved: a newer version exists', 'signed-out': 'not saved: signed out, kept here', refused: `not saved: ${work.saveMessage}`,
})[work.saveState]);
const isWorried = computed(() => !['saved', 'unsaved', 'saving'].includes(work.saveState));
</script>

<template>
  <footer class="tray figures">
    <span class="left"><slot /></span>
    <span v-if="work.undoLabel" class="hint"><kbd>Ctrl+Z</kbd> undo {{ work.undoLabel.toLowerCase() }}</span>
    <span class="save" :class="{ worried: isWorried }" role="status" :title="work.saveMessage || undefined">{{ saveWords }}</span>
  </footer>
</template>

<style scoped>
.tray { display: flex; align-items: center; gap: 24px; height: 32px; flex: none; background: var(--tray); color: #e6edea; padding: 0 16px; font-size: 14px; font-weight: 500; white-space: nowrap; overflow: hidden; }
.left { flex: 1; display: flex; gap: 24px; overflow: hidden; }
.left :deep(b) { color: #fff; font-weight: 600; }
.hint { overflow: hidden; text-overflow: ellipsis; max-width: 300px; }
.worried { color: #ffc9a3; font-weight: 600; overflow: hidden; text-overflow: ellipsis; }
</style>
