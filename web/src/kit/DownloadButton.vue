<script setup lang="ts">
import { ref } from 'vue';
import { documentAddress } from '../api/airframes.ts';
import { ApiError } from '../api/client.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';

/** Saves what is unsaved, then downloads a document that the server makes of it. */
const props = defineProps<{
  name: 'pages.pdf' | 'cut-list.pdf' | 'cut-list.csv' | 'project-file';
  /** Asked for as it is, however large. */ all?: boolean;
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
    const response = await fetch(`${documentAddress(id, props.name)}${props.all ? '?all=yes' : ''}`, {
      credentials: 'same-origin',
    });
    if (!response.ok) throw new ApiError(await response.json());
    const name = /filename\*=UTF-8''([^;]+)/.exec(response.headers.get('Content-Disposition') ?? '')?.[1];
    const plain = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1];
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await response.blob());
    link.download = name ? decodeURIComponent(name) : (plain ?? props.name);
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
  } catch (error) {
    fault.value = error instanceof ApiError ? error.message : 'The server does not answer. Try again when it is back.';
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
