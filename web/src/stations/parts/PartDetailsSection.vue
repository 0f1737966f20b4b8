<script setup lang="ts">
import { computed } from 'vue';
import type { Part, PartDetails } from '@grain-fold/core/drawing';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../components/ChoiceRow.vue';
import MeasureField from '../../components/MeasureField.vue';
import { useAirframe } from '../../stores/airframe.ts';

const props = defineProps<{ part: Part }>();
const work = useAirframe();
const materials = computed(() => [...new Set([...materialsOf(work.airframe?.boards ?? []), props.part.material])].map((name) => [name, name] as const));
const groups = computed(() => [...new Set((work.airframe?.parts ?? []).map(({ group }) => group))].filter((group) => group !== ''));
const change = (changes: Partial<PartDetails>): void => { work.run(props.part.id, { name: 'changeDetails', args: { changes } }); };
const text = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <section aria-label="About this part">
    <h2 class="eyebrow">This part</h2>
    <div class="rows">
      <MeasureField label="How many" kind="number" :model-value="part.quantity" :least="1" :most="999" @update:model-value="change({ quantity: Math.round($event) })" />
      <ChoiceRow label="Made" :model-value="part.handed" :choices="[['single', 'as drawn'], ['pair', 'port and starboard']]" @update:model-value="change({ handed: $event as Part['handed'] })" />
      <ChoiceRow label="Material" :model-value="part.material" :choices="materials" @update:model-value="change({ material: $event })" />
      <ChoiceRow label="Grain" :model-value="part.grain.rule" :choices="[['any', 'any way'], ['along', 'runs along'], ['across', 'runs across']]" @update:model-value="change({ grain: { ...part.grain, rule: $event as Part['grain']['rule'] } })" />
      <MeasureField v-if="part.grain.rule !== 'any'" label="Grain direction" kind="angle" :model-value="part.grain.directionDegrees" :least="-360" :most="360" @update:model-value="change({ grain: { ...part.grain, directionDegrees: $event } })" />
      <ChoiceRow label="When scaled" :model-value="part.sizing" :choices="[['scaled', 'grows'], ['fixed', 'keeps its size']]" @update:model-value="change({ sizing: $event as Part['sizing'] })" />
      <div class="row"><label for="part-group">Group</label><input id="part-group" class="text" list="part-groups" :value="part.group" maxlength="80" @change="change({ group: text($event) })" @keydown.enter="($event.target as HTMLInputElement).blur()" /><datalist id="part-groups"><option v-for="group in groups" :key="group" :value="group" /></datalist></div>
    </div>
    <label class="notes">Notes <textarea rows="2" maxlength="10000" :value="part.notes" @change="change({ notes: text($event) })" /></label>
  </section>
</template>

<style scoped>
.text { width: 150px; border: 0; border-bottom: 1px dashed #b5a67f; background: transparent; text-align: right; font-weight: 600; padding: 2px; }
.text::-webkit-calendar-picker-indicator { display: none !important; }
.notes { display: grid; gap: 4px; margin-top: 10px; }
textarea { border: 1px solid #c9bd9f; background: #fffdf7; border-radius: var(--radius); padding: 6px 8px; resize: vertical; }
</style>
