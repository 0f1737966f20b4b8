<script setup lang="ts">
import { computed, reactive } from 'vue';
import { applyCommand, type PartCommand } from '@grain-fold/core/editing';
import { lineName, type Part } from '@grain-fold/core/part';
import ChoiceRow from '../../../../kit/ChoiceRow.vue';
import MeasureField from '../../../../kit/MeasureField.vue';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';
import FoldAway from '../../../../kit/FoldAway.vue';

/** Makes a row of one crease, so that the board bends to a section drawn on the part. */
const props = defineProps<{ part: Part; operationId: string; lineId: string }>();
const work = useAirframe();
const sections = computed(() =>
  props.part.lines
    .filter(
      ({ id, closed, segments }) =>
        id !== props.lineId && !closed && (segments.length > 1 || segments[0]!.kind !== 'line'),
    )
    .map((line) => [line.id, lineName(props.part, line.segments[0]!.id)] as const),
);
const row = reactive({ section: '', creases: 4, side: 'left' });
const section = computed(() =>
  sections.value.some(([id]) => id === row.section) ? row.section : (sections.value[0]?.[0] ?? ''),
);
const command = computed<PartCommand>(() => ({
  name: 'creaseSection',
  args: {
    operationId: props.operationId,
    sectionPathId: section.value,
    creases: row.creases,
    side: row.side as 'left' | 'right',
  },
}));
/** What the row would be, or why it cannot be. */
const told = computed(() => {
  const result = applyCommand(props.part, command.value);
  return result.ok ? result.label.replace(/^.*, /, '').replace(' off', ' off the section at most') : result.message;
});
</script>

<template>
  <FoldAway title="Crease to a drawn section" v-if="sections.length > 0">
    <ChoiceRow label="Section" :model-value="section" :choices="sections" @update:model-value="row.section = $event" />
    <MeasureField
      label="Creases along it"
      kind="number"
      :model-value="row.creases"
      :least="1"
      :most="198"
      @update:model-value="row.creases = Math.round($event)"
    />
    <ChoiceRow
      v-model="row.side"
      label="They follow"
      :choices="[
        ['left', 'on its left'],
        ['right', 'on its right'],
      ]"
    />
    <p class="told">{{ told }}</p>
    <el-button size="small" @click="work.run(part.id, command)">Crease to the section</el-button>
  </FoldAway>
</template>

<style scoped>
.told {
  margin: 6px 0;
  color: var(--ink-soft);
}
</style>
