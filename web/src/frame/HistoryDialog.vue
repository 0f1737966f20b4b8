<script setup lang="ts">
import { computed } from 'vue';
import { useAirframe } from '../stores/airframe/airframe.ts';
import { HISTORY_LIMIT } from '../stores/airframe/history.ts';

/** Every step since the airframe was opened, the newest first; choosing one goes there. */
const isOpen = defineModel<boolean>({ required: true });
const work = useAirframe();
const steps = computed(() => [
  ...work.history.future.map(({ label }, index) => ({ label, at: index + 1 })).reverse(),
  ...work.history.past.map(({ label }, index) => ({ label, at: index - work.history.past.length + 1 })).reverse(),
  {
    label: work.history.past.length < HISTORY_LIMIT ? 'As it was opened' : 'The oldest step kept',
    at: -work.history.past.length,
  },
]);
</script>

<template>
  <el-dialog v-model="isOpen" title="Steps" width="420">
    <p class="lead">Choose a step to go back or forward to it. Every save is also kept as a version.</p>
    <ol class="steps" aria-label="Steps, newest first">
      <li v-for="step in steps" :key="step.at">
        <el-button
          link
          :aria-current="step.at === 0 ? 'step' : undefined"
          :class="{ undone: step.at > 0 }"
          @click="work.walk(step.at)"
          class="bare"
        >
          {{ step.label }}<span v-if="step.at === 0"> now</span>
        </el-button>
      </li>
    </ol>
  </el-dialog>
</template>

<style scoped>
.lead {
  color: var(--ink-soft);
  margin-bottom: 10px;
}
.steps {
  list-style: none;
  max-height: 420px;
  overflow-y: auto;
}
button {
  width: 100%;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--foam-edge);
  background: none;
  padding: 7px 8px;
  min-height: 34px;
}
button:hover {
  background: var(--ticket);
}
button[aria-current] {
  background: var(--marigold-pale);
  box-shadow: inset 4px 0 var(--marigold);
  font-weight: 600;
}
.undone {
  color: var(--ink-soft);
  font-style: italic;
}
span {
  color: var(--marigold-deep);
}
</style>
