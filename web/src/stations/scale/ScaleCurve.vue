<script setup lang="ts">
import type { ScaleFigures } from '@grain-fold/core/airframe';
import type { LengthUnit } from '@grain-fold/core/units';
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { computed, useTemplateRef, watch } from 'vue';
import { Line } from 'vue-chartjs';
import type { CurveFigure, CurveLimits } from './curve-figures.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, Tooltip);
/** One figure over the factor: where it is now, where it must not go, and where faults would come. */
const props = defineProps<{
  figure: CurveFigure;
  points: readonly ScaleFigures[];
  scale: number;
  unit: LengthUnit;
  limits: CurveLimits;
}>();
const emit = defineEmits<{ adopt: [factor: number] }>();

const PAPER = '#fbf8ef',
  SOFT = '#cfdcdb',
  GOLD = '#e7a545',
  BRICK = '#ff9b84',
  GRID = '#2f535d';
const FONT = { family: 'Barlow Condensed', size: 12 };
const shown = computed(() =>
  props.points.flatMap((point) => {
    const amount = props.figure.amountOf(point);
    return amount === undefined ? [] : [{ point, amount }];
  }),
);
const text = (amount: number): string => props.figure.text(amount, props.unit);
const spot = (factor: number, amount: number): { x: number; y: number } => ({
  x: factor,
  y: props.figure.onAxis(amount, props.unit),
});
const limits = computed(() =>
  shown.value.flatMap(({ point }) => {
    const limit = props.figure.limitOf?.(point, props.limits);
    return limit === undefined ? [] : [spot(point.factor, limit)];
  }),
);
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [
    {
      data: shown.value.map(({ point, amount }) => spot(point.factor, amount)),
      borderColor: PAPER,
      borderWidth: 2,
      pointRadius: 4,
      pointHoverRadius: 6,
      pointBorderColor: shown.value.map(({ point }) => (point.faults.length > 0 ? BRICK : PAPER)),
      pointBackgroundColor: shown.value.map(({ point }) => (point.faults.length > 0 ? BRICK : PAPER)),
      pointStyle: shown.value.map(({ point }) => (point.faults.length > 0 ? 'triangle' : 'circle')),
      stepped: props.figure.isCount ? 'middle' : false,
      tension: 0.25,
    },
    { data: limits.value, borderColor: BRICK, borderDash: [3, 4], borderWidth: 1.5, pointRadius: 0 },
  ],
}));
const plain = (value: string | number): string => String(Math.round(Number(value) * 100) / 100);
const options = computed<ChartOptions<'line'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  onClick: (_event, found) => {
    const at = found.find(({ datasetIndex }) => datasetIndex === 0);
    const one = at && shown.value[at.index];
    if (one) emit('adopt', one.point.factor);
  },
  plugins: {
    legend: { display: false },
    tooltip: {
      filter: ({ datasetIndex }) => datasetIndex === 0,
      displayColors: false,
      callbacks: {
        title: ([first]) => (first ? `× ${shown.value[first.dataIndex]?.point.factor.toFixed(2)}` : ''),
        label: ({ dataIndex }) => text(shown.value[dataIndex]?.amount ?? 0),
        afterLabel: ({ dataIndex }) => [...(shown.value[dataIndex]?.point.faults.slice(0, 3) ?? [])],
      },
    },
  },
  scales: {
    x: {
      type: 'linear',
      ticks: { color: SOFT, font: FONT, maxTicksLimit: 6, callback: plain },
      grid: { color: GRID },
    },
    y: {
      beginAtZero: true,
      ticks: { color: SOFT, font: FONT, maxTicksLimit: 4, callback: plain },
      grid: { color: GRID },
    },
  },
}));
/** The factor that is set, as an upright line: read when it is drawn, so that a chart is only updated for it. */
const now: Plugin<'line'> = {
  id: 'now',
  afterDatasetsDraw: ({ ctx, chartArea, scales }) => {
    const x = scales['x']!.getPixelForValue(props.scale);
    if (x < chartArea.left || x > chartArea.right) return;
    ctx.save();
    ctx.strokeStyle = GOLD;
    ctx.lineWidth = 2;
    ctx.beginPath();
    ctx.moveTo(x, chartArea.top);
    ctx.lineTo(x, chartArea.bottom);
    ctx.stroke();
    ctx.restore();
  },
};
const line = useTemplateRef<{ chart: Chart | null }>('line');
watch(
  () => props.scale,
  () => line.value?.chart?.draw(),
);
const words = computed(() => shown.value.map(({ point, amount }) => `at ${point.factor}: ${text(amount)}`).join('; '));
</script>

<template>
  <figure>
    <figcaption>{{ figure.word }}</figcaption>
    <div class="plot">
      <Line
        ref="line"
        :data="data"
        :options="options"
        :plugins="[now]"
        :aria-label="`${figure.word} by factor: ${words}`"
      />
    </div>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
figcaption {
  color: #e6edea;
  font-weight: 600;
  font-size: 14px;
}
.plot {
  flex: 1;
  min-height: 0;
  position: relative;
}
</style>
