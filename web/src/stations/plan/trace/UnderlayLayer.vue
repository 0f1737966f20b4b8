<script setup lang="ts">
import { computed } from 'vue';
import {
  composeProjective,
  project,
  seenCorners,
  underlayMap,
  type Plan,
  type Projective,
  type ViewLayout,
} from '@grain-fold/core/plan';
import { CoreError } from '@grain-fold/core/units';
import type { MatView } from '../../../mat/mat-view.ts';
import SheetTile from './SheetTile.vue';
import { sheetKey } from './use-opened-sheets.ts';
import type { Tracing } from './use-tracing.ts';

/** Pictures under the views, in tiles of the level that the zoom shows: only those in sight are there. */
const props = defineProps<{ plan: Plan; layout: ViewLayout; view: MatView; tracing: Tracing }>();
const TILE_PX = 512,
  MOST_TILES = 48;

interface Tile {
  readonly name: string;
  readonly sheet: string;
  readonly level: number;
  readonly column: number;
  readonly row: number;
  readonly transform: string;
  readonly clip: string;
}

const underlays = computed(() =>
  props.plan.underlays.flatMap((underlay) => {
    const sheet = props.plan.sheets.find(({ id }) => id === underlay.sheetId);
    if (!sheet || underlay.isHidden || props.tracing.states.value.get(sheetKey(sheet))?.kind !== 'open') return [];
    try {
      const { k, x, y } = props.view,
        at = props.layout[underlay.view];
      const toScreen: Projective = [k, 0, x + k * at.x, 0, -k, y - k * at.y, 0, 0, 1];
      const map = composeProjective(toScreen, underlayMap(underlay, sheet));
      return [{ id: underlay.id, opacity: underlay.opacity, tiles: tilesOf(map, underlay, sheet) }];
    } catch (error) {
      // A calibration that cannot stand is told on the slip; its sheet has no place.
      if (error instanceof CoreError) return [];
      throw error;
    }
  }),
);

function tilesOf(map: Projective, underlay: Plan['underlays'][number], sheet: Plan['sheets'][number]): readonly Tile[] {
  const [a, , c, d] = seenCorners(underlay, sheet).map((corner) => project(map, corner)) as [
    Point2,
    Point2,
    Point2,
    Point2,
  ];
  const seen = underlay.crop ?? { minX: 0, minY: 0, maxX: sheet.widthPx, maxY: sheet.heightPx };
  const shown = Math.max(
    Math.hypot(d.x - a.x, d.y - a.y) / (seen.maxX - seen.minX),
    Math.hypot(c.x - d.x, c.y - d.y) / (seen.maxY - seen.minY),
  );
  const highest = Math.max(0, Math.ceil(Math.log2(Math.max(sheet.widthPx, sheet.heightPx) / TILE_PX)));
  for (let level = Math.max(0, Math.min(highest, Math.floor(Math.log2(1 / Math.max(shown, 1e-9))))); ; level++) {
    const found = tilesAt(map, seen, sheet, level);
    if (found.length <= MOST_TILES || level >= highest) return found;
  }
}
interface Point2 {
  readonly x: number;
  readonly y: number;
}

function tilesAt(
  map: Projective,
  seen: { minX: number; minY: number; maxX: number; maxY: number },
  sheet: Plan['sheets'][number],
  level: number,
): readonly Tile[] {
  const step = TILE_PX * 2 ** level,
    { width, height } = props.view,
    tiles: Tile[] = [];
  for (let row = Math.floor(seen.minY / step); row * step < seen.maxY; row++)
    for (let column = Math.floor(seen.minX / step); column * step < seen.maxX; column++) {
      const [x, y] = [column * step, row * step];
      const corners = [
        [x, y],
        [x + step, y],
        [x + step, y + step],
        [x, y + step],
      ].map(([px, py]) => project(map, { x: px!, y: py! }));
      const xs = corners.map((p) => p.x),
        ys = corners.map((p) => p.y);
      if (Math.max(...xs) < 0 || Math.min(...xs) > width || Math.max(...ys) < 0 || Math.min(...ys) > height) continue;
      const own: Projective = [2 ** level, 0, x, 0, 2 ** level, y, 0, 0, 1],
        [m0, m1, m2, m3, m4, m5, m6, m7, m8] = composeProjective(map, own);
      const inset = (value: number): string => `${Math.max(0, value / 2 ** level).toFixed(3)}px`;
      const [right, bottom] = [Math.min(x + step, sheet.widthPx), Math.min(y + step, sheet.heightPx)];
      tiles.push({
        name: `${level}/${column}/${row}`,
        sheet: sheetKey(sheet),
        level,
        column,
        row,
        transform: `matrix3d(${[m0, m3, 0, m6, m1, m4, 0, m7, 0, 0, 1, 0, m2, m5, 0, m8].join(',')})`,
        clip: `inset(${inset(seen.minY - y)} ${inset(right - seen.maxX)} ${inset(bottom - seen.maxY)} ${inset(seen.minX - x)})`,
      });
    }
  return tiles;
}
</script>

<template>
  <div class="underlays" aria-hidden="true">
    <div v-for="{ id, opacity, tiles } in underlays" :key="id" :style="{ opacity }">
      <SheetTile
        v-for="tile in tiles"
        :key="tile.name"
        :sheet="tile.sheet"
        :level="tile.level"
        :column="tile.column"
        :row="tile.row"
        :transform="tile.transform"
        :clip="tile.clip"
      />
    </div>
  </div>
</template>

<style scoped>
.underlays {
  position: absolute;
  inset: 0;
  overflow: hidden;
  pointer-events: none;
}
</style>
