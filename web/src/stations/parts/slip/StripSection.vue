<script setup lang="ts">
import { computed, reactive } from 'vue';
import type { StripSide } from '@grain-fold/core/allowance';
import { applyCommand, flatStripOf, type PartCommand } from '@grain-fold/core/editing';
import { USUAL_FOLDS, type FoldStyle } from '@grain-fold/core/operations';
import type { Part } from '@grain-fold/core/part';
import { formatLengthWithUnit, worded } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FoldAway from '../../../kit/FoldAway.vue';

/** A part drawn from the sizes that it is to have when it is folded: sides one after the other, with a fold between each. */
const props = defineProps<{ part: Part; thicknessMm: number }>();
const work = useAirframe();
const usual = computed(() => work.airframe?.settings.folds?.style ?? USUAL_FOLDS.style);
/** A channel in round numbers of the builder's unit, to start from. */
const start = work.unit === 'in' ? { length: 203.2, wall: 31.75, floor: 63.5 } : { length: 200, wall: 30, floor: 60 };
const strip = reactive({
  lengthMm: start.length,
  sides: [
    { sizeMm: start.wall, is: 'outer' },
    { sizeMm: start.floor, is: 'outer' },
    { sizeMm: start.wall, is: 'outer' },
  ] as StripSide[],
  folds: [
    { foldDegrees: 90, style: '' },
    { foldDegrees: 90, style: '' },
  ] as { foldDegrees: number; style: FoldStyle | '' }[],
});
const STYLES = { groove: 'mitre groove', trench: 'trench', crease: 'crease', slit: 'open slit' } as const;
const styleChoices = computed(() => [['', `as usual: ${STYLES[usual.value]}`] as const, ...Object.entries(STYLES)]);
const folds = computed(() =>
  strip.folds.map(({ foldDegrees, style }) => ({ foldDegrees, style: style || usual.value })),
);
const command = computed<PartCommand>(() => ({
  name: 'foldStrip',
  args: {
    lengthMm: strip.lengthMm,
    sides: strip.sides.map((side) => ({ ...side })),
    folds: folds.value,
    thicknessMm: props.thicknessMm,
  },
}));
/** How wide it is laid flat, or why it cannot be. */
const told = computed(() => {
  const result = applyCommand(props.part, command.value);
  if (!result.ok) return worded(result.message, work.unit);
  const flat = flatStripOf(strip.sides, folds.value, props.thicknessMm);
  return `Flat it is ${formatLengthWithUnit(strip.lengthMm, work.unit)} × ${formatLengthWithUnit(flat.lengthMm, work.unit)}, with folds at ${flat.lines.map((y) => formatLengthWithUnit(y, work.unit)).join(', ')}.`;
});
function addSide(): void {
  strip.sides.push({ ...strip.sides.at(-1)! });
  strip.folds.push({ ...strip.folds.at(-1)! });
}
function removeSide(): void {
  strip.sides.pop();
  strip.folds.pop();
}
const setSide = (index: number, changes: Partial<StripSide>): void => {
  strip.sides[index] = { ...strip.sides[index]!, ...changes };
};
</script>

<template>
  <FoldAway title="Or fold it from sizes" class="strip">
    <p class="hint">Give what it measures when it is folded; the flat lines follow the measured board.</p>
    <MeasureField
      label="Length along the folds"
      :unit="work.unit"
      :least="1"
      :model-value="strip.lengthMm"
      @update:model-value="strip.lengthMm = $event"
    />
    <div v-for="(side, index) in strip.sides" :key="index" class="side">
      <MeasureField
        :label="`Side ${index + 1}`"
        :unit="work.unit"
        :least="0.1"
        :model-value="side.sizeMm"
        @update:model-value="setSide(index, { sizeMm: $event })"
      />
      <ChoiceRow
        :label="`Side ${index + 1} is measured`"
        :model-value="side.is"
        :choices="[
          ['outer', 'outside'],
          ['inner', 'inside'],
        ]"
        @update:model-value="setSide(index, { is: $event as StripSide['is'] })"
      />
      <template v-if="strip.folds[index]">
        <MeasureField
          :label="`Fold ${index + 1}`"
          kind="angle"
          :least="1"
          :most="180"
          :model-value="strip.folds[index]!.foldDegrees"
          @update:model-value="strip.folds[index]!.foldDegrees = $event"
        />
        <ChoiceRow
          :label="`Fold ${index + 1} is a`"
          :model-value="strip.folds[index]!.style"
          :choices="styleChoices"
          @update:model-value="strip.folds[index]!.style = $event as FoldStyle | ''"
        />
      </template>
    </div>
    <div class="doings">
      <el-button size="small" @click="addSide">Add a side</el-button>
      <el-button size="small" v-if="strip.sides.length > 2" @click="removeSide"> Remove the last side </el-button>
    </div>
    <p class="hint">{{ told }}</p>
    <el-button type="primary" size="small" @click="work.run(part.id, command)">Draw it flat</el-button>
  </FoldAway>
</template>

<style scoped>
.strip {
  margin-top: 14px;
}
.side {
  border-left: 4px solid #c9bd9f;
  padding: 0 0 4px 10px;
  margin: 8px 0;
}
.hint {
  margin: 8px 0;
  color: var(--ink-soft);
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
