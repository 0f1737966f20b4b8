<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { MeasuredPlace } from '@grain-fold/core/folds';
import type { NamedPlace } from './named-places.ts';

/** The two places to measure between, chosen by name: with keys alone, or where no model can be shown. */
const props = defineProps<{ places: readonly NamedPlace[]; measured: readonly MeasuredPlace[] }>();
const emit = defineEmits<{ measure: [places: readonly MeasuredPlace[]] }>();

const from = ref(''),
  to = ref('');
const options = computed(() => props.places.map(({ name }) => ({ value: name, label: name })));
const placeOf = (name: string): MeasuredPlace | undefined => props.places.find((one) => one.name === name)?.place;
const chosen = computed(() => [placeOf(from.value), placeOf(to.value)].flatMap((place) => place ?? []));
watch(chosen, (places) => {
  if (from.value !== '') emit('measure', places);
});
/** Places that were clicked stand on no list. */
watch(
  () => props.measured,
  (measured) => {
    if (!measured.every((place) => chosen.value.includes(place))) [from.value, to.value] = ['', ''];
  },
);
</script>

<template>
  <div class="measure-choice figures on-mat" role="group" aria-label="Measure between">
    <el-select-v2 v-model="from" filterable clearable aria-label="Measure from" placeholder="from" :options="options" />
    <el-select-v2
      v-model="to"
      filterable
      clearable
      aria-label="Measure to"
      placeholder="to"
      :options="options"
      :disabled="from === ''"
    />
  </div>
</template>

<style scoped>
.measure-choice {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  background: #1b333b;
  border-radius: var(--radius);
  padding: 6px 10px;
}
.el-select {
  width: 260px;
}
</style>
