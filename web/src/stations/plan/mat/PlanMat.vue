<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue';
import { add, distance, svgPath, type Point } from '@grain-fold/core/geometry';
import { curvesOf } from '@grain-fold/core/paths';
import {
  laidBounds,
  layoutBounds,
  PLAN_VIEWS,
  placedPlanGuides,
  placedThings,
  planOfWhatIf,
  thingHandles,
  VIEW_WORDS,
  wingSeats,
  type PlanView,
} from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import MatCanvas from '../../../mat/MatCanvas.vue';
import MeasureLine from '../../../mat/MeasureLine.vue';
import SnapMark from '../../../mat/SnapMark.vue';
import type { Drafting } from '../../../mat/drafting/use-path-drafting.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanTool } from '../plan-tools.ts';
import UnderlayLayer from '../trace/UnderlayLayer.vue';
import type { Tracing } from '../trace/use-tracing.ts';
import type { PlanDesk } from '../use-plan.ts';
import BalanceBand from './BalanceBand.vue';
import PlanGuides from './PlanGuides.vue';
import SweptShapes from './SweptShapes.vue';
import { usePlanHand } from './use-plan-hand.ts';
import ViewThings from './ViewThings.vue';

/** Three views on one mat: what is planned, drawn and traced in them. */
const props = defineProps<{
  desk: PlanDesk;
  drafting: Drafting<PlanTool>;
  tracing: Tracing;
  /** Shown beneath the present things. */
  ghostId?: string;
  showsClearances: boolean;
}>();
const emit = defineEmits<{ pointer: [at: Point | undefined, view: PlanView] }>();
const TOP_ROOM_PX = 88,
  BOTTOM_ROOM_PX = 44,
  /** With the strip for the next point, which two rows may need. */
  STRIP_ROOM_PX = 150;

const work = useAirframe();
const mat = useTemplateRef<InstanceType<typeof MatCanvas>>('mat');
const hand = usePlanHand({
  desk: props.desk,
  drafting: props.drafting,
  pixelsPerMm: () => mat.value?.view.k ?? 1,
  before: () => props.tracing.hand(hand.layout.value, mat.value?.view.k ?? 1),
});
const { layout, view, pointer, snapped, hovered, measured } = hand;
watch([pointer, view], () => emit('pointer', pointer.value, view.value));

const plan = computed(() => props.desk.plan.value);
const things = computed(() => placedThings(plan.value));
const ghost = computed(() => {
  const other = props.ghostId === undefined ? undefined : planOfWhatIf(plan.value, props.ghostId);
  return other ? placedThings(other) : [];
});
const seats = computed(() => wingSeats(plan.value));
const faulty = computed(() => new Set(props.desk.report.value.faults.flatMap(({ thingIds }) => thingIds)));
const bounds = computed(() => layoutBounds(hand.base.value, layout.value));
const chosenThing = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'thing' ? things.value.find(({ id }) => id === value.thingId) : undefined;
});
const chosenLine = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'line' ? plan.value.lines.find(({ id }) => id === value.lineId) : undefined;
});
const chosenNode = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'line' ? value.nodeId : undefined;
});
const handles = computed(() =>
  chosenThing.value ? PLAN_VIEWS.flatMap((one) => thingHandles(chosenThing.value!, one)) : [],
);
const draftCurves = computed(() => (props.drafting.isDrawing.value ? props.drafting.preview(hand.pointer.value) : []));
/** Views with a picture under them: foam lets it through. */
const tracedViews = computed(
  () => new Set(plan.value.underlays.flatMap(({ view: one, isHidden }) => (isHidden ? [] : [one]))),
);
const at = (one: PlanView): string => `translate(${layout.value[one].x} ${layout.value[one].y})`;
const linesOf = (one: PlanView) =>
  plan.value.lines
    .filter((line) => line.view === one)
    .map((line) => ({ id: line.id, d: svgPath(curvesOf(line), line.closed), closed: line.closed, nodes: line.nodes }));
/** How long the last run is, or how far a point was dragged. */
const live = computed(() => {
  const last = props.drafting.points.value.at(-1);
  if (!props.drafting.isDrawing.value || !last || !pointer.value) return undefined;
  return formatLengthWithUnit(distance(last, pointer.value), work.unit);
});
const isAiming = computed(() => props.drafting.tool.value !== 'select' && !hand.isDragging.value);
const seatPath = (corners: readonly { x: number; z: number }[]): string =>
  `M${corners.map(({ x, z }) => `${x} ${z}`).join('L')}Z`;

/** Where the name of a view stands: over its upper corner. */
const labelPlaces = computed(
  () =>
    Object.fromEntries(
      PLAN_VIEWS.map((one) => {
        const { minX, maxY } = laidBounds(hand.base.value, one);
        return [one, add({ x: minX, y: maxY }, layout.value[one])];
      }),
    ) as Record<PlanView, Point>,
);
const fit = (): number => requestAnimationFrame(() => mat.value?.fit());
watch(() => [props.desk.stored.value.things.length === 0, props.desk.stored.value.underlays.length] as const, fit, {
  flush: 'post',
});
defineExpose({ fit });
</script>

