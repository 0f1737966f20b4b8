<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import { CLOSED_MM, drawnFaces, isSection, seenFrom, shaded } from '@grain-fold/core/folds';
import type { Point3 } from '@grain-fold/core/geometry';
import type { Folding } from './use-folding.ts';

/** The folded part as a drawing without perspective, where no model can be shown. Dragging turns it. */
const props = defineProps<{
  folding: Folding;
  label: string;
  highlighted: readonly (readonly [Point3, Point3])[];
  measured: readonly Point3[];
}>();
const frame = ref<HTMLElement>();
const { width, height } = useElementSize(frame);

/** Room for the controls below the drawing. */
const CONTROLS_PX = 140;
const faces = computed(() => drawnFaces(props.folding.faces.value, props.folding.viewpoint.value));
const box = computed(() => {
  const points = faces.value.flatMap(({ rings }) => rings.flat());
  const [minX, maxX, minY, maxY] = points.reduce(
    ([a, b, c, d], { x, y }) => [Math.min(a, x), Math.max(b, x), Math.min(c, y), Math.max(d, y)] as const,
    [Infinity, -Infinity, Infinity, -Infinity] as readonly [number, number, number, number],
  );
  const k = Math.min(
    (width.value - 80) / Math.max(1, maxX - minX),
    (height.value - CONTROLS_PX - 60) / Math.max(1, maxY - minY),
  );
  return {
    k,
    x: width.value / 2 - ((minX + maxX) / 2) * k,
    y: (height.value - CONTROLS_PX) / 2 + ((minY + maxY) / 2) * k,
  };
});
const at = (p: { readonly x: number; readonly y: number }): string =>
  `${(box.value.x + p.x * box.value.k).toFixed(1)} ${(box.value.y - p.y * box.value.k).toFixed(1)}`;
const middle = ([a, b]: readonly [Point3, Point3]): readonly string[] =>
  at(seenFrom(props.folding.viewpoint.value, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 })).split(
    ' ',
  );
const line = ([a, b]: readonly [Point3, Point3]): string =>
  `M${at(seenFrom(props.folding.viewpoint.value, a))}L${at(seenFrom(props.folding.viewpoint.value, b))}`;
const drawn = computed(() =>
  faces.value.map(({ face, rings, light }) => ({
    d: rings.map((ring) => `M${ring.map(at).join('L')}Z`).join(''),
    fill: shaded(face.kind, light),
    isOutlined: !isSection(face),
  })),
);

const TURN_PER_PX = 0.5;
let from: readonly [number, number] | undefined;
function turn(event: PointerEvent): void {
  if (!from) return;
  const { viewpoint } = props.folding;
  viewpoint.value = {
    turnDegrees: viewpoint.value.turnDegrees + (event.clientX - from[0]) * TURN_PER_PX,
    heightDegrees: Math.max(-89, Math.min(89, viewpoint.value.heightDegrees + (event.clientY - from[1]) * TURN_PER_PX)),
  };
  from = [event.clientX, event.clientY];
}
</script>

<template>
  <div ref="frame" class="drawing-frame">
    <svg
      :width="width"
      :height="height"
      role="img"
      :aria-label="label"
      @pointerdown="from = [$event.clientX, $event.clientY]"
      @pointermove="turn"
      @pointerup="from = undefined"
      @pointerleave="from = undefined"
    >
      <g stroke="#1d2a2f" stroke-width="1" stroke-linejoin="round" fill-rule="evenodd">
        <path
          v-for="(face, index) in drawn"
          :key="index"
          :d="face.d"
          :fill="face.fill"
          :stroke="face.isOutlined ? undefined : 'none'"
          :fill-opacity="folding.isClear.value ? 0.5 : 1"
        />
      </g>
      <g fill="none" stroke-width="4">
        <template v-for="(seam, index) in folding.seams.value" :key="index">
          <path
            v-for="(one, which) in seam.lines"
            :key="which"
            :d="line(one)"
            :stroke="seam.gapMm <= CLOSED_MM && !seam.isPressed ? '#5c7f3c' : '#b0452c'"
          />
        </template>
        <path v-for="(one, index) in highlighted" :key="`h${index}`" :d="line(one)" stroke="#d9902f" />
      </g>
      <g class="figures">
        <text
          v-for="(seam, index) in folding.seams.value.filter(({ label }) => label !== '')"
          :key="index"
          :x="middle(seam.lines[0])[0]"
          :y="middle(seam.lines[0])[1]"
          dx="10"
          fill="#ffd9a1"
          font-size="15"
          font-weight="600"
        >
          {{ seam.label }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.drawing-frame {
  position: absolute;
  inset: 0;
  background: var(--mat);
}
</style>
