<script setup lang="ts">
import dayjs from 'dayjs';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  cutBoard,
  pieceName,
  scrapped,
  type AirframeNest,
  type BoardView,
  type PlacedPiece,
} from '@grain-fold/core/airframe';
import { boundsHeight, boundsOf, boundsWidth, type Polygon } from '@grain-fold/core/geometry';
import { countOf, formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';
import { listed } from '../../stores/airframe/version-label.ts';

/** The boards at the cutting table: one that is cut leaves stock, and its rests come in. */
const props = defineProps<{ views: readonly BoardView[]; /** Only what is cut already stands. */ isOld: boolean }>();
const work = useAirframe();

/** Rests narrower than this are thrown away, in mm. */
const leastMm = ref(work.unit === 'in' ? 3 * 25.4 : 80);
const outcome = ref('');
const sizeOf = (corners: Polygon): string => {
  const box = boundsOf(corners);
  return `${formatLength(boundsWidth(box), work.unit, 0)} × ${formatLengthWithUnit(boundsHeight(box), work.unit, 0)}`;
};
/** The rests of each board, worked out in a worker; those of an older nest are none. */
const told = shallowRef<{ readonly nest: AirframeNest | undefined; readonly rests: readonly (readonly Polygon[])[] }>();
watch(
  [() => work.airframe, leastMm, () => props.isOld] as const,
  async ([airframe, least, isOld]) => {
    const rests = !isOld && airframe?.nest && (await slowly.rests(airframe, least).catch(() => undefined));
    if (rests && work.airframe === airframe && leastMm.value === least) told.value = { nest: airframe.nest, rests };
  },
  { immediate: true },
);
const rows = computed(() =>
  props.views.flatMap((view) => {
    if (props.isOld && !view.isCut) return [];
    const rests = told.value?.nest === work.airframe?.nest ? told.value?.rests[view.number - 1] : undefined;
    const changed = view.pieces.flatMap(({ piece, placed, isChanged }) =>
      isChanged && !placed.isScrap ? [{ placed, name: pieceName(piece) }] : [],
    );
    return [{ view, rests, sizes: (rests ?? []).map(sizeOf), changed }];
  }),
);
/** A piece of a cut board whose part is another now. */
interface ChangedPiece {
  readonly placed: PlacedPiece;
  readonly name: string;
}
const namesOf = (pieces: readonly ChangedPiece[]): readonly string[] => [...new Set(pieces.map(({ name }) => name))];
const changedWords = (pieces: readonly ChangedPiece[]): string =>
  pieces.length > 0 ? ` Changed since: ${listed(namesOf(pieces))}.` : '';
/** Changed pieces are nested again as they are now. */
function cutAnew({ number }: BoardView, pieces: readonly ChangedPiece[]): void {
  const spoilt = pieces.map(({ placed }) => placed);
  work.setNest(`Cut anew ${listed(namesOf(pieces))}`, scrapped(work.airframe!.nest!, spoilt, true));
  outcome.value = `${countOf(pieces.length, 'piece')} of board ${number} will be cut anew: nest again.`;
}
function cut(view: BoardView, rests: readonly Polygon[]): void {
  const after = cutBoard(work.airframe!, view.number - 1, rests, () => work.freshId('b'), dayjs().format('YYYY-MM-DD'));
  if (!after) {
    outcome.value = `Board ${view.number} cannot be marked: ${view.board.name} counts none in stock.`;
    return;
  }
  work.commitMade(`Cut board ${view.number}`, after.airframe);
  outcome.value =
    after.rests.length > 0
      ? `Board ${view.number} has left stock; ${countOf(after.rests.length, 'rest')} came in.`
      : `Board ${view.number} has left stock; nothing of it was worth keeping.`;
}
</script>

<template>
  <section v-if="rows.length > 0" aria-label="At the cutting table">
    <h2 class="eyebrow">At the cutting table</h2>
    <div v-for="{ view, rests, sizes, changed } in rows" :key="view.number" class="cutting">
      <p>
        <b>Board {{ view.number }}</b>
        <template v-if="view.isCut"> is cut.{{ changedWords(changed) }}</template>
        <template v-else-if="!rests"> is measured …</template>
        <template v-else-if="sizes.length > 0"> leaves {{ listed(sizes) }}.</template>
        <template v-else> leaves nothing worth keeping.</template>
      </p>
      <el-button
        v-if="!view.isCut"
        size="small"
        :aria-label="`Mark as cut: board ${view.number}`"
        :disabled="!rests"
        @click="rests && cut(view, rests)"
        >Mark as cut</el-button
      >
      <el-button
        v-else-if="changed.length > 0"
        size="small"
        :aria-label="`Cut anew: what has changed of board ${view.number}`"
        @click="cutAnew(view, changed)"
        >Cut anew</el-button
      >
    </div>
    <p v-if="outcome" class="outcome" role="status">{{ outcome }}</p>
    <MeasureField
      v-if="!isOld"
      label="Keep rests from"
      :unit="work.unit"
      :model-value="leastMm"
      :least="20"
      :most="1000"
      @update:model-value="leastMm = $event"
    />
  </section>
</template>

<style scoped>
.cutting {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--ticket-line);
}
.cutting .el-button {
  flex-shrink: 0;
}
.outcome {
  margin-top: 8px;
  font-weight: 500;
}
</style>
