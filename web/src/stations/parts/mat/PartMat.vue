<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { Fault } from '@grain-fold/core/checks';
import {
  applyTransform,
  boundsOf,
  distance,
  growBounds,
  joinBounds,
  mirrorX,
  svgPath,
  transformPath,
  type Bounds,
  type Point,
} from '@grain-fold/core/geometry';
import { traitsOf } from '@grain-fold/core/operations';
import { pathsOf, type Part } from '@grain-fold/core/part';
import type { Snap } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import { backView, mirrorOf, type ResolveContext, type ResolvedPart } from '@grain-fold/core/resolve';
import { countOf, formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import MatCanvas from '../../../mat/MatCanvas.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import PartCaptions from '../../../mat/PartCaptions.vue';
import PartMarks from '../../../mat/PartMarks.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import MatGuides from './MatGuides.vue';
import FaultRing from './FaultRing.vue';
import LengthBar from './LengthBar.vue';
import { numberAt, type MatNumber } from './mat-numbers.ts';
import MeasureLine from '../../../mat/MeasureLine.vue';
import PartHandles from './PartHandles.vue';
import SnapMark from '../../../mat/SnapMark.vue';
import type { Selection } from '../selection.ts';
import type { Drafting } from '../drafting/use-drafting.ts';
import { useMatHand } from './hand/use-mat-hand.ts';

/** The drawing of a part on the mat, from its face or from its back, over another part where one is chosen. */
const props = defineProps<{
  part: Part;
  context: ResolveContext;
  faults: readonly Fault[];
  drafting: Drafting;
  selection: Selection;
  isBack: boolean;
  /** A part drawn over, whole and resolved. */ beneath?: { readonly part: Part; readonly resolved: ResolvedPart };
}>();
const emit = defineEmits<{ pointer: [at: Point, snapped: Snap, hovered: Picked | undefined] }>();

/** Room for the tools above the drawing, and for typed entry below it. */
const TOP_ROOM_PX = 102;
const BOTTOM_ROOM_PX = 96;
/** Room around the first points of a part, for the next one. */
const FIRST_POINT_ROOM_MM = 100;
const work = useAirframe();
const mat = ref<InstanceType<typeof MatCanvas>>();
const hand = useMatHand({
  part: () => props.part,
  context: () => props.context,
  drafting: props.drafting,
  selection: props.selection,
  beneath: () => props.beneath?.part,
  pixelsPerMm: () => mat.value?.view.k ?? 1,
});
const { shown, resolved, pointer, snapped, hovered, draggedBy } = hand;

/** Seen from the back, everything lies mirrored; places that come from the screen are turned over on the way in. */
const turn = mirrorX(0);
const turned = (p: Point): Point => (props.isBack ? applyTransform(turn, p) : p);
const onScreen =
  (toScreen: (p: Point) => Point) =>
  (p: Point): Point =>
    toScreen(turned(p));
const drawn = computed(() => (props.isBack ? backView(resolved.value) : resolved.value));
const fitTo = computed<Bounds>(() => {
  const isDrawn = resolved.value.outer.length > 0 || resolved.value.openPaths.length > 0;
  const points = props.drafting.points.value;
  if (points.length > 0) {
    const drafted = boundsOf(points.map(turned));
    return isDrawn ? joinBounds([drawn.value.bounds, drafted]) : growBounds(drafted, FIRST_POINT_ROOM_MM);
  }
  return isDrawn ? drawn.value.bounds : (props.beneath?.resolved.bounds ?? emptyMat(props.part.symmetry));
});
/** What an empty mat shows: room for a first part, on both sides of its centre line. */
function emptyMat(symmetry: Part['symmetry']): Bounds {
  const room = { minX: -20, minY: -20, maxX: 300, maxY: 200 };
  if (!symmetry) return room;
  return symmetry.along === 'upright'
    ? { ...room, minX: symmetry.atMm - 170, maxX: symmetry.atMm + 170 }
    : { ...room, minY: symmetry.atMm - 110, maxY: symmetry.atMm + 110 };
}
watch(
  [() => props.part.id, () => props.isBack, () => props.part.symmetry?.along],
  () => requestAnimationFrame(() => mat.value?.fit()),
  { flush: 'post' },
);

// A point typed out of view is followed.
watch(
  () => props.drafting.points.value,
  (points) => {
    const last = points.at(-1);
    const isClicked = last && pointer.value && distance(last, pointer.value) < 1e-6;
    if (last && !isClicked && mat.value && !mat.value.isInView(turned(last))) void nextTick(() => mat.value?.fit());
  },
);

const faulty = computed(() => new Set(props.faults.map(({ targetId }) => targetId).filter((id) => id !== undefined)));
/** Faults that the mat must point at; those of a captioned line show on its caption. */
const placed = computed(() =>
  props.faults.filter(({ place, targetId }) => place && !props.part.operations.some(({ id }) => id === targetId)),
);

function press(at: Point, event: PointerEvent): void {
  number.value = undefined;
  hand.press(turned(at), event);
}
function move(at: Point, event: PointerEvent): void {
  hand.move(turned(at), event);
  if (pointer.value && snapped.value) emit('pointer', pointer.value, snapped.value, hovered.value);
}

/** A number of the drawing that is being typed in its place. */
const number = shallowRef<MatNumber>();
const numberField = useTemplateRef<HTMLElement>('numberField');
async function double(at: Point, event: MouseEvent): Promise<void> {
  const toScreen = mat.value?.toScreen;
  const found =
    toScreen && !props.drafting.isDrawing.value
      ? numberAt(props.part, drawn.value, { x: event.offsetX, y: event.offsetY }, toScreen, work.unit)
      : undefined;
  if (!found) {
    hand.double(turned(at));
    return;
  }
  number.value = found;
  await nextTick();
  numberField.value?.querySelector('input')?.focus();
}
function setNumber(value: number): void {
  if (number.value) work.run(props.part.id, number.value.commandFor(value));
  number.value = undefined;
}

const draftCurves = computed(() =>
  props.drafting.preview(props.drafting.points.value.length > 0 ? pointer.value : undefined),
);
const draftFigure = computed(() => {
  const last = draftCurves.value.at(-1),
    from = props.drafting.points.value.at(-1);
  if (!last || !from || !pointer.value) return '';
  const angle = (Math.atan2(pointer.value.y - from.y, pointer.value.x - from.x) * 180) / Math.PI;
  return `${formatLengthWithUnit(distance(from, pointer.value), work.unit)} at ${formatAngle(angle)}`;
});
const dragFigure = computed(() => {
  const by = draggedBy.value;
  if (!by) return '';
  const { guide } = props.selection;
  const after =
    guide.value?.kind === 'beside' ? shown.value.guides?.find(({ id }) => id === guide.value!.id) : undefined;
  if (after?.kind === 'beside') return `${formatLengthWithUnit(Math.abs(after.byMm), work.unit)} beside it`;
  return `${by.x >= 0 ? '→' : '←'} ${formatLengthWithUnit(Math.abs(by.x), work.unit)}  ${by.y >= 0 ? '↑' : '↓'} ${formatLengthWithUnit(Math.abs(by.y), work.unit)}`;
});
const measure = computed(() => {
  const now = props.selection.measured.value;
  const to = now?.to ?? (props.drafting.tool.value === 'measure' ? pointer.value : undefined);
  return now && to ? { from: now.from, to } : undefined;
});
const outlineOfBeneath = computed(() =>
  props.beneath
    ? [...(props.beneath.resolved.outline ? [props.beneath.resolved.outline] : []), ...props.beneath.resolved.holes]
        .map((path) => svgPath(path, true))
        .join('')
    : '',
);
const cursor = computed(() =>
  props.drafting.tool.value !== 'select'
    ? 'crosshair'
    : hand.isDragging.value
      ? 'grabbing'
      : hovered.value
        ? 'pointer'
        : 'default',
);
const describe = computed(
  () =>
    `${props.part.name}: ${countOf(pathsOf(props.part).length, 'line')}, ${props.part.operations.map(({ kind }) => traitsOf(kind).word).join(', ') || 'no work on them'}`,
);
const isAiming = computed(
  () =>
    props.drafting.isDrawing.value ||
    draggedBy.value !== undefined ||
    props.drafting.tool.value === 'measure' ||
    props.drafting.tool.value === 'guide',
);
defineExpose({ fit: () => mat.value?.fit() });
</script>

<template>
  <MatCanvas
    ref="mat"
    :fit-to="fitTo"
    :unit="work.unit"
    :label="describe"
    :cursor="cursor"
    :top-room-px="TOP_ROOM_PX"
    :bottom-room-px="BOTTOM_ROOM_PX"
    :arrows-pan="!selection.chosen.value"
    @press="press"
    @move="move"
    @release="hand.release"
    @double="double"
  >
    <template #world>
      <path
        v-if="outlineOfBeneath"
        :d="outlineOfBeneath"
        :transform="isBack ? 'scale(-1 1)' : undefined"
        fill="#fbf8ef"
        fill-opacity="0.13"
        fill-rule="evenodd"
        stroke="#d8e4e2"
        stroke-width="1.2"
        stroke-dasharray="2 4"
        vector-effect="non-scaling-stroke"
      />
      <PartMarks :part="drawn" :faulty="faulty" :chosen="selection.operation.value?.id" :class="{ over: beneath }" />
      <g
        v-if="draftCurves.length > 0"
        :transform="isBack ? 'scale(-1 1)' : undefined"
        fill="none"
        stroke="var(--marigold)"
        stroke-width="2.2"
      >
        <path :d="svgPath(draftCurves, false)" vector-effect="non-scaling-stroke" />
        <path
          v-if="part.symmetry"
          :d="svgPath(transformPath(mirrorOf(part.symmetry), draftCurves), false)"
          opacity="0.5"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </template>
    <template #screen="{ toScreen, view }">
      <MatGuides
        :part="shown"
        :to-screen="onScreen(toScreen)"
        :scale="view.k"
        :width="view.width"
        :height="view.height"
        :top-room-px="TOP_ROOM_PX"
        :chosen-id="selection.guide.value?.id"
        :hovered-id="hovered?.kind === 'guide' ? hovered.guideId : undefined"
      />
      <LengthBar v-if="drawn.outer.length > 0" :box="drawn.bounds" :unit="work.unit" :to-screen="toScreen" />
      <PartCaptions :part="drawn" :unit="work.unit" :to-screen="toScreen" :faulty="faulty" />
      <MeasureLine v-if="measure" v-bind="measure" :unit="work.unit" :to-screen="onScreen(toScreen)" />
      <PartHandles
        :edited="shown"
        :to-screen="onScreen(toScreen)"
        :is-back="isBack"
        :selection="selection"
        :drafting="drafting"
        :hovered="hovered"
      />
      <FaultRing v-for="(fault, index) in placed" :key="index" :at="onScreen(toScreen)(fault.place!)" />
      <SnapMark v-if="pointer && snapped && isAiming" :at="onScreen(toScreen)(pointer)" :reason="snapped.reason" />
      <text
        v-if="pointer && (draftFigure || dragFigure)"
        class="figures live"
        :x="onScreen(toScreen)(pointer).x + 12"
        :y="onScreen(toScreen)(pointer).y + 22"
        font-size="15"
        font-weight="600"
        fill="#fff"
        pointer-events="none"
        >{{ draftFigure || dragFigure }}</text
      >
    </template>
    <p v-if="isBack" class="back-word">Seen from the back</p>
    <div
      v-if="number"
      ref="numberField"
      class="number"
      :style="{ left: `${number.at.x}px`, top: `${number.at.y}px` }"
      @keydown.esc.stop="number = undefined"
      @focusout="number = undefined"
    >
      <MeasureField
        :label="number.word"
        hide-label
        :kind="number.kind"
        :unit="work.unit"
        :decimals="2"
        :least="number.least"
        :most="number.most"
        :model-value="number.value"
        @update:model-value="setNumber"
      />
    </div>
    <slot />
  </MatCanvas>
</template>

<style scoped>
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
.over {
  opacity: 0.88;
}
.number {
  position: absolute;
  transform: translate(-50%, -50%);
  background: var(--foam);
  color: var(--ink);
  border: 2px solid var(--marigold);
  border-radius: var(--radius);
  padding: 0 8px;
  min-width: 120px;
  z-index: 4;
}
.back-word {
  position: absolute;
  left: 50%;
  bottom: 40px;
  transform: translateX(-50%);
  background: #1b333b;
  color: #ffd9a1;
  font-weight: 600;
  padding: 3px 12px;
  border-radius: var(--radius);
  pointer-events: none;
}
</style>
