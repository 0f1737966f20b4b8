<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { isBlocked, withChanges, type MadeWing } from '@grain-fold/core/forms';
import { distance, type Point } from '@grain-fold/core/geometry';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import { isWith } from '../../../keys/held-keys.ts';
import { useKeys } from '../../../keys/use-keys.ts';
import MatCanvas from '../../../mat/MatCanvas.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import { dragWing } from './drag-wing.ts';
import { wingViews, type WingHandle } from './wing-views.ts';

/** The wing from above and from the front: its panels are chosen, its tips, breaks and spar are dragged. */
const props = defineProps<{ desk: WingDesk; made: MadeWing }>();
const work = useAirframe();
const canvas = useTemplateRef<InstanceType<typeof MatCanvas>>('canvas');
const REACH_PX = 11;
const views = computed(() => wingViews(props.made));
const dragged = shallowRef<WingHandle>();
const hovered = ref<string>();
const pointer = shallowRef<Point>();
const label = computed(() => {
  const { figures } = props.made;
  return figures
    ? `Wing from above and from the front: span ${formatLengthWithUnit(figures.spanMm, work.unit)}, ${props.made.sites.length} panels a side`
    : 'Wing';
});
const d = (ring: readonly Point[]): string =>
  `M${ring.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`;
const lineOf = ([a, b]: readonly [Point, Point]): string => `M${a.x} ${a.y}L${b.x} ${b.y}`;
const keyOf = ({ kind, index }: WingHandle): string => `${kind}${index}`;
const reach = (): number => REACH_PX / (canvas.value?.view.k ?? 1);

/** The handle under a place: of both halves, which are one. */
function handleAt(at: Point): WingHandle | undefined {
  return views.value.handles.find(
    (handle) => distance(handle.at, at) <= reach() || distance({ x: -handle.at.x, y: handle.at.y }, at) <= reach(),
  );
}
function isWithin(ring: readonly Point[], { x, y }: Point): boolean {
  let inside = false;
  ring.forEach((a, index) => {
    const b = ring[(index + 1) % ring.length]!;
    if (a.y > y !== b.y > y && x < a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)) inside = !inside;
  });
  return inside;
}
const panelAt = (at: Point): number | undefined =>
  views.value.panels.find(({ plan, front }) => [...plan, ...front].some((ring) => isWithin(ring, at)))?.index;

function press(at: Point): void {
  dragged.value = handleAt(at);
  if (dragged.value) return;
  const index = panelAt(at);
  props.desk.chosen.value = index === undefined ? undefined : { kind: 'panel', index };
}
function move(at: Point, event: PointerEvent): void {
  pointer.value = at;
  const handle = dragged.value,
    form = props.desk.stored.value;
  if (!handle || !form) {
    const over = handleAt(at);
    hovered.value = over && keyOf(over);
    return;
  }
  const changes = dragWing(form.parameters, handle, at, frontUp.value, work.unit, isWith('Alt', event));
  props.desk.draft.value = withChanges(form, changes);
}
/** The table of the front view stays where it lies while something is dragged. */
const frontUp = computed(() => views.value.frontUp);
function release(): void {
  const handle = dragged.value,
    draft = props.desk.draft.value,
    form = props.desk.stored.value;
  dragged.value = undefined;
  if (!handle || !draft || !form) return;
  if (isBlocked(props.desk.faults.value)) {
    work.message = `${props.desk.faults.value[0]!.title}: it stays as it was.`;
    props.desk.draft.value = undefined;
    return;
  }
  props.desk.replace(`Drag ${handle.word}`, draft);
}
function drop(): unknown {
  if (!dragged.value) return false;
  dragged.value = undefined;
  props.desk.draft.value = undefined;
  return true;
}
useKeys('mat', { drop });

const chosenPanel = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'panel' ? value.index : undefined;
});
const chosenJoint = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'joint' ? value.index : undefined;
});
/** Figures written on the wing: panels, chords and turns. */
const figures = computed(() =>
  props.made.sites.flatMap((site, index) => {
    const { laid } = site,
      [outline] = views.value.panels[index]!.plan,
      [front] = views.value.panels[index]!.front;
    const middle = (ring: readonly Point[], i: number, j: number): Point => ({
      x: (ring[i]!.x + ring[j]!.x) / 2,
      y: (ring[i]!.y + ring[j]!.y) / 2,
    });
    return [
      {
        key: `s${index}`,
        at: middle(outline!, 0, 1),
        text: formatLengthWithUnit(laid.panel.spanMm, work.unit),
        dy: 22,
        size: 15,
      },
      {
        key: `c${index}`,
        at: outline![2]!,
        text: formatLengthWithUnit(laid.panel.tipChordMm, work.unit),
        dy: -12,
        size: 15,
      },
      ...(laid.isMiddle
        ? []
        : [{ key: `d${index}`, at: middle(front!, 2, 3), text: formatAngle(laid.dihedralDegrees), dy: -12, size: 15 }]),
    ];
  }),
);
const live = computed(() => dragged.value?.word);
defineExpose({ fit: () => canvas.value?.fit() });
</script>

