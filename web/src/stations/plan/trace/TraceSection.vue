<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useDropZone } from '@vueuse/core';
import { useTemplateRef } from 'vue';
import {
  calibrationFault,
  freshPlanId,
  lengthChecks,
  PLAN_BOUNDS,
  PLAN_VIEWS,
  project,
  sheetMap,
  VIEW_WORDS,
  type PlanSheet,
  type PlanView,
  type SheetCalibration,
} from '@grain-fold/core/plan';
import { distance } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, worded } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';
import { sheetKey, type Tracing } from './use-tracing.ts';
import { EXAMPLE_SHEET, exampleSheet } from './example-sheet.ts';

/** Pictures and drawings under the views: taken in, calibrated by lengths that are known, turned, cropped and placed. */
const props = defineProps<{ desk: PlanDesk; tracing: Tracing }>();
const work = useAirframe();
const { states, picking, picked, fault, note, isAdding } = props.tracing;
const view = ref<PlanView>('side');
const views = PLAN_VIEWS.map((one) => [one, VIEW_WORDS[one].toLowerCase()] as const);
const plan = computed(() => props.desk.plan.value);
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  const underlay =
    (value?.kind === 'underlay' ? plan.value.underlays.find(({ id }) => id === value.underlayId) : undefined) ??
    plan.value.underlays[0];
  const sheet = plan.value.sheets.find(({ id }) => id === underlay?.sheetId);
  return underlay && sheet ? { underlay, sheet } : undefined;
});
const sheetFault = computed(() => chosen.value && calibrationFault(chosen.value.sheet));
const checks = computed(() => (chosen.value && !sheetFault.value ? lengthChecks(chosen.value.sheet) : []));
const failed = computed(() => {
  const state = chosen.value && states.value.get(sheetKey(chosen.value.sheet));
  return state?.kind === 'failed' ? state.message : undefined;
});
const pages = computed(() => {
  const state = chosen.value && states.value.get(sheetKey(chosen.value.sheet));
  return state?.kind === 'open' ? (state.pages ?? 1) : 1;
});
/** A place typed in pixels of the sheet, for hands that do not point. */
const typed = ref({ x: 0, y: 0 });
const isOpening = computed(() => chosen.value && states.value.get(sheetKey(chosen.value.sheet))?.kind === 'opening');

const zone = useTemplateRef<HTMLElement>('zone');
useDropZone(zone, {
  multiple: false,
  onDrop: (files) => void (files?.[0] && props.tracing.addFile(files[0], view.value)),
});
const choose = (options: { raw?: File } | undefined): void => {
  if (options?.raw) void props.tracing.addFile(options.raw, view.value);
};
const tryExample = async (): Promise<void> => props.tracing.addFile(await exampleSheet(), 'side');

