<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Part } from '@grain-fold/core/part';
import { ApiError } from '../api/client.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';

const work = useAirframe();
const fault = ref('');
const isBusy = ref(false);
const isOpen = computed(() => work.saveState === 'stale');
const names = computed(() =>
  work.conflicts.map((conflict) => {
    const value = conflict.current.value as Pick<Part, 'name'> | null;
    const mine = work.airframe?.parts.find(({ id }) => id === conflict.id)?.name;
    return {
      part: value?.name ?? mine ?? 'A part that was removed',
      board: value?.name ?? 'A board',
      settings: 'The settings',
      nest: 'The nest',
      plan: 'The plan',
      form: value?.name ?? 'A form',
    }[conflict.kind];
  }),
);

async function settle(how: 'theirs' | 'both'): Promise<void> {
  isBusy.value = true;
  fault.value = '';
  try {
    await work.settle(how);
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    fault.value = error.message;
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <el-dialog
    :model-value="isOpen"
    title="A newer version was saved elsewhere"
    width="480"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    :show-close="false"
  >
    <p>While you were editing, another page saved a newer version of:</p>
    <ul>
      <li v-for="(name, index) in names" :key="index">
        <b>{{ name }}</b>
      </li>
    </ul>
    <p>
      Keep both: the newer parts stay, and yours are added beside them, named “(mine)”. Nothing is lost either way;
      every version stays in the list of versions.
    </p>
    <p v-if="fault" role="alert" class="fault">{{ fault }}</p>
    <template #footer>
      <el-button :disabled="isBusy" @click="settle('theirs')">Take the newer one</el-button>
      <el-button type="primary" :disabled="isBusy" @click="settle('both')">Keep both</el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
ul {
  margin: 8px 0 8px 20px;
}
.fault {
  color: var(--brick);
  margin-top: 8px;
}
</style>
