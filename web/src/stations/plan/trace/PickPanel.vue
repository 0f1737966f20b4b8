<script setup lang="ts">
import { ref, watch } from 'vue';
import { distance } from '@grain-fold/core/geometry';
import {
  calibrationFault,
  freshPlanId,
  PLAN_BOUNDS,
  project,
  sheetMap,
  type PlanSheet,
  type SheetCalibration,
  type Underlay,
} from '@grain-fold/core/plan';
import { worded } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';
import type { Tracing } from './use-tracing.ts';

/** What is picked on a sheet: what for, the places by numbers too, and what a length or a rectangle is in truth. */
const props = defineProps<{ desk: PlanDesk; tracing: Tracing; sheet: PlanSheet; underlay: Underlay }>();
const work = useAirframe();
const { picking, picked } = props.tracing;
/** A place typed in pixels of the sheet, for hands that do not point. */
const typed = ref({ x: 0, y: 0 });

/** How long what was just picked is, as the sheet stands. */
const newLength = ref(0);
const newName = ref('');
const corners = ref({ widthMm: 420, heightMm: 297 });
watch(picked, (done) => {
  if (done?.what !== 'length') return;
  const [a, b] = done.points;
  newLength.value =
    calibrationFault(props.sheet) !== undefined
      ? 100
      : Math.round(distance(project(sheetMap(props.sheet), a!), project(sheetMap(props.sheet), b!)) * 10) / 10;
  newName.value = '';
});
function addLength(): void {
  const done = picked.value,
    { sheet } = props;
  if (!done) return;
  if (sheet.lengths.length >= PLAN_BOUNDS.knownLengths) {
    work.message = `A sheet holds ${PLAN_BOUNDS.knownLengths} known lengths: take one out first.`;
    return;
  }
  props.desk.run((now) => {
    const [id, next] = freshPlanId(now, 'k');
    const name = newName.value.trim() || `Length ${sheet.lengths.length + 1}`;
    const length = { id, name, from: done.points[0]!, to: done.points[1]!, lengthMm: newLength.value };
    const sets = sheet.calibration.kind === 'none';
    return {
      label: sets ? `Size ${sheet.name} by ${name}` : `Check ${sheet.name} by ${name}`,
      plan: {
        ...next,
        sheets: next.sheets.map((one) =>
          one.id === sheet.id
            ? {
                ...one,
                lengths: [...one.lengths, length],
                ...(sets ? { calibration: { kind: 'one length', lengthId: id } as const } : {}),
              }
            : one,
        ),
      },
    };
  });
  picked.value = undefined;
}
function setCorners(): void {
  const done = picked.value,
    { sheet } = props;
  if (!done) return;
  const calibration: SheetCalibration = { kind: 'four corners', corners: done.points, ...corners.value };
  const why = calibrationFault({ ...sheet, calibration });
  if (why) return void (work.message = worded(why, work.unit));
  props.tracing.changeSheet(`Straighten ${sheet.name} by four corners`, sheet.id, { calibration });
  picked.value = undefined;
}
const HINTS = {
  length: 'Click both ends of a length that you know: a span, a chord, a wheel.',
  level: 'Click two places that are to lie level, or upright.',
  origin: 'Click the nose: it comes to the datum of the view.',
  corners: 'Click the four corners of a rectangle whose sides you know.',
  crop: 'Click two corners of what is to be seen.',
} as const;
</script>

<template>
  <div v-if="picking" class="pick">
    <p role="status">
      {{ HINTS[picking.what] }} <el-button link size="small" @click="tracing.drop()">Leave it</el-button>
    </p>
    <FoldAway title="Or type the place">
      <MeasureField
        label="Pixels across"
        kind="number"
        :model-value="typed.x"
        :least="0"
        :most="sheet.widthPx"
        @update:model-value="typed = { ...typed, x: $event }"
      />
      <MeasureField
        label="Pixels down"
        kind="number"
        :model-value="typed.y"
        :least="0"
        :most="sheet.heightPx"
        @update:model-value="typed = { ...typed, y: $event }"
      />
      <el-button size="small" @click="tracing.pick(typed)">Set this place</el-button>
    </FoldAway>
  </div>
  <div v-else-if="picked?.what === 'length'" class="asked">
    <MeasureField
      label="It is in truth"
      :unit="work.unit"
      :model-value="newLength"
      :least="0.01"
      :most="1000000"
      @update:model-value="newLength = $event"
    />
    <TextRow label="What it is" :model-value="newName" placeholder="span" @update:model-value="newName = $event" />
    <el-button type="primary" size="small" @click="addLength">{{
      sheet.calibration.kind === 'none' ? 'Size the sheet by it' : 'Keep it'
    }}</el-button>
  </div>
  <div v-else-if="picked?.what === 'corners'" class="asked">
    <MeasureField
      label="Width"
      :unit="work.unit"
      :model-value="corners.widthMm"
      :least="0.1"
      :most="100000"
      @update:model-value="corners = { ...corners, widthMm: $event }"
    />
    <MeasureField
      label="Height"
      :unit="work.unit"
      :model-value="corners.heightMm"
      :least="0.1"
      :most="100000"
      @update:model-value="corners = { ...corners, heightMm: $event }"
    />
    <el-button type="primary" size="small" @click="setCorners">Straighten the sheet</el-button>
  </div>
  <div v-else class="acts">
    <el-button size="small" @click="tracing.start('length', underlay.id)">Known length</el-button>
    <el-button size="small" @click="tracing.start('corners', underlay.id)">Four corners</el-button>
    <el-button size="small" @click="tracing.start('level', underlay.id)">Level it</el-button>
    <el-button size="small" @click="tracing.start('origin', underlay.id)">Nose here</el-button>
    <el-button size="small" @click="tracing.start('crop', underlay.id)">Crop</el-button>
  </div>
</template>

<style scoped>
.pick {
  font-size: 13.5px;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 6px 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 0;
}
.acts .el-button {
  margin: 0;
}
.asked {
  background: var(--ticket);
  padding: 6px 10px 10px;
  display: grid;
}
</style>
