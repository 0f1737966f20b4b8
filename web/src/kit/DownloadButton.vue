<script setup lang="ts">
import { ref } from 'vue';
import { documentFault, fetchDocument, keepFile } from '../api/documents.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';

/** Saves what is unsaved, then downloads a document that the server makes of it. */
const props = defineProps<{
  name: 'pages.pdf' | 'printer-test.pdf' | 'cut-list.pdf' | 'cut-list.csv' | 'project-file';
  /** What of it is asked for. */ query?: Readonly<Record<string, string>>;
  quiet?: boolean;
  disabled?: boolean;
}>();
const work = useAirframe();
const isBusy = ref(false);
const fault = ref('');

async function download(): Promise<void> {
  const id = work.airframe?.id;
  if (!id) return;
  isBusy.value = true;
  fault.value = '';
  try {
    await work.flush();
    keepFile(await fetchDocument(id, props.name, props.query));
  } catch (error) {
    fault.value = documentFault(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <span class="download">
    <el-button :type="quiet ? undefined : 'primary'" :disabled="disabled || isBusy" @click="download">
      {{ isBusy ? 'Making it …' : '' }}<slot v-if="!isBusy" />
    </el-button>
    <span v-if="fault" class="fault" role="alert">{{ fault }}</span>
  </span>
</template>

<style scoped>
.fault {
  display: block;
  color: var(--brick);
  margin-top: 6px;
}
</style>
