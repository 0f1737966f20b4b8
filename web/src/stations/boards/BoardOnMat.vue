<script setup lang="ts">
import { computed, useId } from 'vue';
import type { BoardView, PlacedPiece } from '@grain-fold/core/airframe';
import type { Point } from '@grain-fold/core/geometry';
import { placementTransform } from '@grain-fold/core/nesting';
import PartMarks from '../../mat/PartMarks.vue';

/** One nested board on the mat, its pieces in the line code and its largest rest hatched. */
const props = defineProps<{
  view: BoardView;
  origin: Point;
  chosenIndex?: number;
  /** The chosen piece while it is held elsewhere. */ heldIndex?: number;
}>();
const id = useId();

const outline = computed(() => {
  const { board } = props.view;
  const corners = board.outline ?? [
    { x: 0, y: 0 },
    { x: board.widthMm, y: 0 },
    { x: board.widthMm, y: board.heightMm },
    { x: 0, y: board.heightMm },
  ];
  return corners.map(({ x, y }) => `${x},${y}`).join(' ');
});
const matrix = (placed: PlacedPiece): string => {
  const { a, b, c, d, e, f } = placementTransform(placed);
  return `matrix(${a} ${b} ${c} ${d} ${e} ${f})`;
};
/** Locked pieces lie under a shade, firmly edged. */
const locked = computed(() =>
  props.view.pieces
    .filter(({ placed }) => placed.isLocked)
    .map(({ shape }) => `M${shape.outer.map(({ x, y }) => `${x} ${y}`).join('L')}Z`)
    .join(''),
);
const rest = computed(() => ({
  x: props.view.rest.minX,
  y: props.view.rest.minY,
  width: props.view.rest.maxX - props.view.rest.minX,
  height: props.view.rest.maxY - props.view.rest.minY,
}));
</script>

<template>
  <g :transform="`translate(${origin.x} ${origin.y})`">
    <pattern :id="id" width="26" height="26" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)"
      ><path d="M0 0V26" stroke="#7f9a5f" stroke-width="3"
    /></pattern>
    <polygon :points="outline" fill="#12262c" opacity="0.55" transform="translate(3 -3)" />
    <polygon :points="outline" :fill="view.isCut ? '#5d7a80' : '#e4d8b9'" />
    <circle
      v-for="(blemish, index) in view.board.blemishes ?? []"
      :key="`blemish ${index}`"
      :cx="blemish.x"
      :cy="blemish.y"
      :r="blemish.radiusMm"
      fill="#b3583f"
      fill-opacity="0.35"
      stroke="#8c3f2a"
      vector-effect="non-scaling-stroke"
    />
    <rect
      v-if="!view.isCut && rest.width > 60 && rest.height > 60"
      v-bind="rest"
      :fill="`url(#${id})`"
      opacity="0.75"
    />
    <g
      v-for="({ placed, piece }, index) in view.pieces"
      :key="index"
      :transform="matrix(placed)"
      :opacity="index === heldIndex || placed.isScrap ? 0.35 : 1"
    >
      <PartMarks
        :part="piece.part"
        plain
        :fill="index === chosenIndex ? '#fff4dc' : piece.guest ? '#d3e0da' : 'var(--foam)'"
      />
    </g>
    <path
      v-if="locked"
      :d="locked"
      fill="#8a6a2f"
      fill-opacity="0.2"
      stroke="#6b4e1c"
      stroke-width="2.4"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>
