<script setup lang="ts">
import { computed } from 'vue';
import {
  boardsAtLeast,
  gapBetweenParts,
  largestRestOf,
  lyingApart,
  pieceName,
  piecesOnBoards,
  type AirframeNest,
  type BoardView,
  type NestScope,
} from '@grain-fold/core/airframe';
import { boardAreaMm2 } from '@grain-fold/core/stock';
import { countOf, formatLengthWithUnit, formatPrice } from '@grain-fold/core/units';
import InTurn from '../../kit/InTurn.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import CutBoards from './CutBoards.vue';
import CutWithOthers from './CutWithOthers.vue';
import LargestRest from './LargestRest.vue';
import NestCourse from './NestCourse.vue';
import NestDistances from './NestDistances.vue';
import NestsFound from './NestsFound.vue';
import NestTogether from './NestTogether.vue';
import type { SearchOrder } from './searches.ts';
import WhatHolds from './WhatHolds.vue';
import type { Nesting } from './use-nesting.ts';

const props = defineProps<{ views: readonly BoardView[]; nesting: Nesting; isOld: boolean; order: SearchOrder }>();
const emit = defineEmits<{ nest: [scope?: NestScope]; 'update:order': [value: SearchOrder] }>();
const work = useAirframe();

const settings = computed(() => work.airframe!.settings.nest);
const nest = computed(() => props.nesting.best.value ?? work.airframe?.nest);
const atLeast = computed(() => boardsAtLeast(work.airframe!));
/** What came to nothing is not there. */
const placed = computed(
  () => props.views.flatMap(({ pieces }) => pieces).filter(({ placed: one }) => !one.isScrap).length,
);
const cost = computed(() => props.views.reduce((sum, { board }) => sum + board.price, 0));
const yieldOfAll = computed(() => {
  const area = ({ board }: BoardView): number => boardAreaMm2(board);
  const total = props.views.reduce((sum, view) => sum + area(view), 0);
  return total > 0 ? props.views.reduce((sum, view) => sum + view.yield * area(view), 0) / total : 0;
});
const largest = computed(() => largestRestOf(props.views.filter(({ isCut }) => !isCut)));
const priceWords = (price: number): string => formatPrice(price, work.airframe?.settings.currency);
const lay = (other: AirframeNest): void => {
  props.nesting.outcome.value = '';
  work.setNest(`Lay the nest of ${countOf(other.boards.length, 'board')}`, other);
};
const pieces = computed(() => piecesOnBoards(work.airframe!));
const unplaced = computed(() =>
  (nest.value?.unplaced ?? [])
    .filter(({ quantity }) => quantity > 0)
    .map(({ pieceId, quantity }) => {
      const piece = pieces.value.find(({ id }) => id === pieceId);
      const hasBoards = work.airframe!.boards.some(
        (board) => board.material === piece?.part.material && board.count > 0,
      );
      const isKeptToClean = settings.value.onCleanBoards?.includes(piece?.part.id ?? '') === true;
      return {
        isKeptToClean,
        pieceId,
        quantity,
        name: piece?.part.name ?? pieceId,
        material: piece?.part.material ?? '',
        hasBoards,
      };
    }),
);
/** Pairs that are to lie side by side and do not, in words. */
const apart = computed(() => {
  if (props.nesting.isRunning.value || props.isOld) return [];
  return lyingApart(work.airframe!, props.views).map(({ first, second, count }) =>
    first === second
      ? `Two of ${pieceName(first)} lie apart${count > 1 ? `, ${count} times` : ''}.`
      : `${pieceName(first)} and ${pieceName(second)} lie apart${count > 1 ? `, ${count} times` : ''}.`,
  );
});
const held = computed(() => {
  const kept = settings.value.onCleanBoards ?? [],
    onClean = new Set(pieces.value.map(({ part }) => part.id).filter((id) => kept.includes(id)));
  // A pair whose piece is gone is none.
  const ids = new Set(pieces.value.map(({ id }) => id)),
    pairs = (settings.value.sideBySide ?? []).filter(({ first, second }) => ids.has(first) && ids.has(second));
  const parts = work.airframe!.parts;
  return [
    { word: 'Held to the grain', count: parts.filter(({ grain }) => grain.rule !== 'any').length, unit: 'part' },
    { word: 'Port and starboard', count: parts.filter(({ handed }) => handed === 'pair').length, unit: 'handed pair' },
    ...(pairs.length > 0 ? [{ word: 'Cut side by side', count: pairs.length, unit: 'pair' }] : []),
    ...(onClean.size > 0 ? [{ word: 'Kept to clean boards', count: onClean.size, unit: 'part' }] : []),
    { word: 'May turn freely', count: parts.filter(({ grain }) => grain.rule === 'any').length, unit: 'part' },
  ];
});
</script>

