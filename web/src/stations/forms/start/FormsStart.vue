<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Form } from '@grain-fold/core/forms';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { KINDS_ON_DESK, onDesk } from '../kinds-on-desk.ts';

/** What is to be made, from a few numbers or from what is planned. */
defineProps<{ isEmpty: boolean }>();
const emit = defineEmits<{ make: [forms: readonly Form[]]; close: [] }>();
const work = useAirframe();
const WHAT = KINDS_ON_DESK.map(([kind, { word }]) => [kind, word] as const);
const what = ref<Form['kind']>('wing');
const start = computed(() => onDesk(what.value).start);
const named = new Set<string>();
/** A name and an id that no other form has. */
function naming(wanted: string, prefix: string): { readonly id: string; readonly name: string } {
  const names = new Set((work.airframe?.forms ?? []).map(({ name }) => name)),
    fresh = work.freshId(prefix);
  let name = wanted,
    id = fresh;
  for (let number = 2; names.has(name) || named.has(name); number += 1) name = `${wanted} ${number}`;
  for (let number = 2; named.has(id); number += 1) id = `${fresh}-${number}`;
  named.add(name).add(id);
  return { id, name };
}
function make(forms: readonly Form[]): void {
  named.clear();
  emit('make', forms);
}
</script>

<template>
  <div class="start">
    <h2>{{ isEmpty ? 'Make a form' : 'Make another form' }}</h2>
    <ChoiceRow
      label="Make"
      :model-value="what"
      :choices="WHAT"
      is-list
      @update:model-value="what = $event as typeof what"
    />
    <component :is="start" :naming="naming" @make="make">
      <el-button v-if="!isEmpty" link @click="emit('close')">Leave it as it is</el-button>
    </component>
  </div>
</template>

<style scoped>
.start {
  position: absolute;
  z-index: 3;
  inset: 0;
  margin: auto;
  height: fit-content;
  width: min(520px, 94%);
  background: var(--foam);
  color: var(--ink);
  padding: 24px 26px;
  border-radius: var(--radius);
}
.start :deep(.lead) {
  color: var(--ink-soft);
  padding: 4px 0 12px;
}
.start :deep(.go) {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding-top: 16px;
}
</style>
