<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import {
  boardNumbers,
  CUT_COLUMNS,
  cutCells,
  sizeWords,
  type CutCells,
  type CutLine,
  type CutPart,
} from '@grain-fold/core/cutting';
import type { OperationKind } from '@grain-fold/core/operations';
import { formatLengthWithUnit, worded, type LengthUnit } from '@grain-fold/core/units';
import { useNear } from '../../composables/near.ts';
import StrokeSample from '../../pictures/StrokeSample.vue';
import PartPicture from './PartPicture.vue';

/** One part of the cut list: its picture and every line of work on it where it lies, drawn when it comes near. */
const props = defineProps<{ cut: CutPart; unit: LengthUnit }>();
const isNear = useNear(useTemplateRef<HTMLElement>('row'));
/** A line of work is about this tall, so that the page keeps its length when a part is drawn. */
const LINE_PX = 44;
const rows = computed(() =>
  props.cut.lines.map((line, index) => ({ key: index, line, cells: cutCells(line, props.unit) })),
);
/** Least widths of the columns in px; what is told in words may grow. */
const WIDTHS: Readonly<Record<keyof CutCells, number>> = {
  work: 150,
  where: 190,
  long: 82,
  wide: 74,
  deep: 92,
  blades: 128,
};
const COLUMNS = Object.entries(CUT_COLUMNS) as readonly (readonly [keyof CutCells, string])[];
const GROWING: readonly (keyof CutCells)[] = ['work', 'where'];
const kindOf = ({ kind }: CutLine): OperationKind => (kind === 'outline' || kind === 'hole' ? 'through' : kind);
</script>

<template>
  <article ref="row" class="cut">
    <div class="picture"><PartPicture v-if="isNear" :part="cut.part" /></div>
    <div class="text">
      <h3>
        {{ cut.part.name }}<span v-if="cut.part.side !== 'single'"> · {{ cut.part.side }}</span>
        <b class="figures off">{{ cut.quantity }} off</b>
      </h3>
      <p class="under figures">
        <b>{{ sizeWords(cut, unit) }}</b> · {{ formatLengthWithUnit(cut.part.thicknessMm, unit) }} {{ cut.part.material
        }}{{ cut.boards.length > 0 ? ` · board ${boardNumbers(cut.boards)}` : '' }}
      </p>
      <p v-if="cut.folds.length > 1" class="order">
        <span>Fold</span>
        <template v-for="(name, index) in cut.folds" :key="index"
          ><b class="figures">{{ index + 1 }}</b> {{ name }}
        </template>
      </p>
      <ul v-if="cut.joins.length > 0" class="joins" aria-label="Joined to">
        <li v-for="words in cut.joins" :key="words">{{ worded(words, unit) }}</li>
      </ul>
    </div>
    <el-table v-if="isNear" class="works" :data="rows" row-key="key">
      <el-table-column width="58" label="" class-name="sample">
        <template #default="{ row }"
          ><StrokeSample :kind="kindOf(row.line)" :is-back="row.line.face === 'back'"
        /></template>
      </el-table-column>
      <el-table-column
        v-for="[column, title] in COLUMNS"
        :key="column"
        :label="title"
        :width="GROWING.includes(column) ? undefined : WIDTHS[column]"
        :min-width="WIDTHS[column]"
        :class-name="column === 'work' ? '' : `figures ${column}`"
      >
        <template #default="{ row }">{{ row.cells[column] }}</template>
      </el-table-column>
    </el-table>
    <div v-else class="works" :style="{ height: `${(cut.lines.length + 1) * LINE_PX}px` }" />
  </article>
</template>

<style scoped>
.cut {
  display: grid;
  grid-template-columns: 240px 1fr;
  gap: 6px 28px;
  border-top: 1px solid var(--ticket-line);
  padding: 16px 0 20px;
}
.text {
  min-width: 0;
}
h3 {
  font-size: 17px;
  font-weight: 600;
  display: flex;
  align-items: baseline;
  gap: 6px;
}
h3 span {
  font-weight: 500;
  color: var(--ink-soft);
}
.off {
  margin-left: auto;
  font-size: 19px;
}
.under {
  color: var(--ink-soft);
  font-size: 16px;
  font-weight: 500;
}
.under b {
  color: var(--ink);
  font-size: 18px;
}
.works {
  grid-column: 1 / -1;
  margin-top: 4px;
  font-size: 15px;
}
.works :deep(.cell) {
  word-break: normal;
}
.works :deep(.sample .cell) {
  padding: 0;
  text-overflow: clip;
}
.works :deep(.figures .cell) {
  font-size: 15.5px;
  font-weight: 500;
}
.works :deep(.long .cell) {
  font-weight: 600;
  white-space: nowrap;
}
.order,
.joins {
  font-size: 15px;
  margin-top: 6px;
}
.joins {
  list-style: none;
  padding: 0;
}
.order span {
  color: var(--ink-soft);
}
.order b {
  color: var(--marigold-deep);
  margin-left: 8px;
}
@media (max-width: 1080px) {
  .cut {
    grid-template-columns: 150px 1fr;
    gap: 6px 18px;
  }
}
</style>
