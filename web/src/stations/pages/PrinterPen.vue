<script setup lang="ts">
import { computed } from 'vue';
import { HEAVIEST_PEN, LIGHTEST_PEN, USUAL_PEN, type InkChoice, type PaperPen } from '@grain-fold/core/ink';
import { WIDEST_MARGIN_MM } from '@grain-fold/core/pages';
import type { Printer } from '@grain-fold/core/printers';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';

/** What a printer does to every page: its ink, how heavy it draws, and the edge that it leaves white. */
const props = defineProps<{ printer: Printer; pageMarginMm: number; unit: LengthUnit }>();
const emit = defineEmits<{ keep: [printer: Printer]; margin: [marginMm: number] }>();
const INKS: readonly (readonly [InkChoice, string])[] = [
  ['grey', 'black and grey'],
  ['black', 'black alone'],
  ['colour', 'colour'],
];
const WORDS: Readonly<Record<InkChoice, string>> = {
  grey: 'Work on the back is grey.',
  black: 'Nothing is grey: work on the back is told by its strokes alone, and nothing comes out as dots.',
  colour: 'Work on the back is blue, joining sheets green.',
};
const pen = computed(() => props.printer.pen ?? USUAL_PEN);
const setPen = (changes: Partial<PaperPen>): void =>
  emit('keep', { ...props.printer, pen: { ...pen.value, ...changes } });
const isCutOff = computed(
  () => props.printer.marginMm !== undefined && props.printer.marginMm > props.pageMarginMm + 1e-6,
);
</script>

<template>
  <ChoiceRow
    label="Its ink"
    :model-value="pen.ink"
    :choices="INKS"
    is-list
    @update:model-value="setPen({ ink: $event as InkChoice })"
  />
  <p class="hint">{{ WORDS[pen.ink] }}</p>
  <MeasureField
    label="Lines drawn, %"
    kind="number"
    :step-by="10"
    :model-value="Math.round(pen.weight * 100)"
    :least="LIGHTEST_PEN * 100"
    :most="HEAVIEST_PEN * 100"
    @update:model-value="setPen({ weight: $event / 100 })"
  />
  <MeasureField
    label="It leaves white at the edge"
    :unit="unit"
    :model-value="printer.marginMm ?? 0"
    :least="0"
    :most="WIDEST_MARGIN_MM"
    @update:model-value="emit('keep', { ...printer, marginMm: $event })"
  />
  <p v-if="isCutOff" class="warn" role="status">
    The pages’ margin is {{ formatLengthWithUnit(pageMarginMm, unit) }}: this printer would cut their edge off.
    <el-button link @click="emit('margin', printer.marginMm!)"
      >Set {{ formatLengthWithUnit(printer.marginMm!, unit) }}</el-button
    >
  </p>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  font-size: 13px;
  padding: 4px 0 6px;
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
