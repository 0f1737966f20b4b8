<script setup lang="ts">
import { computed } from 'vue';
import { add, type Point } from '@grain-fold/core/geometry';
import { project, seenCorners, underlayMap, type Plan, type Projective, type ViewLayout } from '@grain-fold/core/plan';
import { CoreError, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import type { Tracing } from './use-tracing.ts';

/** Known lengths of the sheets, places that are being picked, and the frame of an underlay that can be moved. */
const props = defineProps<{
  tracing: Tracing;
  plan: Plan;
  toScreen: (p: Point) => Point;
  layout: ViewLayout;
  unit: LengthUnit;
}>();

function mapOf(underlay: Plan['underlays'][number]): Projective | undefined {
  const sheet = props.plan.sheets.find(({ id }) => id === underlay.sheetId);
  if (!sheet) return undefined;
  try {
    return underlayMap(underlay, sheet);
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}
const picked = computed(() => {
  const now = props.tracing.picking.value ?? props.tracing.picked.value,
    underlay = props.plan.underlays.find(({ id }) => id === now?.underlayId),
    map = underlay && mapOf(underlay);
  return map ? now!.points.map((p) => props.toScreen(add(project(map, p), props.layout[underlay.view]))) : [];
});
const frames = computed(() =>
  props.plan.underlays.flatMap((underlay) => {
    const sheet = props.plan.sheets.find(({ id }) => id === underlay.sheetId),
      map = mapOf(underlay);
    if (!sheet || !map || underlay.isHidden) return [];
    const at = (p: Point): Point => props.toScreen(add(project(map, p), props.layout[underlay.view]));
    const { minX, minY, maxX, maxY } = underlay.crop ?? { minX: 0, minY: 0, maxX: sheet.widthPx, maxY: sheet.heightPx };
    const isSeen = ({ from, to }: (typeof sheet.lengths)[number]): boolean =>
      [from, to].every(({ x, y }) => x >= minX && x <= maxX && y >= minY && y <= maxY);
    return [
      {
        id: underlay.id,
        view: underlay.view,
        isLoose: !underlay.isLocked,
        d: `M${seenCorners(underlay, sheet)
          .map(at)
          .map(({ x, y }) => `${x} ${y}`)
          .join('L')}Z`,
        lengths: sheet.lengths.filter(isSeen).map(({ id, name, from, to, lengthMm }) => ({
          id,
          from: at(from),
          to: at(to),
          text: `${name} ${formatLengthWithUnit(lengthMm, props.unit)}`,
        })),
      },
    ];
  }),
);
</script>

<template>
  <g pointer-events="none" class="figures">
    <g v-for="frame in frames" :key="frame.id">
      <path
        :data-underlay="frame.view"
        :d="frame.d"
        fill="none"
        :stroke="frame.isLoose ? 'var(--marigold)' : '#5d7f86'"
        stroke-width="1.2"
        stroke-dasharray="6 5"
      />
      <g v-for="length in frame.lengths" :key="length.id">
        <path
          :d="`M${length.from.x} ${length.from.y}L${length.to.x} ${length.to.y}`"
          stroke="#b0452c"
          stroke-width="1.8"
        />
        <circle
          v-for="(end, index) in [length.from, length.to]"
          :key="index"
          :cx="end.x"
          :cy="end.y"
          r="3.5"
          fill="#b0452c"
        />
        <text
          :x="(length.from.x + length.to.x) / 2 + 6"
          :y="(length.from.y + length.to.y) / 2 - 6"
          font-size="13"
          font-weight="600"
          class="word"
          >{{ length.text }}</text
        >
      </g>
    </g>
    <path
      v-if="picked.length > 1"
      :d="`M${picked.map(({ x, y }) => `${x} ${y}`).join('L')}`"
      fill="none"
      stroke="var(--marigold)"
      stroke-width="2"
      stroke-dasharray="6 4"
    />
    <path
      v-for="(at, index) in picked"
      :key="index"
      :d="`M${at.x - 8} ${at.y}h16m-8-8v16`"
      stroke="var(--marigold)"
      stroke-width="2.4"
      fill="none"
    />
  </g>
</template>

<style scoped>
.word {
  fill: #fff;
  paint-order: stroke;
  stroke: #6b2415;
  stroke-width: 4px;
}
</style>
