<script setup lang="ts">
import { shallowRef, watch } from 'vue';
import { keptOffcut, type BoardView } from '@grain-fold/core/airframe';
import type { Polygon } from '@grain-fold/core/geometry';
import { formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** The largest rectangle that a nest leaves of a board, and how it comes into stock. */
const props = defineProps<{ view: BoardView; isOneOfSeveral: boolean; canKeep: boolean }>();
const work = useAirframe();

/** All that is left of the board around it, worked out in a worker; undefined until then, and where there is no more. */
const whole = shallowRef<Polygon>();
watch(
  () => [props.view, props.canKeep] as const,
  async ([view, canKeep]) => {
    whole.value = undefined;
    const { airframe } = work;
    if (!airframe || !canKeep) return;
    const rest = await slowly.wholeRest(airframe, view.number - 1).catch(() => undefined);
    if (props.view === view && work.airframe === airframe) whole.value = rest;
  },
  { immediate: true },
);
const restWords = ({ rest }: BoardView): string =>
  `${formatLength(rest.maxX - rest.minX, work.unit, 0)} × ${formatLengthWithUnit(rest.maxY - rest.minY, work.unit, 0)}`;
/** Puts the rest in stock, to be counted when its board is cut; the nest stays. */
function keep(corners?: Polygon): void {
  const offcut = keptOffcut(work.airframe!, props.view, work.freshId('b'), corners);
  if (!offcut) return;
  work.setBoards(`Keep ${offcut.name}`, [...work.airframe!.boards, offcut]);
  work.message = `${offcut.name} is in Stock with none counted: count it there when the board is cut.`;
}
</script>

<template>
  <div class="row">
    <span
      >Largest rest<small v-if="isOneOfSeveral">, board {{ view.number }}</small></span
    ><span class="value">{{ restWords(view) }}</span>
  </div>
  <div v-if="canKeep" class="keep">
    <el-button size="small" @click="keep()">Keep it as an offcut</el-button>
    <el-button v-if="whole" size="small" @click="keep(whole)">Keep all around it too</el-button>
  </div>
</template>

<style scoped>
.row .value {
  min-width: 44px;
  text-align: right;
}
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
}
.keep .el-button {
  margin: 0;
}
</style>
