<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef } from 'vue';
import { isBlocked } from '@grain-fold/core/forms';
import { distance, type Point } from '@grain-fold/core/geometry';
import { isWith } from '../../../keys/held-keys.ts';
import { useKeys } from '../../../keys/use-keys.ts';
import MatCanvas from '../../../mat/MatCanvas.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk } from '../use-forms.ts';
import type { ShapeHandle, ShapeViews } from './shape-views.ts';

/** A form in its views: what it is chosen by is pressed, its handles are dragged. */
const props = defineProps<{ desk: FormsDesk; views: ShapeViews }>();
const work = useAirframe();
const canvas = useTemplateRef<InstanceType<typeof MatCanvas>>('canvas');
const REACH_PX = 11;
/** Drags catch on these, in mm; with Alt held they catch on nothing. */
const STEP_MM = { mm: 1, in: 25.4 / 16 } as const;
const dragged = shallowRef<ShapeHandle>();
const hovered = ref<string>();
const pointer = shallowRef<Point>();
const d = (ring: readonly Point[], isClosed: boolean): string =>
  `M${ring.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}${isClosed ? 'Z' : ''}`;
const handleAt = (at: Point): ShapeHandle | undefined => {
  const reach = REACH_PX / (canvas.value?.view.k ?? 1);
  return props.views.handles
    .filter((handle) => distance(handle.at, at) <= reach)
    .sort((a, b) => distance(a.at, at) - distance(b.at, at))[0];
};
function press(at: Point): void {
  dragged.value = handleAt(at);
  const chosen = dragged.value?.chooses;
  if (chosen) props.desk.chosen.value = chosen;
}
function move(at: Point, event: PointerEvent): void {
  pointer.value = at;
  const handle = dragged.value;
  if (!handle) {
    hovered.value = handleAt(at)?.key;
    return;
  }
  const isFree = isWith('Alt', event);
  const onStep = (mm: number): number => (isFree ? mm : Math.round(mm / STEP_MM[work.unit]) * STEP_MM[work.unit]);
  props.desk.draft.value = handle.drag(at, onStep);
}
function release(): void {
  const handle = dragged.value,
    draft = props.desk.draft.value;
  dragged.value = undefined;
  if (!handle || !draft) return;
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
/** The handle that is dragged, as it is now. */
const live = computed(() => {
  const key = dragged.value?.key;
  return key === undefined ? undefined : props.views.handles.find((handle) => handle.key === key);
});
defineExpose({ fit: () => canvas.value?.fit() });
</script>

<template>
  <MatCanvas
    ref="canvas"
    :fit-to="views.bounds"
    :unit="work.unit"
    :label="views.label"
    :cursor="hovered || dragged ? 'grab' : undefined"
    :top-room-px="96"
    :bottom-room-px="52"
    arrows-pan
    @press="press"
    @move="move"
    @release="release"
  >
    <template #world>
      <path
        v-for="{ key, ring, look, isOpen } in views.shapes"
        :key="key"
        :d="d(ring, !isOpen)"
        :class="look"
        vector-effect="non-scaling-stroke"
      />
    </template>
    <template #screen="{ toScreen }">
      <g class="figures words" pointer-events="none">
        <text
          v-for="{ at, text } in views.titles"
          :key="text"
          :x="toScreen(at).x"
          :y="toScreen(at).y - 12"
          class="view"
          >{{ text }}</text
        >
        <text
          v-for="{ key, at, text, dy, isOnFoam } in views.labels"
          :key="key"
          :x="toScreen(at).x"
          :y="toScreen(at).y + dy"
          text-anchor="middle"
          :class="{ printed: isOnFoam }"
          font-size="14"
          font-weight="600"
          fill="#fff"
          >{{ text }}</text
        >
      </g>
      <g v-for="handle in views.handles" :key="handle.key" :data-handle="handle.key" pointer-events="none">
        <circle
          :cx="toScreen(handle.at).x"
          :cy="toScreen(handle.at).y"
          :r="hovered === handle.key ? 8 : 6"
          :fill="handle.isDark ? 'var(--mat-dark)' : 'var(--foam)'"
          :stroke="handle.isChosen ? '#fff' : 'var(--marigold)'"
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
        >{{ live.word }}</text
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
/* Of a shell: its edges show. */
.face {
  fill: var(--foam);
  stroke: #a5936a;
  stroke-width: 1.3;
  stroke-linejoin: round;
}
.inside {
  stroke: #b8ab84;
  stroke-width: 1.2;
}
.plate {
  fill: #cdbb8d;
  fill-opacity: 0.75;
  stroke: #8b7a4c;
  stroke-width: 1;
}
.cut {
  fill: var(--mat);
  fill-opacity: 0.75;
  stroke: #8b7a4c;
  stroke-width: 1;
}
.station {
  stroke: #b9cbcc;
  stroke-width: 1;
  stroke-dasharray: 7 5;
}
.guest {
  fill: #e2cf9c;
  fill-opacity: 0.55;
  stroke: var(--marigold);
  stroke-width: 1.6;
}
.bay {
  fill: #7fa5a1;
  fill-opacity: 0.35;
  stroke: #4c7a75;
  stroke-width: 1.4;
}
.wanted {
  stroke: var(--marigold);
  stroke-width: 1.8;
}
.tight {
  fill: #c1502e;
  fill-opacity: 0.35;
  stroke: #a53d1d;
  stroke-width: 1.6;
}
.words text,
.live {
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
.words .printed {
  fill: var(--ink);
  stroke: none;
  font-size: 12.5px;
}
.view {
  font-size: 14px;
  font-weight: 600;
  fill: #ffd9a1;
}
</style>