<template>
  <MatCanvas
    ref="canvas"
    :fit-to="views.bounds"
    :unit="work.unit"
    :label="label"
    :cursor="hovered || dragged ? 'grab' : undefined"
    :top-room-px="96"
    :bottom-room-px="52"
    arrows-pan
    @press="press"
    @move="move"
    @release="release"
  >
    <template #world>
      <g
        v-for="panel in views.panels"
        :key="panel.index"
        :class="{ chosen: panel.index === chosenPanel }"
        class="panel"
      >
        <path v-for="(ring, at) in panel.plan" :key="at" :d="d(ring)" class="foam" vector-effect="non-scaling-stroke" />
        <path
          v-for="(run, at) in panel.folds"
          :key="`f${at}`"
          :d="lineOf(run)"
          class="fold"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(ring, at) in panel.spar"
          :key="`s${at}`"
          :d="d(ring)"
          class="spar"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(run, at) in [...panel.ribs, ...panel.steps]"
          :key="`r${at}`"
          :d="lineOf(run)"
          class="rib"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(ring, at) in panel.controls"
          :key="`c${at}`"
          :d="d(ring)"
          class="control"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(ring, at) in panel.front"
          :key="`v${at}`"
          :d="d(ring)"
          class="foam"
          vector-effect="non-scaling-stroke"
        />
      </g>
      <path
        :d="`M${views.bounds.minX} ${frontUp}H${views.bounds.maxX}`"
        class="table"
        vector-effect="non-scaling-stroke"
      />
    </template>
    <template #screen="{ toScreen }">
      <g class="figures words" pointer-events="none">
        <text
          :x="toScreen({ x: views.bounds.minX, y: views.bounds.maxY }).x"
          :y="toScreen({ x: 0, y: views.bounds.maxY }).y - 30"
          class="view"
          >From above</text
        >
        <text :x="toScreen({ x: views.bounds.minX, y: 0 }).x" :y="toScreen({ x: 0, y: frontUp }).y + 22" class="view"
          >From the front, on the table</text
        >
        <text
          v-for="{ key, at, text, dy, size } in figures"
          :key="key"
          :x="toScreen(at).x"
          :y="toScreen(at).y + dy"
          text-anchor="middle"
          :font-size="size"
          font-weight="600"
          fill="#fff"
          >{{ text }}</text
        >
      </g>
      <g v-for="handle in views.handles" :key="keyOf(handle)" pointer-events="none">
        <circle
          :cx="toScreen(handle.at).x"
          :cy="toScreen(handle.at).y"
          :r="hovered === keyOf(handle) ? 8 : 6"
          :fill="handle.kind === 'spar' ? 'var(--mat-dark)' : 'var(--foam)'"
          :stroke="chosenJoint === handle.index + 1 && handle.kind === 'break' ? '#fff' : 'var(--marigold)'"
          stroke-width="2.4"
        />
      </g>
      <text
        v-if="live && pointer"
        class="figures live"
        :x="toScreen(pointer).x + 14"
        :y="toScreen(pointer).y + 24"
        font-size="15"
        font-weight="600"
        fill="#fff"
        pointer-events="none"
        >{{ live }}</text
      >
    </template>
    <slot />
  </MatCanvas>
</template>

<style scoped>
path {
  fill: none;
}
.foam {
  fill: var(--foam);
  fill-opacity: 0.9;
  stroke: #fffdf7;
  stroke-width: 1.4;
}
.fold {
  stroke: #7d8f8c;
  stroke-width: 1.6;
  stroke-linecap: round;
  stroke-dasharray: 0.1 5;
}
.spar {
  fill: #cdbb8d;
  fill-opacity: 0.75;
  stroke: #8b7a4c;
  stroke-width: 1;
}
.rib {
  stroke: #a5936a;
  stroke-width: 2.4;
}
.control {
  fill: #e2cf9c;
  fill-opacity: 0.8;
  stroke: #8b6a1e;
  stroke-width: 1.4;
}
.chosen .foam {
  stroke: var(--marigold);
  stroke-width: 2.6;
}
.table {
  stroke: #b9cbcc;
  stroke-width: 1.2;
  stroke-dasharray: 9 5;
}
.words text,
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
.view {
  font-size: 14px;
  font-weight: 600;
  fill: #ffd9a1;
}
</style>
