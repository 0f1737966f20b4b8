<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import dayjs from 'dayjs';
import { onBeforeUnmount, ref, watch } from 'vue';
import { RouterView, useRoute, useRouter } from 'vue-router';
import { ApiError } from '../api/client.ts';
import KeyCard from '../components/KeyCard.vue';
import TicketPanel from '../components/TicketPanel.vue';
import { isTyping } from '../composables/keys.ts';
import { useAirframe } from '../stores/airframe.ts';
import FindDialog from '../components/FindDialog.vue';
import StaleDialog from '../components/StaleDialog.vue';
import { STATIONS } from './stations.ts';

const work = useAirframe();
const route = useRoute();
const router = useRouter();
const fault = ref('');
const showsKeys = ref(false);
const isFinding = ref(false);

watch(
  () => route.params.id,
  async (id) => {
    if (typeof id !== 'string') return;
    fault.value = '';
    try {
      await work.open(id);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      fault.value = error.message;
    }
  },
  { immediate: true },
);
onBeforeUnmount(() => void work.close());

useEventListener(window, 'beforeunload', (event) => {
  if (work.saveState !== 'saved') event.preventDefault();
});
useEventListener(window, 'online', () => void work.save());
useEventListener(window, 'keydown', (event) => {
  const isCommand = event.ctrlKey || event.metaKey;
  if (isCommand && event.key.toLowerCase() === 'k') {
    event.preventDefault();
    isFinding.value = true;
    return;
  }
  if (isTyping(event)) return;
  if (isCommand && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    if (event.shiftKey) work.redo();
    else work.undo();
  } else if (isCommand && event.key.toLowerCase() === 'y') {
    event.preventDefault();
    work.redo();
  } else if (!isCommand && !event.altKey) {
    const station = STATIONS.find(({ key }) => key === event.key);
    if (station) void router.push({ name: station.name });
    if (event.key === '?') showsKeys.value = true;
  }
});
</script>

<template>
  <div class="frame">
    <template v-if="work.airframe">
      <TicketPanel />
      <div class="side">
        <div v-if="work.found" class="found" role="alert">
          <span
            >Edits from {{ dayjs(work.found.at).format('D MMM, HH:mm') }} were not saved. They are kept in this
            browser.</span
          >
          <button class="button small strong" type="button" @click="work.bringBack()">Bring them back</button>
          <button class="button small" type="button" @click="work.discardFound()">Discard</button>
        </div>
        <main id="main" class="main" tabindex="-1"><RouterView /></main>
      </div>
    </template>
    <main v-else id="main" class="blank">
      <template v-if="fault"
        ><h1>This airframe cannot be opened</h1>
        <p role="alert">{{ fault }}</p>
        <a class="button strong" href="/airframes">To your airframes</a></template
      >
      <p v-else>Opening …</p>
    </main>
    <StaleDialog />
    <KeyCard v-model="showsKeys" />
    <FindDialog v-model="isFinding" />
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  height: 100%;
}
.side {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.main {
  flex: 1;
  min-height: 0;
  display: flex;
}
.main:focus {
  outline: none;
}
.blank {
  margin: auto;
  text-align: center;
  display: grid;
  gap: 12px;
  justify-items: center;
  padding: 24px;
}
.found {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 16px;
  background: var(--marigold-pale);
  border-bottom: 2px solid var(--marigold);
}
.found span {
  flex: 1;
  font-weight: 500;
}
</style>
