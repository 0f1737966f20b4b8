<script setup lang="ts">
import type { BoardView } from '@grain-fold/core/airframe';
import { boundsOf, boundsWidth, type Point } from '@grain-fold/core/geometry';
import { countOf, formatLength } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { BoardOnMat } from './lay-out-boards.ts';

/** What is written on and above the boards of the mat: their sizes and yields, their rests and the names of the pieces. */
defineProps<{ boards: readonly BoardOnMat[]; toScreen: (at: Point) => Point; /** Pixels a mm. */ zoom: number }>();
const work = useAirframe();

/** Names are written where they fit at the zoom. */
function labels(
  view: BoardView,
  k: number,
): readonly { readonly x: number; readonly y: number; readonly text: string; readonly size: number }[] {
  return view.pieces.flatMap(({ piece, shape }) => {
    const box = boundsOf(shape.outer);
    const size = 13,
      room = Math.min(boundsWidth(box) * k * 0.86, 400),
      tall = (box.maxY - box.minY) * k;
    const { name, side } = piece.part;
    const letters = Math.floor(room / (size * 0.42)),
      hand = side === 'single' ? '' : `, ${side}`;
    // The hand is never left out: of a long name the end is.
    const least = hand === '' ? name.length : Math.min(name.length, 3) + 1 + hand.length;
    if (tall < size + 3 || letters < least) return [];
    const text =
      name.length + hand.length <= letters ? name + hand : `${name.slice(0, letters - hand.length - 1)}…${hand}`;
    return [{ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2, text, size }];
  });
}
const yieldFill = (view: BoardView): string => (view.yield >= 0.6 ? '#c4dba4' : '#ffc878');
const restText = ({ rest }: BoardView): string =>
  `rest ${formatLength(rest.maxX - rest.minX, work.unit, 0)} × ${formatLength(rest.maxY - rest.minY, work.unit, 0)} ${work.unit}`;
</script>

<template>
  <g class="figures" font-weight="600" pointer-events="none">
    <template v-for="{ view, origin } in boards" :key="view.number">
      <g
        :transform="`translate(${toScreen({ x: origin.x, y: origin.y + view.board.heightMm }).x} ${toScreen({ x: origin.x, y: origin.y + view.board.heightMm }).y - 8})`"
      >
        <text fill="#fff" font-size="16"
          >Board {{ view.number
          }}<tspan dx="10" font-size="13.5" font-weight="500" fill="#bcd0d2"
            >{{ formatLength(view.board.widthMm, work.unit, 0) }} ×
            {{ formatLength(view.board.heightMm, work.unit, 0) }} · {{ countOf(view.pieces.length, 'piece')
            }}{{ view.isCut ? ' · cut' : '' }}{{ view.alikeTo ? ` · as board ${view.alikeTo}` : '' }}</tspan
          ><tspan v-if="view.board.widthMm * zoom < 260" dx="12" :fill="yieldFill(view)"
            >{{ Math.round(view.yield * 100) }} %</tspan
          ></text
        >
        <text
          v-if="view.board.widthMm * zoom >= 260"
          :x="view.board.widthMm * zoom"
          text-anchor="end"
          font-size="16"
          :fill="yieldFill(view)"
          >{{ Math.round(view.yield * 100) }} %</text
        >
      </g>
      <text
        v-if="
          !view.isCut && (view.rest.maxX - view.rest.minX) * zoom > 150 && (view.rest.maxY - view.rest.minY) * zoom > 34
        "
        :x="toScreen({ x: origin.x + (view.rest.minX + view.rest.maxX) / 2, y: 0 }).x"
        :y="toScreen({ x: 0, y: origin.y + (view.rest.minY + view.rest.maxY) / 2 }).y + 5"
        text-anchor="middle"
        font-size="15"
        fill="#33481f"
        stroke="#e4d8b9"
        stroke-width="5"
        paint-order="stroke"
        >{{ restText(view) }}</text
      >
      <text
        v-for="(label, index) in labels(view, zoom)"
        :key="index"
        :x="toScreen({ x: label.x + origin.x, y: 0 }).x"
        :y="toScreen({ x: 0, y: label.y + origin.y }).y + 4"
        :font-size="label.size"
        font-weight="500"
        text-anchor="middle"
        fill="var(--ink)"
        stroke="var(--foam)"
        stroke-width="4"
        paint-order="stroke"
        >{{ label.text }}</text
      >
    </template>
  </g>
</template>