/** How long what was just picked is, as the sheet stands. */
const newLength = ref(0);
const newName = ref('');
const corners = ref({ widthMm: 420, heightMm: 297 });
watch(picked, (done) => {
  if (done?.what !== 'length' || !chosen.value) return;
  const [a, b] = done.points;
  newLength.value = sheetFault.value
    ? 100
    : Math.round(distance(project(sheetMap(chosen.value.sheet), a!), project(sheetMap(chosen.value.sheet), b!)) * 10) /
      10;
  newName.value = '';
});
function addLength(): void {
  const done = picked.value,
    found = chosen.value;
  if (!done || !found) return;
  if (found.sheet.lengths.length >= PLAN_BOUNDS.knownLengths) {
    work.message = `A sheet holds ${PLAN_BOUNDS.knownLengths} known lengths: take one out first.`;
    return;
  }
  props.desk.run((now) => {
    const [id, next] = freshPlanId(now, 'k');
    const name = newName.value.trim() || `Length ${found.sheet.lengths.length + 1}`;
    const length = { id, name, from: done.points[0]!, to: done.points[1]!, lengthMm: newLength.value };
    const sets = found.sheet.calibration.kind === 'none';
    return {
      label: sets ? `Size ${found.sheet.name} by ${name}` : `Check ${found.sheet.name} by ${name}`,
      plan: withSheet(next, {
        ...found.sheet,
        lengths: [...found.sheet.lengths, length],
        ...(sets ? { calibration: { kind: 'one length', lengthId: id } as const } : {}),
      }),
    };
  });
  picked.value = undefined;
}
function setCorners(): void {
  const done = picked.value,
    found = chosen.value;
  if (!done || !found) return;
  const calibration: SheetCalibration = { kind: 'four corners', corners: done.points, ...corners.value };
  const why = calibrationFault({ ...found.sheet, calibration });
  if (why) return void (work.message = worded(why, work.unit));
  props.tracing.changeSheet(`Straighten ${found.sheet.name} by four corners`, found.sheet.id, { calibration });
  picked.value = undefined;
}
const withSheet = (now: typeof plan.value, sheet: PlanSheet): typeof plan.value => ({
  ...now,
  sheets: now.sheets.map((one) => (one.id === sheet.id ? sheet : one)),
});
const isPicture = computed(() => chosen.value?.sheet.kind === 'png' || chosen.value?.sheet.kind === 'jpeg');
/** The lengths that set the scale: one, or two across each other. */
const ways = computed<readonly (readonly [string, string])[]>(() => {
  const lengths = chosen.value?.sheet.lengths ?? [];
  return [
    ...(chosen.value?.sheet.calibration.kind === 'none'
      ? [['none', isPicture.value ? 'not sized yet' : 'as the file says'] as const]
      : []),
    ...lengths.map(({ id, name }) => [id, `by ${name}`] as const),
    ...lengths.flatMap((a, index) =>
      lengths.slice(index + 1).map((b) => [`${a.id} ${b.id}`, `by ${a.name} and ${b.name}`] as const),
    ),
    ...(chosen.value?.sheet.calibration.kind === 'four corners' ? [['corners', 'by four corners'] as const] : []),
  ];
});
const way = computed(() => {
  const calibration = chosen.value?.sheet.calibration;
  switch (calibration?.kind) {
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
  const found = chosen.value,
    [first, second] = chosenWay.split(' ');
  if (!found || !first || first === 'none' || first === 'corners') return;
  const calibration: SheetCalibration = second
    ? { kind: 'two lengths', lengthIds: [first, second] }
    : { kind: 'one length', lengthId: first };
  const why = calibrationFault({ ...found.sheet, calibration });
  if (why) return void (work.message = worded(why, work.unit));
  props.tracing.changeSheet(`Size ${found.sheet.name} anew`, found.sheet.id, { calibration });
}
function changeLength(id: string, lengthMm: number): void {
  const found = chosen.value;
  if (found)
    props.tracing.changeSheet('Change known length', found.sheet.id, {
      lengths: found.sheet.lengths.map((one) => (one.id === id ? { ...one, lengthMm } : one)),
    });
}
function removeLength(id: string): void {
  const found = chosen.value;
  if (!found) return;
  const isSetting = checks.value.find((one) => one.id === id)?.isSetting ?? true;
  if (isSetting && found.sheet.calibration.kind !== 'four corners') {
    work.message = 'This length sets the scale: size the sheet by another first.';
    return;
  }
  props.tracing.changeSheet('Take out known length', found.sheet.id, {
    lengths: found.sheet.lengths.filter((one) => one.id !== id),
  });
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
  <section ref="zone" aria-label="Trace">
    <p v-if="plan.sheets.length === 0" class="hint">
      Lay a picture or a drawing under the views: a photograph, a scan, a page of a plan. It is sized by a length that
      you know, and traced with the outline tool.
    </p>
    <ChoiceRow
      label="Under the view"
      :model-value="view"
      :choices="views"
      @update:model-value="view = $event as PlanView"
    />
    <div class="take">
      <el-upload :auto-upload="false" :show-file-list="false" accept=".png,.jpg,.jpeg,.svg,.dxf,.pdf" @change="choose">
        <span class="el-button el-button--primary el-button--small"
          ><span>{{ isAdding ? 'Taking it in …' : 'Choose a picture' }}</span></span
        >
      </el-upload>
      <el-button v-if="plan.sheets.length === 0" size="small" :disabled="isAdding" @click="tryExample"
        >Try {{ EXAMPLE_SHEET }}</el-button
      >
    </div>
    <p v-if="fault" class="bad" role="alert">{{ fault }}</p>
    <p v-else-if="note" class="hint">{{ note }}</p>

    <template v-if="chosen">
      <div v-if="plan.underlays.length > 1" class="others" role="group" aria-label="Underlays">
        <el-button
          v-for="one in plan.underlays"
          :key="one.id"
          size="small"
          :aria-pressed="one.id === chosen.underlay.id"
          @click="desk.chosen.value = { kind: 'underlay', underlayId: one.id }"
          >{{ VIEW_WORDS[one.view] }}</el-button
        >
      </div>
      <h3 class="eyebrow">{{ chosen.sheet.name }}</h3>
      <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
      <p v-else-if="isOpening" class="hint" role="status">Opening the picture …</p>
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
            :most="chosen.sheet.widthPx"
            @update:model-value="typed = { ...typed, x: $event }"
          />
          <MeasureField
            label="Pixels down"
            kind="number"
            :model-value="typed.y"
            :least="0"
            :most="chosen.sheet.heightPx"
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
          chosen.sheet.calibration.kind === 'none' ? 'Size the sheet by it' : 'Keep it'
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
        <el-button size="small" @click="tracing.start('length', chosen.underlay.id)">Known length</el-button>
        <el-button size="small" @click="tracing.start('corners', chosen.underlay.id)">Four corners</el-button>
        <el-button size="small" @click="tracing.start('level', chosen.underlay.id)">Level it</el-button>
        <el-button size="small" @click="tracing.start('origin', chosen.underlay.id)">Nose here</el-button>
        <el-button size="small" @click="tracing.start('crop', chosen.underlay.id)">Crop</el-button>
      </div>
      <p v-if="sheetFault" class="bad" role="alert">{{ worded(sheetFault, work.unit) }}</p>
      <MeasureField
        v-if="pages > 1"
        :label="`Page, of ${pages}`"
        kind="number"
        :model-value="chosen.sheet.page ?? 1"
        :least="1"
        :most="pages"
        @update:model-value="tracing.turnTo(chosen.sheet, Math.round($event))"
      />
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
      <FoldAway title="How it lies" is-open>
        <ChoiceRow
          label="View"
          :model-value="chosen.underlay.view"
          :choices="views"
          @update:model-value="
            tracing.changeUnderlay('Lay underlay elsewhere', chosen.underlay.id, { view: $event as PlanView })
          "
        />
        <MeasureField
          label="Turned"
          kind="angle"
          :model-value="chosen.underlay.turnDegrees"
          :least="-360"
          :most="360"
          @update:model-value="tracing.changeUnderlay('Turn underlay', chosen.underlay.id, { turnDegrees: $event })"
        />
        <MeasureField
          label="Strength, %"
          kind="number"
          :model-value="Math.round(100 * chosen.underlay.opacity)"
          :least="5"
          :most="100"
          @update:model-value="tracing.changeUnderlay('Fade underlay', chosen.underlay.id, { opacity: $event / 100 })"
        />
        <CheckRow
          label="Nose to the right on the sheet"
          :model-value="chosen.underlay.isMirrored"
          @update:model-value="tracing.changeUnderlay('Mirror underlay', chosen.underlay.id, { isMirrored: $event })"
        />
        <CheckRow
          label="Locked in its place"
          :model-value="chosen.underlay.isLocked"
          @update:model-value="
            tracing.changeUnderlay($event ? 'Lock underlay' : 'Unlock underlay', chosen.underlay.id, {
              isLocked: $event,
            })
          "
        />
        <CheckRow
          label="Hidden"
          :model-value="chosen.underlay.isHidden"
          @update:model-value="
            tracing.changeUnderlay($event ? 'Hide underlay' : 'Show underlay', chosen.underlay.id, { isHidden: $event })
          "
        />
      </FoldAway>
      <div class="acts">
        <el-button
          v-for="one in PLAN_VIEWS.filter((wanted) => wanted !== chosen?.underlay.view)"
          :key="one"
          size="small"
          @click="tracing.addView(chosen.sheet.id, one)"
          >Also its {{ one }} view</el-button
        >
        <el-button size="small" @click="tracing.removeUnderlay(chosen.underlay.id)">Take it out</el-button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.hint,
.bad,
.pick {
  font-size: 13.5px;
  padding: 6px 0;
  color: var(--ink-soft);
}
.bad {
  color: var(--brick);
}
.pick {
  color: var(--ink);
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 6px 10px;
}
.take,
.acts,
.others {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 0;
}
.acts .el-button,
.others .el-button,
.take .el-button {
  margin: 0;
}
.asked {
  background: var(--ticket);
  padding: 6px 10px 10px;
  display: grid;
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
.eyebrow {
  padding-top: 10px;
  overflow-wrap: anywhere;
}
</style>
