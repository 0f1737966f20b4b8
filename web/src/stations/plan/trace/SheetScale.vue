<script setup lang="ts">
import { computed } from 'vue';
import { calibrationFault, lengthChecks, type PlanSheet, type SheetCalibration } from '@grain-fold/core/plan';
import { formatLengthWithUnit, worded } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Tracing } from './use-tracing.ts';

/** By what a sheet is sized, and every known length with how far the sheet is from it. */
const props = defineProps<{ tracing: Tracing; sheet: PlanSheet }>();
const work = useAirframe();
const sheetFault = computed(() => calibrationFault(props.sheet));
const checks = computed(() => (sheetFault.value === undefined ? lengthChecks(props.sheet) : []));
const isPicture = computed(() => props.sheet.kind === 'png' || props.sheet.kind === 'jpeg');
/** The lengths that set the scale: one, or two across each other. */
const ways = computed<readonly (readonly [string, string])[]>(() => {
  const lengths = props.sheet.lengths;
  return [
    ...(props.sheet.calibration.kind === 'none'
      ? [['none', isPicture.value ? 'not sized yet' : 'as the file says'] as const]
      : []),
    ...lengths.map(({ id, name }) => [id, `by ${name}`] as const),
    ...lengths.flatMap((a, index) =>
      lengths.slice(index + 1).map((b) => [`${a.id} ${b.id}`, `by ${a.name} and ${b.name}`] as const),
    ),
    ...(props.sheet.calibration.kind === 'four corners' ? [['corners', 'by four corners'] as const] : []),
  ];
});
const way = computed(() => {
  const calibration = props.sheet.calibration;
  switch (calibration.kind) {
    case 'one length':
      return calibration.lengthId;
    case 'two lengths':
      return calibration.lengthIds.join(' ');
    case 'four corners':
      return 'corners';
    default:
      return 'none';
  }
});
function setWay(chosenWay: string): void {
  const { sheet } = props,
    [first, second] = chosenWay.split(' ');
  if (!first || first === 'none' || first === 'corners') return;
  const calibration: SheetCalibration = second
    ? { kind: 'two lengths', lengthIds: [first, second] }
    : { kind: 'one length', lengthId: first };
  const why = calibrationFault({ ...sheet, calibration });
  if (why) return void (work.message = worded(why, work.unit));
  props.tracing.changeSheet(`Size ${sheet.name} anew`, sheet.id, { calibration });
}
function changeLength(id: string, lengthMm: number): void {
  const { sheet } = props;
  props.tracing.changeSheet('Change known length', sheet.id, {
    lengths: sheet.lengths.map((one) => (one.id === id ? { ...one, lengthMm } : one)),
  });
}
function removeLength(id: string): void {
  const { sheet } = props;
  const isSetting = checks.value.find((one) => one.id === id)?.isSetting ?? true;
  if (isSetting && sheet.calibration.kind !== 'four corners') {
    work.message = 'This length sets the scale: size the sheet by another first.';
    return;
  }
  props.tracing.changeSheet('Take out known length', sheet.id, {
    lengths: sheet.lengths.filter((one) => one.id !== id),
  });
}
</script>

<template>
  <div>
    <p v-if="sheetFault" class="bad" role="alert">{{ worded(sheetFault, work.unit) }}</p>
    <ChoiceRow
      v-if="ways.length > 0"
      label="Sized"
      :model-value="way"
      :choices="ways"
      is-list
      @update:model-value="setWay"
    />
    <div v-for="check in checks" :key="check.id" class="known">
      <MeasureField
        :label="check.name"
        :unit="work.unit"
        :model-value="check.lengthMm"
        :least="0.01"
        :most="1000000"
        @update:model-value="changeLength(check.id, $event)"
      />
      <p class="figures">
        <template v-if="check.isSetting">sets the scale</template>
        <template v-else
          >shown {{ formatLengthWithUnit(check.shownMm, work.unit) }}:
          <b :class="{ off: Math.abs(check.offPerCent) > 1 }"
            >{{ check.offPerCent > 0 ? '+' : '' }}{{ check.offPerCent.toFixed(1) }} %</b
          ></template
        >
        <el-button link size="small" :aria-label="`Take out ${check.name}`" @click="removeLength(check.id)"
          >Take out</el-button
        >
      </p>
    </div>
  </div>
</template>

<style scoped>
.bad {
  font-size: 13.5px;
  padding: 6px 0;
  color: var(--brick);
}
.known p {
  display: flex;
  justify-content: space-between;
  color: var(--ink-soft);
  font-size: 14px;
}
.off {
  color: var(--brick);
}
</style>
