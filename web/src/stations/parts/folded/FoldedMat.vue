<script setup lang="ts">
import { computed, defineAsyncComponent, ref, shallowRef, useTemplateRef } from 'vue';
import type { FoldExtent, FoldView } from '@grain-fold/core/airframe';
import {
  foldedSvg,
  foldName,
  measureOnModel,
  placeInSight,
  seenDirection,
  type MeasuredPlace,
  type Sight,
} from '@grain-fold/core/folds';
import { distance3, distanceToRun3, dot3, times3 } from '@grain-fold/core/geometry';
import { traitsOf } from '@grain-fold/core/operations';
import type { Part } from '@grain-fold/core/part';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import { useKeys } from '../../../keys/use-keys.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Chosen, Selection } from '../selection.ts';
import FoldedDrawing from './FoldedDrawing.vue';
import MeasureChoice from './MeasureChoice.vue';
import { namedPlaces } from './named-places.ts';
import { useFolding } from './use-folding.ts';

/** A part folded on the mat, by itself or with what it stands with: how far, in which order, cut open, taken apart, measured. */
const props = defineProps<{ part: Part; view: FoldView; selection: Selection }>();
const emit = defineEmits<{ extent: [extent: FoldExtent]; pick: [partId: string, chosen: Chosen] }>();
const FoldedModel = defineAsyncComponent(() => import('./FoldedModel.vue'));
const work = useAirframe();
const folding = useFolding(
  () => props.view,
  (mm) => formatLengthWithUnit(mm, work.unit, 2),
);
const { share, step, apart, isClear, viewpoint, section, bounds, sectionSize, deflection } = folding;
const order = computed(() => props.view.order);
const model = useTemplateRef<{ picture: () => Promise<Blob | undefined> }>('model');
const hasModel = ref(true);
const isMeasuring = ref(false);
const measured = shallowRef<readonly MeasuredPlace[]>([]);
const hasMissed = ref(false);

const label = computed(() => props.view.report.join(' '));
const EXTENTS = [
  ['part', 'this part'],
  ['together', 'what it stands with'],
  ['airframe', 'whole airframe'],
] as const;
/** The same words for a part as it is drawn and for an airframe by its axes, of which aft runs to the right. */
const VIEWS = [
  ['corner', 35, 28, 'From the corner'],
  ['side', 0, 0, 'From its side: an airframe from port'],
  ['end', 90, 0, 'From its end: an airframe from the nose'],
  ['above', 0, 89, 'From above'],
  ['below', 0, -89, 'From below'],
] as const;
const look = (turnDegrees: number, heightDegrees: number): void => {
  viewpoint.value = { turnDegrees, heightDegrees };
};
const hasHinge = computed(() =>
  props.view.parts.some(({ body }) => body.tree.hinges.some(({ kind }) => traitsOf(kind).fold?.sign === 0)),
);
const highlighted = computed(() =>
  folding.linesOf(props.selection.operation.value?.id, props.selection.segment.value?.segment.id),
);
const APART_SHARE = 0.15;

function setStep(by: number): void {
  const now = step.value ?? (share.value > 0.5 ? order.value.length : 0);
  step.value = Math.max(0, Math.min(order.value.length, now + by));
}
const sharePercent = computed(() =>
  Math.round(100 * (step.value === undefined ? share.value : step.value / Math.max(1, order.value.length))),
);
function setShare(percent: number): void {
  // The slider tells what it was given back; only what a hand gives it is a new share.
  if (percent === sharePercent.value) return;
  step.value = undefined;
  share.value = percent / 100;
}
const TURN_STEP = 10;
/** Arrows turn it, with Shift to a standard view; brackets fold one fold back or on. */
const ORBITS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-TURN_STEP, 0],
  ArrowRight: [TURN_STEP, 0],
  ArrowUp: [0, TURN_STEP],
  ArrowDown: [0, -TURN_STEP],
};
const STANDARD: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [0, 0],
  ArrowRight: [90, 0],
  ArrowUp: [0, 89],
  ArrowDown: [0, -89],
};
const stepBy = (by: number): unknown => (order.value.length > 0 ? setStep(by) : false);
useKeys('folded', {
  turn: ({ key }) => {
    const [turn, rise] = ORBITS[key]!;
    const { turnDegrees, heightDegrees } = viewpoint.value;
    look(turnDegrees + turn, Math.max(-89, Math.min(89, heightDegrees + rise)));
  },
  view: ({ key }) => look(...STANDARD[key]!),
  corner: () => look(35, 28),
  unfoldOne: () => stepBy(-1),
  foldOne: () => stepBy(1),
});
/** Sections: across an axis, or across the way it is looked at just now. */
const SECTIONS = [
  ['x', 'section across x'],
  ['y', 'section across y'],
  ['z', 'section across z'],
  ['view', 'section as seen'],
] as const;
function setSection(word: string): void {
  if (word === '') {
    section.value = undefined;
    return;
  }
  const toEye = seenDirection(viewpoint.value);
  const axis = { x: word === 'x' ? 1 : 0, y: word === 'y' ? 1 : 0, z: word === 'z' ? 1 : 0 };
  // What is on the eye's side is taken away, so that the cut is seen.
  const normal = word === 'view' ? toEye : times3(axis, dot3(axis, toEye) < 0 ? -1 : 1);
  const [low, high] = folding.reachAlong(normal);
  section.value = { word, normal, at: (low + high) / 2 };
}
const sectionReach = computed(() => (section.value ? folding.reachAlong(section.value.normal) : ([0, 0] as const)));

