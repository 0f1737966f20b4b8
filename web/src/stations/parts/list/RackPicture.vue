<script setup lang="ts">
import { computed } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import { isThroughCut, traitsOf } from '@grain-fold/core/operations';
import type { ResolvedPart } from '@grain-fold/core/resolve';

/** A part as a thumbnail: its outline as foam, its work thin; a pair shows both of its hands. */
const props = defineProps<{ part: ResolvedPart }>();
const outline = computed(
  () =>
    [...(props.part.outline ? [props.part.outline] : []), ...props.part.holes]
      .map((path) => svgPath(path, true))
      .join('') || props.part.openPaths.map((path) => svgPath(path, false)).join(''),
);
/** Room between port and starboard, as a share of the part's size. */
const HANDS_APART = 0.08;
const viewBox = computed(() => {
  const { bounds, side } = props.part;
  const own = bounds.maxX - bounds.minX,
    height = bounds.maxY - bounds.minY;
  const width = side === 'single' ? own : 2 * own + HANDS_APART * Math.max(own, height);
  const size = Math.max(10, width, height) * 1.06;
  return `${bounds.minX + width / 2 - size / 2} ${-(bounds.minY + bounds.maxY) / 2 - size / 2} ${size} ${size}`;
});
/** Cuts through are solid, folds dashed. */
const workOf = (isCut: boolean): string =>
  props.part.strokes
    .filter(({ kind }) => isThroughCut(kind) === isCut && traitsOf(kind).ground !== 'edge')
    .flatMap(({ paths, closed }) => paths.map((path) => svgPath(path, closed)))
    .join('');
const cuts = computed(() => workOf(true));
const folds = computed(() => workOf(false));
const hands = computed(() => {
  const { bounds, side } = props.part;
  const apart = HANDS_APART * Math.max(bounds.maxX - bounds.minX, bounds.maxY - bounds.minY);
  return side === 'single' ? ['scale(1 -1)'] : ['scale(1 -1)', `translate(${2 * bounds.maxX + apart} 0) scale(-1 -1)`];
});
</script>

<template>
  <svg :viewBox="viewBox" width="46" height="38" aria-hidden="true">
    <g v-for="(hand, index) in hands" :key="index" :transform="hand" stroke="var(--ink)" fill="none">
      <path
        :d="outline"
        fill="var(--foam)"
        fill-rule="evenodd"
        stroke="var(--foam)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
      <path :d="cuts" stroke-width="1" vector-effect="non-scaling-stroke" />
      <path :d="folds" stroke-width="0.8" stroke-dasharray="2 1.5" vector-effect="non-scaling-stroke" />
    </g>
  </svg>
</template>
