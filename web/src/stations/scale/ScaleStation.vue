<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, defineAsyncComponent, ref, shallowRef } from 'vue';
import { contextOf, resolveIn, type ScaleFigures } from '@grain-fold/core/airframe';
import { boundsHeight, boundsWidth, type Bounds } from '@grain-fold/core/geometry';
import { resolve } from '@grain-fold/core/resolve';
import { LARGEST_SCALE, SMALLEST_SCALE } from '@grain-fold/core/scale';
import { countOf } from '@grain-fold/core/units';
import MatCanvas from '../../mat/MatCanvas.vue';
import InTurn from '../../kit/InTurn.vue';
import MeasureField from '../../kit/MeasureField.vue';
import PartMarks from '../../mat/PartMarks.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { slowly } from '../../workers/index.ts';
import BeforeAfter from './BeforeAfter.vue';
import FindFactor from './FindFactor.vue';
import KeptSizes from './KeptSizes.vue';
import OtherBoardSection from './OtherBoardSection.vue';

const WhatIf = defineAsyncComponent(() => import('./WhatIf.vue'));
/** As drawn first, then far apart, then between. */
const FACTORS = [1, 0.6, 0.8, 1.2, 1.4, 0.9, 1.1, 0.7, 1.3, 1.5] as const;
/** So many make a curve to look at. */
const FIRST = 5;

const work = useAirframe();
const figures = useFigures();
const points = shallowRef<readonly ScaleFigures[]>([]);
const asDrawn = computed(() => points.value.find(({ factor }) => factor === 1));
const scale = computed(() => work.airframe?.settings.scale ?? 1);
/** The version that was there before the first change here: to compare with, and to go back to. */
const before = ref<{ readonly version: number; readonly scale: number }>();
function setScale(value: number): void {
  if (value !== scale.value) before.value ??= { version: work.version, scale: scale.value };
  work.changeSettings(`Scale to ${value.toFixed(3)}`, { scale: value });
}

/** The part that shows the change: the largest that scales. */
const largest = computed(() => {
  const airframe = work.airframe;
  if (!airframe) return undefined;
  const sized = airframe.parts
    .filter((part) => part.sizing === 'scaled')
    .map((part) => ({ part, drawn: resolve(part, contextOf(airframe, part)) }))
    .filter(({ drawn }) => drawn.outer.length > 0);
  const first = sized.sort(
    (a, b) =>
      Math.max(boundsWidth(b.drawn.bounds), boundsHeight(b.drawn.bounds)) -
      Math.max(boundsWidth(a.drawn.bounds), boundsHeight(a.drawn.bounds)),
  )[0];
  return first && { ...first, scaled: resolveIn(airframe, first.part) };
});
const longestDrawn = computed(() =>
  largest.value ? Math.max(boundsWidth(largest.value.drawn.bounds), boundsHeight(largest.value.drawn.bounds)) : 0,
);
const fitTo = computed<Bounds>(() => {
  const both = largest.value && [largest.value.drawn.bounds, largest.value.scaled.bounds];
  return both
    ? {
        minX: Math.min(...both.map((b) => b.minX)),
        minY: Math.min(...both.map((b) => b.minY)),
        maxX: Math.max(...both.map((b) => b.maxX)),
        maxY: Math.max(...both.map((b) => b.maxY)),
      }
    : { minX: 0, minY: 0, maxX: 100, maxY: 100 };
});

let turn = 0;
// Figures at other factors cost a nest each, so they come one by one and only for the state that is shown.
watchDebounced(
  [
    () => work.airframe?.parts,
    () => work.airframe?.boards,
    () => work.airframe?.settings.pages,
    () => work.airframe?.settings.nest,
  ],
  async () => {
    const airframe = work.airframe;
    if (!airframe) return;
    const own = ++turn;
    points.value = [];
    for (const factor of FACTORS) {
      const answer = await slowly.atScale(airframe, factor);
      if (own !== turn) return;
      if (answer.ok) points.value = [...points.value, answer.value].sort((a, b) => a.factor - b.factor);
    }
  },
  { debounce: 200, immediate: true },
);
</script>