/** How near a pick must be to an edge or a hinge to mean it, as a share of the part's size. */
const PICK_SHARE = 0.05;
/** How near a click must be to a corner or an edge to mean it, in pixels. */
const SNAP_PX = 12;
function pick(sight: Sight, pixelMm: number): void {
  if (isMeasuring.value) {
    const place = placeInSight(folding.faces.value, sight, SNAP_PX * pixelMm);
    hasMissed.value = place === undefined;
    if (place) measured.value = measured.value.length === 1 ? [measured.value[0]!, place] : [place];
    return;
  }
  const at = sight.hit;
  if (!at) return;
  const { low, high } = bounds.value,
    reach = PICK_SHARE * distance3(low, high);
  const nearest = folding
    .pickable()
    .map((one) => ({ ...one, d: distanceToRun3(at, one.line[0], one.line[1]) }))
    .sort((a, b) => a.d - b.d)[0];
  if (!nearest || nearest.d > reach) return;
  if (nearest.kind === 'operation') {
    emit('pick', nearest.partId, { kind: 'operation', operationId: nearest.id });
    return;
  }
  const path = work.airframe?.parts
    .find(({ id }) => id === nearest.partId)
    ?.contours.find(({ segments }) => segments.some(({ id }) => id === nearest.id));
  if (path) emit('pick', nearest.partId, { kind: 'segment', pathId: path.id, segmentId: nearest.id, t: 0.5 });
}

const places = computed(() =>
  namedPlaces(folding.pieces.value, (id) => work.airframe?.parts.find((part) => part.id === id)),
);
function measureBetween(chosen: readonly MeasuredPlace[]): void {
  hasMissed.value = false;
  measured.value = chosen;
}
const measuredPoints = computed(() => measured.value.map(({ at }) => at));
const ON_WORDS = { corner: 'a corner', edge: 'an edge', face: 'a face' } as const;
/** What was measured, or what to click next. */
const measureWords = computed(() => {
  if (!isMeasuring.value) return '';
  const [from, to] = measured.value;
  if (hasMissed.value) return `nothing there: click on the model, or within ${SNAP_PX} pixels of a corner or an edge`;
  if (!from) return 'measure: click a corner, an edge or a face';
  if (!to) return `from ${ON_WORDS[from.on]}: click the second place`;
  const { distanceMm, angleDegrees, acrossMm, isParallel } = measureOnModel(from, to);
  const length = (mm: number): string => formatLengthWithUnit(mm, work.unit, 2);
  return [
    `${ON_WORDS[from.on]} to ${ON_WORDS[to.on]} ${length(distanceMm)}`,
    acrossMm === undefined ? '' : `square across ${length(acrossMm)}`,
    isParallel ? 'parallel' : angleDegrees === undefined ? '' : `${formatAngle(angleDegrees)} between them`,
  ]
    .filter(Boolean)
    .join(' · ');
});

function download(blob: Blob, extension: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = `${props.view.extent === 'airframe' ? work.airframe!.name : props.part.name} folded.${extension}`;
  link.click();
  URL.revokeObjectURL(link.href);
}
async function savePng(): Promise<void> {
  const blob = await model.value?.picture();
  if (blob) download(blob, 'png');
}
const saveSvg = (): void =>
  download(new Blob([foldedSvg(folding.faces.value, viewpoint.value, label.value)], { type: 'image/svg+xml' }), 'svg');
const stepName = computed(() =>
  step.value === undefined
    ? ''
    : step.value === 0
      ? 'flat'
      : `${step.value} of ${order.value.length}: ${foldName(props.part, order.value[step.value - 1]!.operationId)}`,
);
</script>

