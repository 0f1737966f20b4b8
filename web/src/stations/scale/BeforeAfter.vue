<script setup lang="ts">
import { computed } from 'vue';
import type { ScaleFigures } from '@grain-fold/core/airframe';
import { formatLengthWithUnit, formatBareMass } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { planRows } from './plan-rows.ts';

/** The figures of the airframe as it is drawn, and as it is at its factor. */
const props = defineProps<{ drawn: ScaleFigures | undefined; scale: number }>();
const work = useAirframe();
const figures = useFigures();

const rows = computed(() => {
  const now = figures.quick,
    slow = figures.slow,
    drawn = props.drawn;
  const old = figures.isSlowOld ? '~' : '';
  return [
    {
      word: 'Longest part',
      before: formatLengthWithUnit(drawn?.longestMm ?? 0, work.unit),
      after: formatLengthWithUnit(now?.longestMm ?? 0, work.unit),
      known: drawn,
    },
    {
      word: 'Foam',
      before: formatBareMass(drawn?.foamG ?? 0, work.unit),
      after: formatBareMass(now?.foamG ?? 0, work.unit),
      known: drawn,
    },
    { word: 'Pages', before: String(drawn?.pages), after: old + String(slow?.pages ?? '–'), known: drawn },
    { word: 'Boards', before: String(drawn?.boards), after: old + String(slow?.boards ?? '–'), known: drawn },
    {
      word: 'Boards cost',
      before: drawn?.boardCost.toFixed(2),
      after: old + (slow?.boardCost.toFixed(2) ?? '–'),
      known: drawn,
    },
    ...(work.airframe ? planRows(work.airframe) : []).map((row) => ({ ...row, known: true })),
  ];
});
</script>

<template>
  <el-table class="figures" :data="rows">
    <el-table-column prop="word" label="" class-name="word" min-width="92" />
    <el-table-column label="as drawn" align="right">
      <template #default="{ row }">{{ row.known ? row.before : '…' }}</template>
    </el-table-column>
    <el-table-column :label="`at × ${scale.toFixed(2)}`" align="right" class-name="now" prop="after" />
  </el-table>
</template>

<style scoped>
.el-table :deep(.word) {
  font-family: var(--font);
}
.el-table :deep(td .cell) {
  font-size: 16px;
  white-space: nowrap;
  padding: 0 2px;
}
.el-table :deep(td.word .cell) {
  font-size: 14px;
}
.el-table :deep(td.now .cell) {
  font-weight: 600;
}
</style>