<template>
  <MatCanvas
    ref="mat"
    :fit-to="bounds"
    :unit="work.unit"
    label="Side, top and front view of the plan"
    :cursor="isAiming ? 'crosshair' : hovered ? 'move' : undefined"
    :top-room-px="TOP_ROOM_PX"
    :bottom-room-px="drafting.isDrawing.value ? STRIP_ROOM_PX : BOTTOM_ROOM_PX"
    :arrows-pan="!desk.chosen.value"
    :is-grid-faint="plan.underlays.some(({ isHidden }) => !isHidden)"
    @press="hand.press"
    @move="hand.move"
    @release="hand.release"
    @double="hand.double"
  >
    <template #beneath="{ view: matView }">
      <UnderlayLayer :plan="plan" :layout="layout" :view="matView" :tracing="tracing" />
    </template>
    <template #world>
      <g
        v-for="one in PLAN_VIEWS"
        :key="one"
        :data-view="one"
        :class="{ traced: tracedViews.has(one) }"
        :transform="at(one)"
      >
        <ViewThings
          :things="things"
          :view="one"
          :chosen-id="chosenThing?.id"
          :hovered-id="hovered?.kind === 'thing' && view === one ? hovered.thingId : undefined"
          :faulty="faulty"
        />
        <ViewThings v-if="ghost.length > 0" :things="ghost" :view="one" is-ghost />
        <template v-if="one === 'side'">
          <path
            v-for="seat in seats"
            :key="`${seat.surface.id}-${seat.body.id}`"
            :d="seatPath(seat.corners)"
            class="seat"
            vector-effect="non-scaling-stroke"
          />
        </template>
        <BalanceBand :balance="desk.report.value.figures.balance" :plan="plan" :view="one" />
        <SweptShapes v-if="showsClearances" :clearances="desk.report.value.clearances" :things="things" :view="one" />
        <g fill="none" stroke-linejoin="round">
          <path
            v-for="line in linesOf(one)"
            :key="line.id"
            :d="line.d"
            class="drawn"
            :class="{ chosen: line.id === chosenLine?.id }"
            vector-effect="non-scaling-stroke"
          />
        </g>
        <path
          v-if="draftCurves.length > 0 && view === one"
          :d="svgPath(draftCurves, false)"
          fill="none"
          stroke="var(--marigold)"
          stroke-width="2.2"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </template>
    <template #screen="{ toScreen, view: matView }">
      <PlanGuides
        :guides="placedPlanGuides(plan)"
        :layout="layout"
        :bounds="bounds"
        :to-screen="toScreen"
        :chosen-id="desk.chosen.value?.kind === 'guide' ? desk.chosen.value.guideId : undefined"
        :unit="work.unit"
        :width="matView.width"
        :top-room-px="TOP_ROOM_PX"
      />
      <g class="names figures" pointer-events="none">
        <g v-for="one in PLAN_VIEWS" :key="one">
          <path
            :d="`M${toScreen(layout[one]).x - 9} ${toScreen(layout[one]).y}h18m-9-9v18`"
            stroke="#ffd9a1"
            stroke-width="1.2"
            fill="none"
          />
          <text
            :x="toScreen(labelPlaces[one]).x"
            :y="toScreen(labelPlaces[one]).y - 14"
            font-size="13"
            font-weight="600"
            fill="#ffd9a1"
            >{{ VIEW_WORDS[one] }}</text
          >
        </g>
      </g>
      <g v-if="chosenLine" pointer-events="none">
        <circle
          v-for="node in chosenLine.nodes"
          :key="node.id"
          :cx="toScreen(add(node, layout[chosenLine.view])).x"
          :cy="toScreen(add(node, layout[chosenLine.view])).y"
          :r="node.id === chosenNode ? 6 : 4"
          :fill="node.id === chosenNode ? 'var(--marigold)' : 'var(--foam)'"
          stroke="var(--marigold)"
          stroke-width="2"
        />
      </g>
      <g v-for="handle in handles" :key="`${handle.view}${handle.key}`" pointer-events="none">
        <rect
          :x="toScreen(add(handle.at, layout[handle.view])).x - 5"
          :y="toScreen(add(handle.at, layout[handle.view])).y - 5"
          width="10"
          height="10"
          fill="var(--foam)"
          stroke="var(--marigold)"
          stroke-width="2"
        />
      </g>
      <MeasureLine
        v-if="measured && (measured.to ?? pointer)"
        :from="add(measured.from, layout[measured.view])"
        :to="add((measured.to ?? pointer)!, layout[measured.view])"
        :unit="work.unit"
        :to-screen="toScreen"
      />
      <SnapMark
        v-if="isAiming && pointer && snapped"
        :at="toScreen(add(pointer, layout[view]))"
        :reason="snapped.reason"
      />
      <text
        v-if="live && pointer"
        class="figures live"
        :x="toScreen(add(pointer, layout[view])).x + 12"
        :y="toScreen(add(pointer, layout[view])).y + 22"
        font-size="15"
        font-weight="600"
        fill="#fff"
        pointer-events="none"
        >{{ live }}</text
      >
      <slot name="screen" :to-screen="toScreen" :layout="layout" />
    </template>
    <slot :pointer="pointer" />
  </MatCanvas>
</template>

<style scoped>
.traced :deep(.foam .edge) {
  fill-opacity: 0.35;
}
.seat {
  fill: none;
  stroke: var(--marigold);
  stroke-width: 1.6;
  stroke-dasharray: 4 3;
}
.drawn {
  stroke: #f1dcae;
  stroke-width: 1.8;
}
.drawn.chosen {
  stroke: var(--marigold);
  stroke-width: 2.6;
}
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
.names text {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
</style>
