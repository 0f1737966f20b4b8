<script setup lang="ts">
import { computed } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import { placedGuides, type Part } from '@grain-fold/core/part';

/** Guides and the centre line, on the screen: thin, without end, each with its name where it leaves the mat. */
const props = defineProps<{
  part: Part;
  toScreen: (p: Point) => Point;
  scale: number;
  width: number;
  height: number;
  topRoomPx: number;
  chosenId?: string;
  hoveredId?: string;
}>();

/** Longer than any mat is wide, in pixels. */
const FAR_PX = 8000;
const NAME_ROOM_PX = 10;

const guides = computed(() =>
  placedGuides(props.part).map(({ guide, shape }) => {
    const look = {
      id: guide.id,
      name: guide.name,
      isChosen: guide.id === props.chosenId,
      isHovered: guide.id === props.hoveredId,
    };
    if (shape.kind === 'circle') {
      const centre = props.toScreen(shape.centre);
      return {
        ...look,
        d: '',
        circle: { ...centre, r: shape.radiusMm * props.scale },
        at: { x: centre.x, y: centre.y - shape.radiusMm * props.scale - 6 },
      };
    }
    const [a, b] = [
      props.toScreen(shape.through),
      props.toScreen({ x: shape.through.x + shape.direction.x, y: shape.through.y + shape.direction.y }),
    ];
    const length = Math.hypot(b.x - a.x, b.y - a.y),
      way = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
    return {
      ...look,
      circle: undefined,
      d: `M${a.x - way.x * FAR_PX} ${a.y - way.y * FAR_PX}L${a.x + way.x * FAR_PX} ${a.y + way.y * FAR_PX}`,
      at: nameAt(a, way),
    };
  }),
);

/** Where a line's name stands: near the left side of the mat, or near its foot when it runs upright. */
function nameAt(through: Point, way: Point): Point {
  if (Math.abs(way.x) > Math.abs(way.y)) {
    const x = NAME_ROOM_PX + 44;
    return { x, y: through.y + ((x - through.x) * way.y) / way.x - 6 };
  }
  const y = props.height - NAME_ROOM_PX - 60;
  return { x: through.x + ((y - through.y) * way.x) / way.y + 8, y };
}

const centreLine = computed(() => {
  const { symmetry } = props.part;
  if (!symmetry) return undefined;
  const at = props.toScreen({ x: symmetry.atMm, y: symmetry.atMm });
  return symmetry.along === 'level' ? `M0 ${at.y}H${props.width}` : `M${at.x} ${props.topRoomPx}V${props.height}`;
});
const attached = computed(() => {
  const ids = new Set((props.part.attachments ?? []).map(({ nodeId }) => nodeId));
  return ids.size === 0
    ? []
    : [...props.part.contours, ...props.part.lines]
        .flatMap(({ nodes }) => nodes)
        .filter(({ id }) => ids.has(id))
        .map(props.toScreen);
});
</script>

<template>
  <g pointer-events="none" class="figures">
    <path
      v-if="centreLine"
      class="centre-line"
      :d="centreLine"
      fill="none"
      stroke="#ffd9a1"
      stroke-width="1.4"
      stroke-dasharray="26 5 4 5"
    />
    <g
      v-for="guide in guides"
      :key="guide.id"
      :class="{ strong: guide.isChosen || guide.isHovered }"
      fill="none"
      stroke="#6aa9b1"
      stroke-width="1.2"
      stroke-dasharray="3 5"
    >
      <circle v-if="guide.circle" :cx="guide.circle.x" :cy="guide.circle.y" :r="guide.circle.r" />
      <path v-else :d="guide.d" />
      <g :transform="`translate(${guide.at.x} ${guide.at.y})`" stroke="none" stroke-dasharray="none">
        <rect
          x="-5"
          y="-13"
          :width="guide.name.length * 6.2 + 12"
          height="17"
          rx="3"
          :fill="guide.isChosen || guide.isHovered ? 'var(--marigold)' : '#1b333b'"
        />
        <text font-size="13" font-weight="600" :fill="guide.isChosen || guide.isHovered ? 'var(--ink)' : '#c8e6ea'">{{
          guide.name
        }}</text>
      </g>
    </g>
    <path
      v-for="(at, index) in attached"
      :key="index"
      :d="`M${at.x - 9} ${at.y}h4m10 0h4M${at.x} ${at.y - 9}v4m0 10v4`"
      fill="none"
      stroke="#9fd0d6"
      stroke-width="1.6"
    />
  </g>
</template>

<style scoped>
.strong {
  stroke: var(--marigold);
  stroke-width: 2;
}
</style>
