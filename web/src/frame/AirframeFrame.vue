<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import dayjs from 'dayjs';
import { onBeforeUnmount, ref, watch } from 'vue';
import { RouterView, useRoute, useRouter } from 'vue-router';
import { useUntilThere } from '../composables/use-until-there.ts';
import KeyCard from './KeyCard.vue';
import InTurn from '../kit/InTurn.vue';
import TicketPanel from './TicketPanel.vue';
import { useKeys, useKeyTable } from '../keys/use-keys.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';
import FindDialog from './FindDialog.vue';
import StaleDialog from './StaleDialog.vue';
import { STATIONS } from '../stations/stations.ts';

const work = useAirframe();
const route = useRoute();
const router = useRouter();
const showsKeys = ref(false);
const isFinding = ref(false);

const {
  get: open,
  fault,
  isAway,
} = useUntilThere(async () => {
  const { id } = route.params;
  if (typeof id === 'string') await work.open(id);
});
watch(() => route.params.id, open, { immediate: true });
onBeforeUnmount(() => void work.close());

useEventListener(window, 'beforeunload', (event) => {
  if (work.saveState !== 'saved') event.preventDefault();
});
useEventListener(window, 'online', () => void work.save());
useKeys('everywhere', {
  undo: () => work.undo(),
  redo: () => work.redo(),
  find: () => (isFinding.value = true),
  card: () => (showsKeys.value = true),
});
useKeyTable(STATIONS.map(({ name, key }) => ({ key, handle: () => void router.push({ name }) })));
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
          <el-button type="primary" size="small" @click="work.bringBack()">Bring them back</el-button>
          <el-button size="small" @click="work.discardFound()">Discard</el-button>
        </div>
        <main id="main" class="main" tabindex="-1">
          <InTurn><RouterView /></InTurn>
        </main>
      </div>
    </template>
    <main v-else id="main" class="blank">
      <template v-if="fault"
        ><h1>{{ isAway ? 'Waiting for the server' : 'This airframe cannot be opened' }}</h1>
        <p role="alert">{{ fault }}</p>
        <p v-if="isAway">
          This page opens by itself when it is back. Edits that were not saved are kept in this browser.
        </p>
        <el-button type="primary" tag="a" href="/airframes">To your airframes</el-button></template
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
