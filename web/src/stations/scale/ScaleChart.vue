<script setup lang="ts">
import { countOf, formatMass, ouncesOf, type LengthUnit } from '@grain-fold/core/units';
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import type { ScalePoint } from './scale-point.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Legend, Tooltip);
const props = defineProps<{ points: readonly ScalePoint[]; scale: number; unit: LengthUnit }>();
/** Foam as the builder weighs it. */
const isOunces = computed(() => props.unit === 'in');

const FONT = { family: 'Barlow Condensed', size: 13 };
const data = computed<ChartData<'line'>>(() => ({
  labels: props.points.map((point) => `× ${point.scale.toFixed(1)}`),
  datasets: [
    {
      label: isOunces.value ? 'foam, oz' : 'foam, g',
      data: props.points.map(({ foamG }) => (isOunces.value ? Number(ouncesOf(foamG).toFixed(2)) : foamG)),
      borderColor: '#fbf8ef',
      backgroundColor: '#fbf8ef',
      yAxisID: 'mass',
      tension: 0.25,
    },
    {
      label: 'pages',
      data: props.points.map((point) => point.slow.pages),
      borderColor: '#e7a545',
      backgroundColor: '#e7a545',
      yAxisID: 'count',
      borderDash: [7, 4],
    },
    {
      label: 'boards',
      data: props.points.map((point) => point.slow.boards),
      borderColor: '#a9c98a',
      backgroundColor: '#a9c98a',
      yAxisID: 'count',
      borderDash: [2, 3],
    },
  ],
}));
/** Ticks are whole numbers; the library's own words for them load a table of languages first. */
const plain = (value: string | number): string => String(value);
const axis = (position: 'left' | 'right', text: string): object => ({
  position,
  beginAtZero: true,
  title: { display: true, text, color: '#cfdcdb', font: FONT },
  ticks: { color: '#cfdcdb', font: FONT, maxTicksLimit: 5, callback: plain },
  grid: { color: position === 'left' ? '#2f535d' : 'transparent' },
});
const options = computed<ChartOptions<'line'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  plugins: {
    legend: { position: 'top', align: 'end', labels: { color: '#e6edea', font: FONT, boxWidth: 26, boxHeight: 1 } },
  },
  scales: {
    x: { ticks: { color: '#cfdcdb', font: FONT }, grid: { color: '#2f535d' } },
    mass: axis('left', isOunces.value ? 'ounces' : 'grams'),
    count: axis('right', 'pages, boards'),
  },
}));
const words = computed(() =>
  props.points
    .map(
      (point) =>
        `at ${point.scale}: ${formatMass(point.foamG, props.unit)}, ${countOf(point.slow.pages, 'page')}, ${countOf(point.slow.boards, 'board')}`,
    )
    .join('; '),
);
</script>

<template>
  <div><Line :data="data" :options="options" :aria-label="`Foam, pages and boards by factor: ${words}`" /></div>
</template>
