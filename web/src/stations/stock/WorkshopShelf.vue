<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { WorkshopBoards } from '@grain-fold/contract';
import { boardCorners } from '@grain-fold/core/stock';
import { countOf, formatLengthWithUnit, sizeText, worded } from '@grain-fold/core/units';
import { stockApi } from '../../api/stock.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** What lies with the other airframes of the workshop: offcuts and boards that this one can take over. */
const work = useAirframe();
const boards = shallowRef<readonly WorkshopBoards[]>([]);
const message = ref('');
const isBusy = ref(false);

const rows = computed(() =>
  boards.value
    .filter(({ airframeId, board, reserved }) => airframeId !== work.airframe?.id && board.count > reserved)
    // Offcuts first: they cost nothing and are to be used up.
    .sort((a, b) => Number(b.board.price === 0) - Number(a.board.price === 0)),
);
const outlineOf = ({ board }: WorkshopBoards): string =>
  boardCorners(board)
    .map(({ x, y }) => `${x},${-y}`)
    .join(' ');
const sizeOf = ({ board }: WorkshopBoards): string =>
  `${worded(sizeText(board.widthMm, board.heightMm, 0), work.unit)} · ${formatLengthWithUnit(board.thicknessMm, work.unit)} thick`;
const freeOf = ({ board, reserved }: WorkshopBoards): number => board.count - reserved;

const told = (error: unknown): void => {
  message.value = error instanceof Error ? error.message : 'That failed without a reason.';
};
async function look(): Promise<void> {
  try {
    boards.value = await stockApi.all();
  } catch (error) {
    told(error);
  }
}
/** Takes one board over. What was edited is saved first, and undo begins anew: taking it back there would lose it for both. */
async function take({ airframeId, airframe, board }: WorkshopBoards): Promise<void> {
  const own = work.airframe;
  if (!own || isBusy.value) return;
  isBusy.value = true;
  message.value = '';
  try {
    await work.flush();
    const saved = work.airframe;
    const opened = await stockApi.hand({ from: airframeId, to: own.id, boardId: board.id, count: 1 });
    // What was edited while the server answered is put on top of what it says.
    if (work.airframe === saved) work.adopt(opened);
    else if (work.airframe?.id === own.id) await work.settle('both');
    message.value = `${board.name} of ${airframe} lies with ${own.name} now.`;
  } catch (error) {
    told(error);
  } finally {
    isBusy.value = false;
    await look();
  }
}
onMounted(look);
</script>

<template>
  <section v-if="rows.length > 0 || message" aria-label="With other airframes">
    <div class="head">
      <h2>With your other airframes</h2>
      <span>What they do not need for their nests can be taken over; offcuts come first.</span>
    </div>
    <p v-if="message" class="message" role="status">{{ message }}</p>
    <ul>
      <li v-for="row in rows" :key="`${row.airframeId} ${row.board.id}`">
        <svg
          :viewBox="`-10 ${-row.board.heightMm - 10} ${row.board.widthMm + 20} ${row.board.heightMm + 20}`"
          aria-hidden="true"
        >
          <polygon
            :points="outlineOf(row)"
            fill="#e9dfc6"
            stroke="var(--ink)"
            stroke-width="1.5"
            vector-effect="non-scaling-stroke"
          />
        </svg>
        <p>
          <b>{{ row.board.name }}</b><br />
          <span class="figures">{{ sizeOf(row) }}</span><br />
          <small
            >{{ countOf(freeOf(row), 'board') }} free with {{ row.airframe
            }}<template v-if="row.reserved > 0">, {{ row.reserved }} more for its nest</template></small
          >
        </p>
        <el-button
          size="small"
          :disabled="isBusy"
          :aria-label="`Take one ${row.board.name} from ${row.airframe}`"
          @click="take(row)"
          >Take one</el-button
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 34px;
}
.head {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
}
.head span,
small {
  color: var(--ink-soft);
}
.message {
  margin-top: 10px;
  font-weight: 500;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 0 28px;
}
li {
  display: grid;
  grid-template-columns: 84px 1fr auto;
  align-items: center;
  gap: 12px;
  padding: 10px 0;
  border-bottom: 1px solid var(--ticket-line);
}
svg {
  width: 84px;
  height: 60px;
}
</style>
