<script setup lang="ts">
import { useTemplateRef } from 'vue';
import type { CutPart, CutWork } from '@grain-fold/core/cutting';
import { traitsOf, type OperationKind } from '@grain-fold/core/operations';
import { formatAngle, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import { useNear } from '../../composables/near.ts';
import StrokeSample from '../../pictures/StrokeSample.vue';
import PartPicture from './PartPicture.vue';

/** One part of the cut list: its picture and every line of work on it, drawn when it comes near. */
const props = defineProps<{ cut: CutPart; unit: LengthUnit }>();
const isNear = useNear(useTemplateRef<HTMLElement>('row'));
/** A line of work is about this tall, so that the page keeps its length when a part is drawn. */
const WORK_PX = 37;
const kindOf = ({ kind }: CutWork): OperationKind => (kind === 'outline' || kind === 'holes' ? 'through' : kind);
function angleWords(work: CutWork): string {
  if (work.angleDegrees === undefined) return '';
  return traitsOf(kindOf(work)).cutting.angleWords?.(work.angleDegrees) ?? formatAngle(work.angleDegrees);
}
function sizeWords({ depthMm, widthMm }: CutWork): string {
  if (depthMm !== undefined) return `${formatLengthWithUnit(depthMm, props.unit)} deep`;
  return widthMm === undefined ? '' : `${formatLengthWithUnit(widthMm, props.unit)} wide`;
}
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
        {{ formatLengthWithUnit(cut.part.thicknessMm, unit) }} {{ cut.part.material
        }}{{ cut.boards.length > 0 ? ` · board ${cut.boards.join(', ')}` : '' }}
      </p>
      <el-table v-if="isNear" :data="cut.works" :show-header="false" row-key="words">
        <el-table-column width="62">
          <template #default="{ row }"><StrokeSample :kind="kindOf(row)" :is-back="row.face === 'back'" /></template>
        </el-table-column>
        <el-table-column min-width="100">
          <template #default="{ row }"
            >{{ row.words }}<span v-if="row.count > 1" class="soft"> · {{ row.count }} lines</span
            ><span v-if="row.glueMl !== undefined" class="soft"> · glue {{ row.glueMl.toFixed(1) }} ml</span></template
          >
        </el-table-column>
        <el-table-column width="96">
          <template #default="{ row }">{{ row.face === 'through' ? 'right through' : `on the ${row.face}` }}</template>
        </el-table-column>
        <el-table-column width="82" class-name="figures">
          <template #default="{ row }">{{ angleWords(row) }}</template>
        </el-table-column>
        <el-table-column width="74" class-name="figures">
          <template #default="{ row }">{{
            row.bladeDegrees === undefined ? '' : `blade ${formatAngle(row.bladeDegrees)}`
          }}</template>
        </el-table-column>
        <el-table-column width="82" class-name="figures">
          <template #default="{ row }">{{ sizeWords(row) }}</template>
        </el-table-column>
        <el-table-column width="80" align="right" class-name="figures length">
          <template #default="{ row }">{{ formatLengthWithUnit(row.lengthMm, unit) }}</template>
        </el-table-column>
      </el-table>
      <div v-else :style="{ height: `${cut.works.length * WORK_PX}px` }" />
      <p v-if="cut.folds.length > 1" class="order">
        <span>Fold</span>
        <template v-for="(name, index) in cut.folds" :key="index"
          ><b class="figures">{{ index + 1 }}</b> {{ name }}
        </template>
      </p>
    </div>
  </article>
</template>

<style scoped>
.cut {
  display: flex;
  gap: 28px;
  border-top: 1px solid var(--ticket-line);
  padding: 16px 0;
}
.picture {
  width: 220px;
  flex: none;
  align-self: flex-start;
}
.text {
  flex: 1;
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
  font-size: 15px;
  font-weight: 500;
}
.el-table {
  margin-top: 4px;
  font-size: 15px;
}
.el-table :deep(.figures .cell) {
  font-size: 16px;
  font-weight: 500;
  white-space: nowrap;
}
.el-table :deep(.length .cell) {
  font-weight: 600;
  padding-right: 0;
}
.order {
  font-size: 15px;
  margin-top: 6px;
}
.order span {
  color: var(--ink-soft);
}
.order b {
  color: var(--marigold-deep);
  margin-left: 8px;
}
.soft {
  color: var(--ink-soft);
}
@media (max-width: 1080px) {
  .cut {
    gap: 18px;
  }
  .picture {
    width: 130px;
  }
}
</style>
