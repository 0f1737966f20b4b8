<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent } from 'd3-zoom';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import type { LengthUnit } from '@grain-fold/core/units';
import { useKeys } from '../keys/use-keys.ts';
import { gridSteps, type MatView } from './mat-view.ts';
import MatGrid from './MatGrid.vue';

/** The mat: pans and zooms over a world in mm, y up. Pointer events come out in world coordinates. */
const props = defineProps<{
  fitTo: Bounds;
  unit: LengthUnit;
  label: string;
  cursor?: string;
  topRoomPx?: number;
  bottomRoomPx?: number;
  /** Something lies beneath that the grid would hide. */ isGridFaint?: boolean;
  /** Arrow keys pan, while nothing is chosen that they would move. */ arrowsPan?: boolean;
}>();
const emit = defineEmits<{
  press: [at: Point, event: PointerEvent];
  move: [at: Point, event: PointerEvent];
  release: [at: Point, event: PointerEvent];
  double: [at: Point, event: MouseEvent];
}>();

const frame = ref<HTMLElement>();
const svg = ref<SVGSVGElement>();
const { width, height } = useElementSize(frame);
const transform = shallowRef(zoomIdentity);
const isSpaceHeld = ref(false);
let hasMoved = false;

const view = computed<MatView>(() => ({
  k: transform.value.k,
  x: transform.value.x,
  y: transform.value.y,
  width: width.value,
  height: height.value,
}));
const grid = computed(() => gridSteps(props.unit, transform.value.k));

const behaviour = zoom<SVGSVGElement, unknown>()
  .scaleExtent([0.02, 200])
  .filter((event: Event) => {
    if (event.type === 'wheel') return true;
    if (event.type === 'dblclick') return false;
    const pointer = event as MouseEvent;
    return (
      isSpaceHeld.value ||
      pointer.button === 1 ||
      (event.type.startsWith('touch') && (event as TouchEvent).touches.length > 1)
    );
  })
  .wheelDelta((event) => -event.deltaY * (event.deltaMode === 1 ? 0.05 : 0.002) * (event.ctrlKey ? 5 : 1))
  .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => {
    if (event.sourceEvent) hasMoved = true;
    transform.value = event.transform;
  });

onMounted(() => {
  select(svg.value!).call(behaviour);
});

function toWorld(event: MouseEvent): Point {
  const box = svg.value!.getBoundingClientRect();
  const { k, x, y } = transform.value;
  return { x: (event.clientX - box.left - x) / k, y: -(event.clientY - box.top - y) / k };
}
const toScreen = (p: Point): Point => ({
  x: transform.value.x + p.x * transform.value.k,
  y: transform.value.y - p.y * transform.value.k,
});

const SIDE_ROOM_PX = 44;
const topRoom = computed(() => props.topRoomPx ?? 64);
const bottomRoom = computed(() => props.bottomRoomPx ?? 44);
/** Whether a place shows on the part of the mat that no tool covers. */
function isInView(p: Point): boolean {
  const { x, y } = toScreen(p);
  return x >= 0 && x <= width.value && y >= topRoom.value && y <= height.value - bottomRoom.value;
}

function fit(): void {
  if (!svg.value || width.value < 10 || height.value < 10) return;
  const top = topRoom.value,
    side = SIDE_ROOM_PX,
    bottom = bottomRoom.value;
  const { minX, minY, maxX, maxY } = props.fitTo;
  const worldWidth = Math.max(20, maxX - minX),
    worldHeight = Math.max(20, maxY - minY);
  const k = Math.min((width.value - 2 * side) / worldWidth, (height.value - top - bottom) / worldHeight, 12);
  const x = width.value / 2 - ((minX + maxX) / 2) * k;
  const y = top + (height.value - top - bottom) / 2 + ((minY + maxY) / 2) * k;
  select(svg.value).call(behaviour.transform, zoomIdentity.translate(x, y).scale(k));
  hasMoved = false;
}
watch([width, height, bottomRoom], () => {
  if (!hasMoved) fit();
});
const PAN_PX = 60;
function panBy(key: string): void {
  if (!svg.value) return;
  const [x, y] = (
    { ArrowLeft: [1, 0], ArrowRight: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Record<string, [number, number]>
  )[key] ?? [0, 0];
  select(svg.value).call(behaviour.translateBy, (x * PAN_PX) / transform.value.k, (y * PAN_PX) / transform.value.k);
  hasMoved = true;
}
const zoomBy = (factor: number): void => {
  if (svg.value) select(svg.value).call(behaviour.scaleBy, factor);
};

useKeys('mat', {
  fit,
  nearer: () => zoomBy(1.25),
  further: () => zoomBy(0.8),
  pan: (event) => props.arrowsPan === true && panBy(event.key),
  hold: () => {
    isSpaceHeld.value = true;
  },
});
useEventListener(window, 'keyup', (event) => {
  if (event.key === ' ') isSpaceHeld.value = false;
});

function press(event: PointerEvent): void {
  if (event.button !== 0 || isSpaceHeld.value) return;
  svg.value!.setPointerCapture(event.pointerId);
  emit('press', toWorld(event), event);
}
defineExpose({ fit, isInView, toScreen, svg, view });
</script>

<template>
  <div ref="frame" class="mat">
    <slot name="beneath" :view="view" />
    <svg
      ref="svg"
      class="surface"
      role="application"
      :aria-label="label"
      :style="{ cursor: isSpaceHeld ? 'grab' : cursor }"
      :width="width"
      :height="height"
      @pointerdown="press"
      @pointermove="emit('move', toWorld($event), $event)"
      @pointerup="emit('release', toWorld($event), $event)"
      @dblclick="emit('double', toWorld($event), $event)"
    >
      <MatGrid
        :style="isGridFaint ? { opacity: 0.35 } : undefined"
        :view="view"
        :steps="grid"
        :unit="unit"
        :top-room-px="topRoom"
      />
      <g :transform="`translate(${view.x} ${view.y}) scale(${view.k} ${-view.k})`">
        <slot name="world" :view="view" />
      </g>
      <slot name="screen" :view="view" :to-screen="toScreen" />
    </svg>
    <slot :view="view" />
  </div>
</template>

<style scoped>
.mat {
  position: relative;
  flex: 1;
  min-width: 0;
  background: var(--mat);
  overflow: hidden;
}
.surface {
  position: absolute;
  inset: 0;
  display: block;
  touch-action: none;
  user-select: none;
}
</style>
