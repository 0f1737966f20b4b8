<script setup lang="ts">
import { computed } from 'vue';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import { PLAN_VIEWS, VIEW_AXES, type PlacedGuide, type ViewLayout } from '@grain-fold/core/plan';
import { formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';

/** Guides through the views that share their axis: a station runs through side and top view, a height through side and front view. */
const props = defineProps<{
  guides: readonly PlacedGuide[];
  layout: ViewLayout;
  bounds: Bounds;
  toScreen: (p: Point) => Point;
  chosenId?: string;
  unit: LengthUnit;
  width: number;
  topRoomPx: number;
}>();
const BEYOND_MM = 24;

const shown = computed(() =>
  props.guides.flatMap(({ guide, atMm }, index) => {
    if (atMm === undefined) return [];
    const { minX, minY, maxX, maxY } = props.bounds;
    return PLAN_VIEWS.flatMap((view) => {
      const { across, up, sign } = VIEW_AXES[view],
        origin = props.layout[view],
        isAcross = guide.axis === across;
      if (!isAcross && guide.axis !== up) return [];
      // Where two views share the line, one of them draws it through both.
      if ((guide.axis === 'x' && view === 'top') || (guide.axis === 'z' && view === 'front')) return [];
      const place = isAcross ? origin.x + sign * atMm : origin.y + atMm;
      const [from, to] = isAcross
        ? [
            { x: place, y: minY - BEYOND_MM },
            { x: place, y: view === 'front' ? props.layout.front.y + 260 : maxY + BEYOND_MM },
          ]
        : [
            { x: minX - BEYOND_MM, y: place },
            { x: maxX + BEYOND_MM, y: place },
          ];
      const [a, b] = [props.toScreen(from), props.toScreen(to)];
      const name = `${guide.name} · ${formatLengthWithUnit(atMm, props.unit)}`;
      return [
        {
          key: `${guide.id}${view}`,
          d: `M${a.x} ${a.y}L${b.x} ${b.y}`,
          name,
          isChosen: guide.id === props.chosenId,
          at: isAcross ? { x: a.x + 5, y: a.y + 12 + 15 * (index % 2) } : { x: Math.max(50, a.x), y: a.y - 5 },
        },
      ];
    });
  }),
);
</script>

<template>
  <g pointer-events="none" class="figures">
    <g v-for="guide in shown" :key="guide.key" :class="{ chosen: guide.isChosen }">
      <path :d="guide.d" />
      <text :x="guide.at.x" :y="guide.at.y" font-size="12.5" font-weight="600">{{ guide.name }}</text>
    </g>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: #7fb7be;
  stroke-width: 1.1;
  stroke-dasharray: 3 5;
}
text {
  fill: #c8e6ea;
  paint-order: stroke;
  stroke: var(--mat);
  stroke-width: 4px;
}
.chosen path {
  stroke: var(--marigold);
  stroke-width: 2;
}
.chosen text {
  fill: #ffd9a1;
}
</style>
