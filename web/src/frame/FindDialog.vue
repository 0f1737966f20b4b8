<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { Search } from '@element-plus/icons-vue';
import type { InputInstance } from 'element-plus';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useRouter, type RouteLocationRaw } from 'vue-router';
import { STATIONS } from '../stations/stations.ts';
import { useAirframe } from '../stores/airframe/airframe.ts';

const isOpen = defineModel<boolean>({ required: true });
const work = useAirframe();
const router = useRouter();
const wanted = ref('');
const chosen = ref(0);
const field = useTemplateRef<InputInstance>('field');

const all = computed<readonly { readonly word: string; readonly kind: string; readonly to: RouteLocationRaw }[]>(() => [
  ...STATIONS.map(({ name, word }) => ({ word, kind: 'station', to: { name } })),
  { word: 'Bring in a drawing', kind: 'station', to: { name: 'bring-in' } },
  { word: 'Versions', kind: 'station', to: { name: 'versions' } },
  ...(work.airframe?.parts ?? []).map((part) => ({
    word: part.name,
    kind: part.group || 'part',
    to: { name: 'parts', params: { partId: part.id } },
  })),
]);
const matches = computed(() =>
  all.value
    .filter(({ word, kind }) => `${word} ${kind}`.toLowerCase().includes(wanted.value.trim().toLowerCase()))
    .slice(0, 9),
);
watch(wanted, () => {
  chosen.value = 0;
});
watch(isOpen, (open) => {
  if (open) wanted.value = '';
});
/** The dialog takes the focus itself first; the field takes it right after. */
const takeFocus = (): void => {
  setTimeout(() => field.value?.focus());
};
function go(index: number): void {
  const match = matches.value[index];
  if (!match) return;
  isOpen.value = false;
  void router.push(match.to);
}
/** What is typed before the field has the focus is meant for it all the same. */
useEventListener(
  window,
  'keydown',
  (event: KeyboardEvent) => {
    const target = event.target as HTMLElement | null;
    if (
      !isOpen.value ||
      target === field.value?.input ||
      target?.closest('button') ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey
    )
      return;
    if (event.key.length === 1) wanted.value += event.key;
    else if (event.key === 'Enter') go(chosen.value);
    else return;
    field.value?.focus();
    event.preventDefault();
    event.stopImmediatePropagation();
  },
  { capture: true },
);
const move = (by: number): void => {
  chosen.value = (chosen.value + by + matches.value.length) % Math.max(1, matches.value.length);
};
</script>

<template>
  <el-dialog v-model="isOpen" title="Find" width="460" @open-auto-focus="takeFocus">
    <el-input
      ref="field"
      v-model="wanted"
      class="field"
      :prefix-icon="Search"
      aria-label="Part or station to find"
      placeholder="Part or station"
      :validate-event="false"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="go(chosen)"
    />
    <ul>
      <li v-for="(match, index) in matches" :key="index">
        <el-button link :class="{ chosen: index === chosen }" @click="go(index)" class="bare">
          {{ match.word }} <span>{{ match.kind }}</span>
        </el-button>
      </li>
      <li v-if="matches.length === 0">Nothing is called that.</li>
    </ul>
  </el-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin-top: 8px;
}
li button {
  width: 100%;
  display: flex;
  justify-content: space-between;
  border: 0;
  background: none;
  padding: 7px 10px;
  text-align: left;
}
li .chosen,
li button:hover {
  background: var(--ticket);
}
li span {
  color: var(--ink-soft);
}
</style>
