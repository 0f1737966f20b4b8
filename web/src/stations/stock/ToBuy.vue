<script setup lang="ts">
import dayjs from 'dayjs';
import { computed, ref, shallowRef, watch } from 'vue';
import type { ToBuy } from '@grain-fold/core/airframe';
import { withEvent, type Board } from '@grain-fold/core/stock';
import { formatPrice, worded } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** What is to be bought so that every piece finds a place; nothing is shown while stock is enough. */
const work = useAirframe();
const told = shallowRef<ToBuy>();
const fault = ref('');
/** Edits that come quickly are looked at together. */
const REST_MS = 600;

watch(
  () => work.airframe,
  (airframe, _before, onCleanup) => {
    if (!airframe) return;
    const timer = setTimeout(() => {
      slowly.toBuy(airframe).then(
        (answer) => {
          if (work.airframe !== airframe) return;
          told.value = answer;
          fault.value = '';
        },
        (error: unknown) => {
          fault.value = error instanceof Error ? error.message : 'What to buy could not be worked out.';
        },
      );
    }, REST_MS);
    onCleanup(() => clearTimeout(timer));
  },
  { immediate: true },
);
const lines = computed(() => told.value?.boards ?? []);
const priceOf = (price: number): string => formatPrice(price, work.airframe?.settings.currency);
function bought(board: Board, count: number): void {
  // What is shown is of before: pressed twice it would be counted twice.
  told.value = undefined;
  work.setBoards(
    `Count ${count} more of ${board.name}`,
    work.airframe!.boards.map((one) =>
      one.id === board.id
        ? withEvent({ ...one, count: one.count + count }, { date: dayjs().format('YYYY-MM-DD'), kind: 'bought', count })
        : one,
    ),
  );
}
</script>

<template>
  <section v-if="lines.length > 0 || (told?.without.length ?? 0) > 0 || fault" aria-label="To buy">
    <h2>
      To buy<template v-if="lines.length > 0"> · {{ priceOf(told!.price) }}</template>
    </h2>
    <p v-if="fault" role="alert">{{ fault }}</p>
    <ul>
      <li v-for="{ board, count, price } in lines" :key="board.id">
        <span class="count figures">{{ count }}</span>
        <span class="name"
          >{{ board.name }}<small>{{ priceOf(price) }} · then every piece has a place</small></span
        >
        <el-button :aria-label="`Bought: count ${count} more of ${board.name}`" @click="bought(board, count)"
          >Bought: count {{ count }} more</el-button
        >
      </li>
      <li v-for="({ name, words }, index) in told?.without ?? []" :key="index">
        <span class="name"
          >{{ name }}<small>{{ worded(words, work.unit) }}</small></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin: 18px 0;
  padding: 14px 16px;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
li {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 6px 0;
}
.count {
  font-size: 28px;
  font-weight: 600;
  min-width: 34px;
}
.name {
  flex: 1;
  font-weight: 500;
}
.name small {
  display: block;
  color: var(--ink-soft);
  font-weight: 400;
}
</style>