<template>
  <div class="station">
    <div class="station-body">
      <div class="left">
        <MatCanvas
          v-if="largest"
          :fit-to="fitTo"
          :unit="work.unit"
          arrows-pan
          :label="`${largest.part.name} as drawn and as scaled`"
        >
          <template #world>
            <InTurn><PartMarks :part="largest.scaled" /></InTurn>
            <path
              :d="largest.drawn.outer.map(({ x, y }, index) => `${index ? 'L' : 'M'}${x} ${y}`).join('') + 'Z'"
              fill="none"
              stroke="var(--marigold)"
              stroke-width="2"
              stroke-dasharray="9 5"
              vector-effect="non-scaling-stroke"
            />
          </template>
          <p class="note figures">
            <b>{{ largest.part.name }}</b> at × {{ scale.toFixed(3) }}, as drawn in
            <span class="gold">marigold dashes</span>
          </p>
        </MatCanvas>
        <div v-else class="nothing">
          <div class="empty">
            <h2>Nothing to scale yet</h2>
            <p>Draw a part first; scaling keeps every groove and slot true to your board.</p>
          </div>
        </div>
        <InTurn v-if="largest && points.length >= FIRST"
          ><WhatIf :points="points" :scale="scale" :is-more="points.length < FACTORS.length" @adopt="setScale"
        /></InTurn>
        <p v-else-if="largest" class="chart waiting figures">figuring other factors …</p>
      </div>
      <aside class="slip" aria-label="Scale">
        <div class="slip-head">
          <h1>Scale</h1>
          <p>Outlines and fold places grow. What follows the board does not.</p>
        </div>
        <div class="rows">
          <MeasureField
            label="Factor"
            kind="factor"
            :model-value="scale"
            :least="SMALLEST_SCALE"
            :most="LARGEST_SCALE"
            @update:model-value="setScale"
          />
          <MeasureField
            v-if="largest"
            :label="`Longest part: ${largest.part.name}`"
            :unit="work.unit"
            :model-value="longestDrawn * scale"
            :least="longestDrawn * SMALLEST_SCALE"
            :most="Math.min(10000, longestDrawn * LARGEST_SCALE)"
            @update:model-value="setScale(Math.round(($event / longestDrawn) * 1e6) / 1e6)"
          />
        </div>
        <el-button size="small" v-if="scale !== 1" class="back" @click="setScale(1)">Back to × 1</el-button>
        <p v-if="before && scale !== before.scale" class="was">
          Version {{ before.version }} has it at × {{ before.scale.toFixed(3) }}.
          <RouterLink :to="{ name: 'versions', query: { look: before.version } }">Compare, or go back to it</RouterLink>
        </p>
        <InTurn><FindFactor @take="setScale($event)" /></InTurn>
        <section>
          <h2 class="eyebrow">What it does</h2>
          <InTurn><BeforeAfter :drawn="asDrawn" :scale="scale" /></InTurn>
        </section>
        <section>
          <h2 class="eyebrow">What keeps its size</h2>
          <InTurn><KeptSizes /></InTurn>
        </section>
        <section>
          <InTurn><OtherBoardSection /></InTurn>
        </section>
        <section v-if="figures.faultCount > 0">
          <p class="warn">
            {{ countOf(figures.faultCount, 'fault') }} at this size.
            <RouterLink :to="{ name: 'parts' }">See them on Parts</RouterLink>
          </p>
        </section>
        <section v-if="figures.slow && figures.slow.unplaced > 0">
          <p class="warn">
            {{ countOf(figures.slow.unplaced, 'piece finds', 'pieces find') }} no place on your boards at this size.
          </p>
        </section>
      </aside>
    </div>
    <TrayBar
      ><span>arrow keys step the factor by <b>0.01</b></span></TrayBar
    >
  </div>
</template>

<style scoped>
.left {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.nothing {
  flex: 1;
  background: var(--mat);
  display: flex;
}
.note {
  position: absolute;
  left: 16px;
  top: 14px;
  color: #dfe9e8;
  font-size: 15px;
  font-weight: 500;
}
.gold {
  color: #ffc878;
}
.chart {
  height: 232px;
  flex: none;
  background: #1b333b;
  padding: 12px 16px 8px;
}
.waiting {
  color: #bcd0d2;
  display: grid;
  place-items: center;
  font-size: 15px;
}
.was {
  margin-top: 10px;
  color: var(--ink-soft);
}
.back {
  margin-top: 10px;
}
.warn {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
