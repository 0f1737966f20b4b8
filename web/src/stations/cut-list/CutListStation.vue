<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { CUT_COLUMN_NOTES, cutTotals, placedWords, type CutList, type CutTotals } from '@grain-fold/core/cutting';
import { titleOf } from '@grain-fold/core/airframe';
import { stateWords } from '@grain-fold/core/ink';
import { countOf, formatRunLength } from '@grain-fold/core/units';
import DownloadButton from '../../kit/DownloadButton.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { slowly } from '../../workers/index.ts';
import CutPartRow from './CutPartRow.vue';
import LinkButton from '../../kit/LinkButton.vue';

const work = useAirframe();
const figures = useFigures();
/** Worked out in a worker: the order of folds takes trying. What is shown stays until the next is there. */
const told = shallowRef<CutList>();
const list = computed<CutList>(() => told.value ?? { parts: [], boards: [], totals: cutTotals([]), unplaced: [] });
watch(
  () => work.airframe,
  async (airframe) => {
    const next = airframe && (await slowly.cutList(airframe));
    if (work.airframe === airframe) told.value = next;
  },
  { immediate: true },
);
const length = (mm: number): string => formatRunLength(mm, work.unit);
const totals = computed(() =>
  [
    { word: 'Cut through', figure: length(list.value.totals.throughMm) },
    { word: 'Mitre grooves', figure: length(list.value.totals.grooveMm) },
    { word: 'Edge bevels', figure: length(list.value.totals.bevelMm) },
    { word: 'Trenches', figure: length(list.value.totals.trenchMm) },
    { word: 'Creases', figure: length(list.value.totals.creaseMm) },
    { word: 'Tape on folds', figure: length(list.value.totals.tapeMm) },
    { word: 'Pockets', figure: String(list.value.totals.pockets) },
  ].filter(({ figure }) => !/^0(\.0)?( |$)/.test(figure)),
);
const sums = (sum: CutTotals): string =>
  [
    `cut through ${length(sum.throughMm)}`,
    ...(
      [
        ['grooves', sum.grooveMm],
        ['bevels', sum.bevelMm],
        ['trenches', sum.trenchMm],
      ] as const
    )
      .filter(([, mm]) => mm > 0)
      .map(([word, mm]) => `${word} ${length(mm)}`),
  ].join(' · ');
const groups = computed(() =>
  [...new Set(list.value.parts.map(({ part }) => part.group))].map((group) => ({
    group,
    parts: list.value.parts.filter(({ part }) => part.group === group),
  })),
);
</script>

<template>
  <div class="station">
    <div class="reading">
      <header>
        <div>
          <h1>Cut list</h1>
          <p class="lead">
            <b class="figures">{{ placedWords(list) }}</b>{{ ' · '
            }}{{ stateWords(titleOf(work.airframe!, work.version, '')) }}
          </p>
        </div>
        <div class="downloads">
          <DownloadButton name="cut-list.pdf" :disabled="list.parts.length === 0">Download the PDF</DownloadButton>
          <DownloadButton name="cut-list.csv" quiet :disabled="list.parts.length === 0">Download CSV</DownloadButton>
        </div>
      </header>
      <p v-if="figures.faultCount > 0" class="warn">
        {{ countOf(figures.faultCount, 'fault') }} {{ figures.faultCount === 1 ? 'is' : 'are' }} open.
        <RouterLink :to="{ name: 'parts' }">Mend them on Parts</RouterLink> before you cut.
      </p>
      <p v-for="one in list.unplaced" :key="one.part.id + one.part.side" class="warn" role="status">
        <b>{{ one.quantity }} {{ one.part.name }}{{ one.part.side === 'single' ? '' : `, ${one.part.side}` }}</b>
        {{ one.quantity === 1 ? 'has' : 'have' }} no place. {{ one.words }}
        <RouterLink :to="{ name: 'stock' }">Count boards on Stock</RouterLink>
      </p>
      <p v-if="!told" class="note" role="status">Writing the cut list</p>
      <div v-else-if="list.parts.length === 0" class="empty">
        <h2>Nothing to cut yet</h2>
        <p>
          Every part with a closed outline is listed here with its grooves, bevels, trenches and pockets, and the board
          it lies on.
        </p>
        <LinkButton type="primary" :to="{ name: 'parts' }">Draw a part</LinkButton>
      </div>
      <template v-else>
        <dl class="totals">
          <div v-for="one in totals" :key="one.word">
            <dt>{{ one.word }}</dt>
            <dd class="figures">{{ one.figure }}</dd>
          </div>
        </dl>
        <section aria-label="By board">
          <h2>By board</h2>
          <p v-if="list.boards.length === 0" class="note">
            These parts are not nested yet, or have changed since.
            <RouterLink :to="{ name: 'boards' }">Nest them on Boards</RouterLink> to see what is cut from which board.
          </p>
          <div v-for="board in list.boards" :key="board.number" class="board">
            <h3>
              Board {{ board.number }} <span>{{ board.label }}</span>
            </h3>
            <p v-if="board.alikeTo" class="names">Cut just as board {{ board.alikeTo }}.</p>
            <p v-else class="names">
              <span v-for="{ part, quantity } in board.parts" :key="part.id + part.side"
                ><b class="figures">{{ quantity }}</b> {{ part.name
                }}{{ part.side === 'single' ? '' : ` ${part.side}` }}</span
              >
            </p>
            <p class="sum figures">{{ sums(board.totals) }}</p>
          </div>
        </section>
        <section v-for="{ group, parts } in groups" :key="group" :aria-label="group || 'Parts'">
          <h2>{{ group || 'Parts' }}</h2>
          <CutPartRow v-for="cut in parts" :key="cut.part.id + cut.part.side" :cut="cut" :unit="work.unit" />
        </section>
      </template>
    </div>
    <TrayBar
      ><span>{{ CUT_COLUMN_NOTES }}</span></TrayBar
    >
  </div>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 24px;
}
h1 {
  font-size: 26px;
}
.lead {
  font-size: 16px;
  color: var(--ink-soft);
}
.lead b {
  font-size: 18px;
  color: var(--ink);
}
.downloads {
  display: flex;
  gap: 10px;
}
.downloads :deep(.el-button) {
  min-height: 42px;
}
.totals {
  display: flex;
  flex-wrap: wrap;
  gap: 0 40px;
  margin-top: 20px;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--ink);
  padding: 12px 0;
}
dt {
  color: var(--ink-soft);
}
dd {
  font-size: 24px;
  font-weight: 600;
  line-height: 1.2;
}
section {
  margin-top: 32px;
}
h2 {
  font-size: 19px;
  margin-bottom: 8px;
}
.board {
  border-top: 1px solid var(--ticket-line);
  padding: 10px 0 12px;
}
.board h3 {
  font-size: 16px;
  font-weight: 600;
}
.board h3 span {
  font-weight: 400;
  color: var(--ink-soft);
  margin-left: 6px;
}
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
  margin-top: 4px;
  font-size: 15px;
}
.sum {
  color: var(--ink-soft);
  font-size: 15px;
  font-weight: 500;
  margin-top: 4px;
}
.note {
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 8px 12px;
}
.warn {
  margin-top: 14px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
