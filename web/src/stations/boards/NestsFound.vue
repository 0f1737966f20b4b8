<script setup lang="ts">
import { computed } from 'vue';
import { boardViews, isNestCurrent, type AirframeNest } from '@grain-fold/core/airframe';
import { countOf, formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { isLaidAlike, nestFigures, nestsFoundFor } from './nests-found.ts';

/** The nests found so far, side by side: any of them can be laid instead. */
const emit = defineEmits<{ lay: [nest: AirframeNest] }>();
const work = useAirframe();
/** Mat between the boards of a little picture, in mm. */
const GAP_MM = 40;

const rows = computed(() => {
  const airframe = work.airframe;
  if (!airframe || !isNestCurrent(airframe)) return [];
  const laid = airframe.nest!;
  return nestsFoundFor(airframe).map((nest) => {
    const figures = nestFigures(airframe, nest);
    return { nest, figures, isLaid: isLaidAlike(nest, laid), picture: pictureOf(nest) };
  });
});
function pictureOf(nest: AirframeNest): { readonly box: string; readonly boards: string; readonly pieces: string } {
  let left = 0,
    height = 0,
    boards = '',
    pieces = '';
  for (const { board, pieces: own } of boardViews(work.airframe!, nest)) {
    boards += `M${left} ${-board.heightMm}h${board.widthMm}v${board.heightMm}h${-board.widthMm}Z`;
    const from = left;
    for (const { shape } of own)
      pieces += `M${shape.outer.map(({ x, y }) => `${Math.round(from + x)} ${Math.round(-y)}`).join('L')}Z`;
    left += board.widthMm + GAP_MM;
    height = Math.max(height, board.heightMm);
  }
  return { box: `0 ${-height} ${Math.max(1, left - GAP_MM)} ${Math.max(1, height)}`, boards, pieces };
}
</script>

<template>
  <section v-if="rows.length > 1" aria-label="Nests found">
    <h2 class="eyebrow">Nests found</h2>
    <div v-for="({ nest, figures, isLaid, picture }, index) in rows" :key="index" class="found" :class="{ isLaid }">
      <svg :viewBox="picture.box" preserveAspectRatio="xMinYMid meet" aria-hidden="true">
        <path :d="picture.boards" fill="#e4d8b9" />
        <path :d="picture.pieces" fill="#b3874f" />
      </svg>
      <p class="figures">
        <b>{{ figures.effectiveBoards.toFixed(2) }}</b> · {{ countOf(figures.boards, 'board') }}<br />
        <small
          >rest {{ formatLength(figures.rest.width, work.unit, 0) }} ×
          {{ formatLengthWithUnit(figures.rest.height, work.unit, 0)
          }}<template v-if="figures.unplaced > 0"> · {{ figures.unplaced }} without a place</template></small
        >
      </p>
      <span v-if="isLaid" class="laid">laid</span>
      <el-button
        v-else
        size="small"
        :aria-label="`Lay it: the nest of ${figures.effectiveBoards.toFixed(2)} boards`"
        @click="emit('lay', nest)"
        >Lay it</el-button
      >
    </div>
  </section>
</template>

<style scoped>
.found {
  display: grid;
  grid-template-columns: 92px 1fr auto;
  align-items: center;
  gap: 10px;
  padding: 7px 0 7px 8px;
  border-left: 4px solid transparent;
  border-bottom: 1px solid var(--ticket-line);
}
.found.isLaid {
  border-left-color: var(--marigold);
}
svg {
  width: 92px;
  height: 40px;
}
small {
  color: var(--ink-soft);
}
.laid {
  color: var(--ink-soft);
  padding-right: 8px;
}
</style>
