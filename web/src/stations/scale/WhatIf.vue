<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ScaleFigures } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import InTurn from '../../kit/InTurn.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { CURVE_GROUPS, type CurveLimits } from './curve-figures.ts';
import ScaleCurve from './ScaleCurve.vue';

/** What the airframe would come to at other factors: curves, the faults that would come, and each point to be taken. */
const props = defineProps<{ points: readonly ScaleFigures[]; scale: number; isMore: boolean }>();
const emit = defineEmits<{ adopt: [factor: number] }>();
const work = useAirframe();

const group = ref('Stock');
/** Groups of which there is something to show: what the plan tells needs one. */
const groups = computed(() =>
  Object.entries(CURVE_GROUPS)
    .map(([name, figures]) => ({
      name,
      figures: figures.filter(({ amountOf }) => props.points.some((point) => amountOf(point) !== undefined)),
    }))
    .filter(({ figures }) => figures.length > 0),
);
const shown = computed(() => groups.value.find(({ name }) => name === group.value) ?? groups.value[0]);
const limits = computed((): CurveLimits => {
  const boards = work.airframe?.boards.filter(({ count }) => count > 0) ?? [];
  return {
    boards: boards.reduce((sum, { count }) => sum + count, 0),
    longestBoardMm: Math.max(0, ...boards.map(({ widthMm, heightMm }) => Math.max(widthMm, heightMm))),
  };
});
const isNow = ({ factor }: ScaleFigures): boolean => Math.abs(factor - props.scale) < 5e-4;
const looked = ref<number>();
const told = computed(() => props.points.find(({ factor }) => factor === looked.value));
</script>

<template>
  <section class="what-if" aria-label="What if">
    <div class="top">
      <ChoiceRow
        v-if="groups.length > 1"
        label="Curves of"
        hide-label
        :model-value="shown?.name ?? ''"
        :choices="groups.map(({ name }) => [name, name] as const)"
        @update:model-value="group = $event"
      />
      <div class="factors" role="group" aria-label="Take a factor">
        <el-button
          v-for="point in points"
          :key="point.factor"
          size="small"
          :class="{ now: isNow(point), faulty: point.faults.length > 0 }"
          :aria-pressed="isNow(point)"
          @click="emit('adopt', point.factor)"
          @mouseenter="looked = point.factor"
          @focus="looked = point.factor"
          @mouseleave="looked = undefined"
          @blur="looked = undefined"
          ><span class="visually-hidden">Take </span>× {{ point.factor.toFixed(1)
          }}<template v-if="point.faults.length > 0"
            ><span class="mark" aria-hidden="true">▲ {{ point.faults.length }}</span
            ><span class="visually-hidden">, {{ countOf(point.faults.length, 'fault') }}</span></template
          ></el-button
        >
        <span v-if="isMore" class="more">figuring more …</span>
      </div>
    </div>
    <div class="curves">
      <InTurn v-for="figure in shown?.figures ?? []" :key="figure.key">
        <ScaleCurve
          :figure="figure"
          :points="points"
          :scale="scale"
          :unit="work.unit"
          :limits="limits"
          @adopt="emit('adopt', $event)"
        />
      </InTurn>
    </div>
    <p class="told" role="status">
      <template v-if="told && told.faults.length > 0"
        >At × {{ told.factor.toFixed(2) }}: {{ told.faults.slice(0, 2).join('; ')
        }}{{ told.faults.length > 2 ? `; and ${told.faults.length - 2} more` : '' }}</template
      >
      <template v-else
        >Dashed: what may not be passed. A triangle: faults that would come. Click a point to take it.</template
      >
    </p>
  </section>
</template>

<style scoped>
.what-if {
  height: 232px;
  flex: none;
  background: #1b333b;
  padding: 8px 16px 6px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: #cfdcdb;
}
.top {
  display: flex;
  align-items: center;
  gap: 12px;
}
.top > :first-child {
  flex: none;
}
.top :deep(.el-segmented__item:not(.is-selected)) {
  color: #cfdcdb;
}
.factors {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}
.factors .el-button {
  margin: 0;
  padding: 4px 4px;
  background: transparent;
  color: #e6edea;
  border-color: #4a6e78;
}
.factors .now {
  border-color: #e7a545;
  color: #ffc878;
}
.mark {
  margin-left: 5px;
  color: #ff9b84;
}
.curves {
  flex: 1;
  min-height: 0;
  display: flex;
  gap: 14px;
}
.told {
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
