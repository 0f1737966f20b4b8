<script setup lang="ts">
import { FEATURE_KINDS, featureTraits, type FeatureKind } from '@grain-fold/core/features';
import { svgPath, type Path } from '@grain-fold/core/geometry';
import type { ButtonInstance } from 'element-plus';
import { onMounted, useTemplateRef } from 'vue';

/** Things with a meaning to choose from, each with a small drawing of what it becomes. */
defineProps<{ chosen?: FeatureKind }>();
const emit = defineEmits<{ choose: [kind: FeatureKind]; close: [] }>();
const first = useTemplateRef<ButtonInstance[]>('first');
onMounted(() => first.value?.[0]?.ref?.focus());

const circle = (x: number, y: number, r: number): Path => [
  { kind: 'arc', from: { x: x + r, y }, to: { x: x - r, y }, bulge: 1 },
  { kind: 'arc', from: { x: x - r, y }, to: { x: x + r, y }, bulge: 1 },
];
const lines = (...runs: readonly (readonly (readonly [number, number])[])[]): string =>
  runs.map((points) => `M${points.map(([x, y]) => `${x} ${y}`).join('L')}`).join('');
const PICTURES: Readonly<Record<FeatureKind, string>> = {
  tabs: lines([
    [1, 15],
    [6, 15],
    [6, 9],
    [13, 9],
    [13, 15],
    [19, 15],
    [19, 9],
    [26, 9],
    [26, 15],
    [31, 15],
  ]),
  slots: 'M4 8h9v5h-9zM19 8h9v5h-9z',
  lap: 'M2 4h28v14H2zM2 12h28',
  lightening: 'M9 5h14a4 4 0 0 1 4 4v4a4 4 0 0 1-4 4H9a4 4 0 0 1-4-4V9a4 4 0 0 1 4-4z',
  dowel: svgPath(circle(16, 11, 6), true),
  wire:
    svgPath(circle(16, 11, 2.5), true) +
    lines(
      [
        [6, 20],
        [14.5, 13],
      ],
      [
        [17.8, 9.2],
        [26, 2],
      ],
    ),
  finger: 'M11 6h10a5 5 0 0 1 0 10H11a5 5 0 0 1 0-10z',
  servo: `M9 6h14v10H9z${svgPath(circle(5, 11, 1.2), true)}${svgPath(circle(27, 11, 1.2), true)}`,
  hatch: 'M5 5h22v12H5zM5 8l3-3M24 17l3-3',
  balance:
    svgPath(circle(16, 11, 5), true) +
    lines(
      [
        [7, 11],
        [25, 11],
      ],
      [
        [16, 2],
        [16, 20],
      ],
    ),
  stations: lines(
    [
      [2, 17],
      [30, 17],
    ],
    [
      [7, 4],
      [7, 19],
    ],
    [
      [16, 4],
      [16, 19],
    ],
    [
      [25, 4],
      [25, 19],
    ],
  ),
  lettering: lines(
    [
      [4, 18],
      [9, 4],
      [14, 18],
    ],
    [
      [6, 13],
      [12, 13],
    ],
    [
      [18, 4],
      [18, 18],
      [27, 18],
    ],
  ),
};
const word = (kind: FeatureKind): string => featureTraits(kind).word;
</script>

<template>
  <div class="menu" role="group" aria-label="Features" @keydown.esc.stop="emit('close')">
    <el-button
      link
      v-for="kind in FEATURE_KINDS"
      :key="kind"
      ref="first"
      :aria-pressed="chosen === kind"
      :title="featureTraits(kind).hint"
      @click="emit('choose', kind)"
      class="bare"
    >
      <svg
        width="32"
        height="22"
        viewBox="0 0 32 22"
        fill="none"
        stroke="currentColor"
        stroke-width="1.6"
        aria-hidden="true"
      >
        <path :d="PICTURES[kind]" /></svg
      >{{ word(kind) }}
    </el-button>
  </div>
</template>

<style scoped>
.menu {
  position: relative;
  z-index: 5;
  width: fit-content;
  max-width: 100%;
  margin-top: 3px;
  pointer-events: auto;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 4px;
  background: #1b333b;
  border: 1px solid #5d7f86;
  border-radius: var(--radius);
  padding: 8px;
}
button {
  display: flex;
  gap: 10px;
  align-items: center;
  border: 1px solid transparent;
  background: transparent;
  color: #e9eee9;
  border-radius: var(--radius);
  padding: 5px 12px 5px 8px;
  font-weight: 500;
  text-align: left;
}
button:hover {
  background: #29474f;
}
button[aria-pressed='true'] {
  background: var(--foam);
  color: var(--ink);
}
</style>
