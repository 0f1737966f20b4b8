<script setup lang="ts">
import dayjs from 'dayjs';
import { computed, ref } from 'vue';
import { useKeys } from '../keys/use-keys.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';
import HeldKeys from './HeldKeys.vue';
import HistoryDialog from './HistoryDialog.vue';

const work = useAirframe();
const isShowingSteps = ref(false);
useKeys('everywhere', { steps: () => (isShowingSteps.value = true) });
const saveWords = computed(
  () =>
    ({
      saved: `saved ${dayjs(work.savedAt).format('HH:mm')}`,
      unsaved: 'saving soon',
      saving: 'saving',
      offline: 'not saved: kept here, trying again',
      stale: 'not saved: a newer version exists',
      'signed-out': 'not saved: signed out, kept here',
      refused: `not saved: ${work.saveMessage}`,
    })[work.saveState],
);
const isWorried = computed(() => !['saved', 'unsaved', 'saving'].includes(work.saveState));
</script>

<template>
  <footer class="tray figures">
    <span class="left"><slot /></span>
    <HeldKeys />
    <el-button link v-if="work.undoLabel" class="bare hint" @click="work.undo()">
      <kbd>Ctrl+Z</kbd> undo {{ work.undoLabel.toLowerCase() }}
    </el-button>
    <el-button
      link
      v-if="work.redoLabel"
      class="bare hint"
      :title="`Redo ${work.redoLabel.toLowerCase()} (Ctrl+Shift+Z)`"
      @click="work.redo()"
    >
      redo
    </el-button>
    <el-button
      link
      v-if="work.undoLabel || work.redoLabel"
      class="bare hint"
      title="Every step, to walk back and forward"
      @click="isShowingSteps = true"
    >
      <kbd>Y</kbd> steps
    </el-button>
    <span class="save" :class="{ worried: isWorried }" role="status" :title="work.saveMessage || undefined">{{
      saveWords
    }}</span>
    <HistoryDialog v-model="isShowingSteps" />
  </footer>
</template>

<style scoped>
.tray {
  display: flex;
  align-items: center;
  gap: 14px;
  height: 32px;
  flex: none;
  background: var(--tray);
  color: #e6edea;
  padding: 0 16px;
  font-size: 14px;
  font-weight: 500;
  white-space: nowrap;
  overflow: hidden;
}
.left {
  flex: 1;
  display: flex;
  gap: 24px;
  overflow: hidden;
}
.left :deep(b) {
  color: #fff;
  font-weight: 600;
}
.hint {
  border: 0;
  background: none;
  padding: 2px 4px;
  font-family: inherit;
  font-weight: 500;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 300px;
}
.worried {
  color: #ffc9a3;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