<template>
  <aside class="slip" aria-label="Boards">
    <div class="slip-head">
      <h1>{{ countOf(views.length, 'board') }}{{ views.length > 0 ? ` · ${Math.round(yieldOfAll * 100)} %` : '' }}</h1>
      <p>
        {{ countOf(placed, 'piece') }} placed · {{ formatLengthWithUnit(gapBetweenParts(settings), work.unit) }} apart
      </p>
    </div>
    <slot />
    <div v-if="isOld && views.length > 0 && !nesting.isRunning.value" class="note" role="status">
      <h3>This nest is older than the parts</h3>
      <p>Parts, boards or distances have changed since. Nest again before you cut.</p>
      <el-button type="primary" size="small" @click="$emit('nest')">Nest again</el-button>
    </div>
    <p v-if="nesting.fault.value" class="warn" role="alert">{{ nesting.fault.value }}</p>
    <p v-if="nesting.outcome.value" class="outcome" role="status">{{ nesting.outcome.value }}</p>
    <section v-if="nesting.progress.value">
      <h2 class="eyebrow">{{ nesting.isRunning.value ? 'Best so far' : 'Last search' }}</h2>
      <p class="big figures" aria-live="polite">
        {{ nesting.progress.value.score.effectiveBoards.toFixed(2) }}
        <small>boards, less what is left of the last in one piece</small>
      </p>
      <p class="hint">
        By area alone it cannot be under {{ atLeast.byArea.toFixed(2)
        }}<template v-if="atLeast.byLongParts > atLeast.byArea"
          >; the long parts alone need {{ countOf(atLeast.byLongParts, 'board') }}</template
        >.
      </p>
      <NestCourse
        v-if="nesting.course.value.length > 0"
        :course="nesting.course.value"
        :seconds="nesting.seconds.value"
      />
    </section>
    <div v-for="one in unplaced" :key="one.pieceId" class="warn">
      <b>{{ one.quantity }} {{ one.name }} found no place.</b>
      {{
        one.hasBoards
          ? `Count more ${one.isKeptToClean ? 'clean ' : ''}boards of ${one.material} on Stock, or let the part ${one.isKeptToClean ? 'lie on any board' : 'turn'}.`
          : `There is no board of ${one.material} in stock.`
      }}
    </div>
    <div v-for="words in apart" :key="words" class="warn">
      <b>{{ words }}</b> They are to be cut side by side: nest again, or lay them so by hand. Where no board has room
      for both, they stay apart.
    </div>
    <InTurn>
      <section v-if="views.length > 0">
        <h2 class="eyebrow">Yield</h2>
        <div v-for="view in views" :key="view.number" class="row">
          <span class="board">Board {{ view.number }}</span>
          <span class="bar" role="img" :aria-label="`${Math.round(view.yield * 100)} % used`"
            ><span
              :style="{ width: `${view.yield * 100}%`, background: view.yield >= 0.6 ? '#5c7f3c' : 'var(--marigold)' }"
          /></span>
          <span class="value">{{ Math.round(view.yield * 100) }} %</span>
        </div>
        <div class="row">
          <span>Boards cost</span><span class="value">{{ priceWords(cost) }}</span>
        </div>
        <LargestRest
          v-if="largest"
          :view="largest"
          :is-one-of-several="views.length > 1"
          :can-keep="!isOld && !nesting.isRunning.value"
        />
      </section>
    </InTurn>
    <InTurn v-if="!nesting.isRunning.value"><NestsFound @lay="lay" /></InTurn>
    <InTurn v-if="views.length > 0 && !isOld && !nesting.isRunning.value"><WhatHolds /></InTurn>
    <InTurn v-if="views.length > 0 && !nesting.isRunning.value"><CutBoards :views="views" :is-old="isOld" /></InTurn>
    <InTurn
      ><NestDistances
        :order="order"
        :is-laid="views.length > 0 && !nesting.isRunning.value"
        @update:order="emit('update:order', $event)"
        @another="emit('nest', { isAnother: true })"
    /></InTurn>
    <InTurn><NestTogether :is-running="nesting.isRunning.value" /></InTurn>
    <InTurn><CutWithOthers :is-running="nesting.isRunning.value" /></InTurn>
    <InTurn>
      <section>
        <h2 class="eyebrow">Held by</h2>
        <div v-for="one in held" :key="one.word" class="row">
          <span>{{ one.word }}</span><span class="value"
            >{{ one.count }} <small>{{ one.unit }}{{ one.count === 1 ? '' : 's' }}</small></span
          >
        </div>
      </section>
    </InTurn>
  </aside>
</template>

<style scoped>
.big {
  font-size: 38px;
  font-weight: 600;
  line-height: 1.1;
  margin-top: 4px;
}
.big small {
  display: block;
  margin-top: 2px;
  line-height: 1.3;
  font-size: 14px;
  font-weight: 500;
  color: var(--ink-soft);
}
.bar {
  flex: 1;
  height: 12px;
  background: #e8dec4;
}
.bar span {
  display: block;
  height: 100%;
}
.board {
  width: 62px;
}
.row .value {
  min-width: 44px;
  text-align: right;
}
.outcome {
  margin-top: 12px;
  font-weight: 500;
}
.hint {
  color: var(--ink-soft);
  margin-top: 4px;
}
.note {
  margin-top: 14px;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 10px 12px 12px;
}
.note h3 {
  font-size: 14.5px;
  font-weight: 600;
}
.note p {
  margin: 3px 0 8px;
}
.warn {
  margin-top: 12px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
