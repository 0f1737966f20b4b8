<script setup lang="ts">
import { computed } from 'vue';
import {
  LARGEST_PAPER_MM,
  PAPER_NAMES,
  SMALLEST_PAPER_MM,
  USUAL_ROLL_MM,
  type PaperChoice,
} from '@grain-fold/core/pages';
import type { LengthUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';

/** What is printed on. */
const props = defineProps<{
  paper: PaperChoice;
  unit: LengthUnit;
  /** What stands for no paper of its own: `as the set`. */
  orElse?: string;
  isElse?: boolean;
}>();
const emit = defineEmits<{ change: [changes: Partial<PaperChoice>]; leave: [] }>();
const choices = computed(() => [
  ...(props.orElse ? [['', props.orElse] as const] : []),
  ...PAPER_NAMES.map((name) => [name, name] as const),
  ['own', 'own size'] as const,
  ['roll', 'off a roll'] as const,
]);
const isTurned = computed(() => props.paper.paper !== 'roll');
const take = (value: string): void =>
  value === '' ? emit('leave') : emit('change', { paper: value as PaperChoice['paper'] });
</script>

<template>
  <ChoiceRow label="Paper" :model-value="isElse ? '' : paper.paper" :choices="choices" @update:model-value="take" />
  <template v-if="!isElse">
    <template v-if="paper.paper === 'own'">
      <MeasureField
        label="Paper width"
        :unit="unit"
        :model-value="paper.ownWidthMm"
        :least="SMALLEST_PAPER_MM"
        :most="LARGEST_PAPER_MM"
        @update:model-value="emit('change', { ownWidthMm: $event })"
      />
      <MeasureField
        label="Paper height"
        :unit="unit"
        :model-value="paper.ownHeightMm"
        :least="SMALLEST_PAPER_MM"
        :most="LARGEST_PAPER_MM"
        @update:model-value="emit('change', { ownHeightMm: $event })"
      />
    </template>
    <MeasureField
      v-if="paper.paper === 'roll'"
      label="Roll, across"
      :unit="unit"
      :model-value="paper.rollWidthMm ?? USUAL_ROLL_MM"
      :least="SMALLEST_PAPER_MM"
      :most="LARGEST_PAPER_MM"
      @update:model-value="emit('change', { rollWidthMm: $event })"
    />
    <ChoiceRow
      v-if="isTurned"
      label="Lies"
      :model-value="paper.orientation"
      :choices="[
        ['portrait', 'portrait'],
        ['landscape', 'landscape'],
      ]"
      @update:model-value="emit('change', { orientation: $event as PaperChoice['orientation'] })"
    />
  </template>
</template>