<template>
  <div class="folded-mat">
    <FoldedModel
      v-if="hasModel"
      ref="model"
      :folding="folding"
      :part-id="part.id"
      :fit-key="view.extent === 'part' ? view.partId : view.extent"
      :label="label"
      :highlighted="highlighted"
      :measured="measuredPoints"
      @pick="pick"
      @failed="hasModel = false"
    />
    <FoldedDrawing v-else :folding="folding" :label="label" :highlighted="highlighted" :measured="measuredPoints" />
    <div class="stack">
      <p v-if="sectionSize || measureWords" class="told figures">
        <template v-if="sectionSize"
          >section {{ formatLengthWithUnit(sectionSize.widthMm, work.unit) }} ×
          {{ formatLengthWithUnit(sectionSize.heightMm, work.unit) }}
        </template>
        <span v-if="measureWords" role="status">{{ measureWords }}</span>
      </p>
      <MeasureChoice v-if="isMeasuring" :places="places" :measured="measured" @measure="measureBetween" />
      <div class="views figures on-mat" role="group" aria-label="Views">
        <el-button
          link
          v-for="[word, turn, rise, hint] in VIEWS"
          :key="word"
          :title="hint"
          :aria-pressed="viewpoint.turnDegrees === turn && viewpoint.heightDegrees === rise"
          @click="look(turn, rise)"
          class="bare"
        >
          {{ word }}
        </el-button>
        <el-button link :aria-pressed="isClear" @click="isClear = !isClear" class="bare">see-through</el-button>
        <el-button link :aria-pressed="apart > 0" @click="apart = apart > 0 ? 0 : APART_SHARE" class="bare"
          >apart</el-button
        >
        <el-button
          link
          :aria-pressed="isMeasuring"
          @click="
            isMeasuring = !isMeasuring;
            measured = [];
            hasMissed = false;
          "
          class="bare"
        >
          measure
        </el-button>
        <el-select
          class="choice"
          aria-label="Section across"
          :model-value="section?.word ?? ''"
          :persistent="false"
          :validate-event="false"
          placeholder=""
          :empty-values="[null, undefined]"
          @update:model-value="setSection"
        >
          <el-option value="" label="no section" />
          <el-option v-for="[word, name] in SECTIONS" :key="word" :value="word" :label="name" />
        </el-select>
        <el-slider
          v-if="section"
          class="slider"
          aria-label="Section at"
          :min="sectionReach[0]"
          :max="sectionReach[1]"
          :step="0.5"
          :show-tooltip="false"
          :model-value="section.at"
          @input="section = { ...section!, at: Number($event) }"
        />
      </div>
      <div class="controls figures on-mat" role="group" aria-label="Folding">
        <el-select
          class="choice"
          aria-label="Shown folded"
          :model-value="view.extent"
          :persistent="false"
          :validate-event="false"
          @update:model-value="emit('extent', $event)"
        >
          <el-option v-for="[extent, word] in EXTENTS" :key="extent" :value="extent" :label="word" />
        </el-select>
        <span class="slide"
          >flat
          <el-slider
            class="slider"
            aria-label="Folded by, per cent"
            :model-value="sharePercent"
            :show-tooltip="false"
            @input="setShare(Number($event))"
          />
          folded</span
        >
        <template v-if="order.length > 0">
          <el-button link title="One fold back" aria-label="One fold back" @click="setStep(-1)" class="bare"
            >−</el-button
          >
          <el-button link title="One fold on" aria-label="One fold on" @click="setStep(1)" class="bare">+</el-button>
        </template>
        <span v-if="stepName" class="step">{{ stepName }}</span>
        <span class="save"
          ><el-button link v-if="hasModel" @click="savePng" class="bare">save PNG</el-button>
          <el-button link @click="saveSvg" class="bare">save SVG</el-button></span
        >
        <span v-if="hasHinge" class="slide"
          >control
          <el-slider
            class="slider"
            aria-label="Control deflection in degrees"
            :min="-45"
            :max="45"
            :model-value="deflection"
            :show-tooltip="false"
            @input="deflection = Number($event)"
          />
          {{ deflection }}°</span
        >
      </div>
    </div>
    <slot />
  </div>
</template>

<style scoped>
.folded-mat {
  position: relative;
  flex: 1;
  min-width: 0;
  background: var(--mat);
  overflow: hidden;
}
.stack {
  position: absolute;
  left: 14px;
  bottom: 14px;
  display: grid;
  gap: 6px;
  justify-items: start;
  max-width: calc(100% - 28px);
  z-index: 2;
  pointer-events: none;
}
.stack > * {
  pointer-events: auto;
}
.controls,
.views,
.told {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  background: #1b333b;
  color: #e9eee9;
  border-radius: var(--radius);
  padding: 6px 10px;
  font-size: 15px;
  font-weight: 500;
}
.told {
  color: #ffd9a1;
  font-size: 17px;
  font-weight: 600;
}
.slide {
  display: flex;
  gap: 10px;
  align-items: center;
}
.slider {
  width: 160px;
}
.choice {
  width: 176px;
}
button {
  border: 1px solid #5d7f86;
  background: #12262c;
  color: #fff;
  border-radius: var(--radius);
  padding: 2px 10px;
}
button:hover {
  background: #29474f;
}
button[aria-pressed='true'] {
  background: var(--foam);
  color: var(--ink);
  border-color: var(--foam);
}
.save {
  display: flex;
  gap: 8px;
}
.controls button,
.views button {
  min-height: 28px;
  white-space: nowrap;
}
.step {
  color: #ffd9a1;
}
</style>
