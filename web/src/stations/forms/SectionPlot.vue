<script setup lang="ts">
import {
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { computed } from 'vue';
import { Scatter } from 'vue-chartjs';
import { drawnOutlineOf, innerHeights, sheetRings, type MadeWing, type PanelSite } from '@grain-fold/core/forms';
import type { Point } from '@grain-fold/core/geometry';
import { formatLengthWithUnit, MM_PER_INCH, type LengthUnit } from '@grain-fold/core/units';

Chart.register(ScatterController, LineElement, PointElement, LinearScale, Filler);
/** The section at the end of a panel as the skin makes it: its outer line, its creases, the spar, and the drawn section beneath. */
const props = defineProps<{ made: MadeWing; panel: number; end: 'root' | 'tip'; unit: LengthUnit }>();
const site = computed<PanelSite>(() => props.made.sites[props.panel] ?? props.made.sites[0]!);
const shown = computed(() => site.value.sections[props.end]);
const scale = computed(() => (props.unit === 'in' ? 1 / MM_PER_INCH : 1));
const at = ({ x, y }: Point): Point => ({ x: x * scale.value, y: y * scale.value });
const drawn = computed(() => {
  const outline = drawnOutlineOf(site.value.wing.section);
  if (!outline || isSheet.value) return [];
  const { chordMm } = shown.value,
    lowest = Math.min(...shown.value.section.corners.map(({ y }) => y)),
    own = Math.min(...outline.map(({ y }) => y));
  return outline.map(({ x, y }) => ({ x: x * chordMm, y: (y - own) * chordMm + lowest })).map(at);
});
const isSheet = computed(() => Boolean(shown.value.section.isOpen));
const isSolid = computed(() => Boolean(shown.value.section.isSolid));
/** The boards of a plate with its layers, or the foam of a core. */
const rings = computed(() =>
  isSheet.value ? sheetRings(site.value, props.end) : isSolid.value ? [shown.value.section.corners] : [],
);
const boards = computed(() => rings.value.map((ring) => [...ring, ring[0]!].map(at)));
const spar = computed(() => {
  const { sparFrontMm, sparFootMm, sparHeightMm, section } = shown.value,
    width = section.spar?.widthMm ?? 0;
  if (site.value.wing.sparKind === 'none' || isSheet.value || isSolid.value) return [];
  const [low, top, aft] = [sparFootMm, sparFootMm + sparHeightMm, sparFrontMm + width];
  return [
    { x: sparFrontMm, y: low },
    { x: aft, y: low },
    { x: aft, y: top },
    { x: sparFrontMm, y: top },
    { x: sparFrontMm, y: low },
  ].map(at);
});
const data = computed<ChartData<'scatter'>>(() => ({
  datasets: [
    {
      label: 'drawn',
      data: drawn.value,
      showLine: true,
      borderColor: '#e7a545',
      borderWidth: 1.4,
      pointRadius: 0,
      borderDash: [6, 4],
    },
    {
      label: 'spar',
      data: spar.value,
      showLine: true,
      borderColor: '#cdbb8d',
      backgroundColor: 'rgba(205,187,141,0.55)',
      fill: 'shape' as const,
      borderWidth: 1.4,
      pointRadius: 0,
    },
    ...faces.value.map((line) => ({
      label: 'face',
      data: [...line],
      showLine: true,
      borderColor: '#9db4b6',
      borderWidth: 1,
      pointRadius: 0,
    })),
    ...boards.value.map((ring) => ({
      label: 'board',
      data: [...ring],
      showLine: true,
      borderColor: '#8fa3a0',
      backgroundColor: 'rgba(251,248,239,0.9)',
      fill: 'shape' as const,
      borderWidth: 1,
      pointRadius: 0,
    })),
    {
      label: 'skin',
      data: rings.value.length > 0 ? [] : shown.value.section.corners.map(at),
      showLine: true,
      borderColor: '#fbf8ef',
      borderWidth: 2,
      pointRadius: shown.value.section.plates.some(({ isBent }) => isBent) ? 0 : 3.4,
      pointBackgroundColor: '#fbf8ef',
    },
  ],
}));
const plain = (value: string | number): string => String(value);
/** Both axes at one scale, so that a section looks as it is: the plot is so wide and so high, in pixels, without its figures. */
const PLOT_PX = { width: 250, height: 78 } as const;
const low = computed(() => Math.min(...shown.value.section.corners.map(({ y }) => y)) * scale.value);
const tall = computed(() => (shown.value.chordMm * scale.value * 1.02 * PLOT_PX.height) / PLOT_PX.width);
/** Where the faces of the board lie within the skin. */
const faces = computed(() => {
  if (rings.value.length > 0) return [];
  const { thicknessMm } = site.value.board;
  const places = Array.from({ length: 61 }, (_, index) => (shown.value.chordMm * index) / 60);
  const heights = places.map((x) => ({ x, at: innerHeights(shown.value.section, x, thicknessMm) }));
  const side = (which: 'low' | 'top'): readonly Point[] =>
    heights.flatMap(({ x, at: height }) => (height && height.low < height.top ? [at({ x, y: height[which] })] : []));
  return [side('low'), side('top')];
});
const options = computed<ChartOptions<'scatter'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
  scales: {
    x: {
      min: 0,
      max: Math.ceil(shown.value.chordMm * scale.value * 1.02 * 10) / 10,
      ticks: { color: '#cfdcdb', maxTicksLimit: 6, callback: plain, font: { family: 'Barlow Condensed', size: 12 } },
      grid: { color: '#2f535d' },
    },
    y: {
      min: low.value - tall.value * 0.15,
      max: low.value + tall.value * 0.85,
      display: false,
      grid: { display: false },
    },
  },
}));
const deepest = computed(() => {
  const heights = rings.value.flatMap((ring) => ring.map(({ y }) => y));
  return Math.max(...heights) - Math.min(...heights);
});
const words = computed(() => {
  const { section, sparHeightMm } = shown.value;
  return [
    ...(rings.value.length > 0
      ? [`${formatLengthWithUnit(deepest.value, props.unit)} deep`]
      : [
          section.plates.some(({ isBent }) => isBent) ? 'bent' : `${section.plates.length - 1} folds`,
          `spar ${formatLengthWithUnit(sparHeightMm, props.unit)}`,
        ]),
    ...(section.deviationMm === undefined
      ? []
      : [`off the drawn section by ${formatLengthWithUnit(section.deviationMm, props.unit, 2)}`]),
    ...(section.tightestMm === undefined || !Number.isFinite(section.tightestMm)
      ? []
      : [
          `${isSheet.value ? 'rolled round' : 'tightest bend'} ${formatLengthWithUnit(section.tightestMm, props.unit, 0)}`,
        ]),
  ].join(' · ');
});
</script>

<template>
  <figure class="plot">
    <div class="chart">
      <Scatter :data="data" :options="options" :aria-label="`Section at the ${end} of panel ${panel + 1}: ${words}`" />
    </div>
    <figcaption class="figures">{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
.plot {
  background: var(--mat-dark);
  border-radius: var(--radius);
  padding: 8px 10px 6px;
}
.chart {
  height: 112px;
}
figcaption {
  color: #ffd9a1;
  font-size: 14px;
  font-weight: 600;
  padding-top: 2px;
}
</style>
