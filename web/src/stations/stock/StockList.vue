<script setup lang="ts">
import { ref } from 'vue';
import { BOUNDS } from '@grain-fold/contract';
import { standardBoard } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import { keepFile } from '../../api/documents.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** The stock as a list for a spreadsheet: written, and boards taken in from one. */
const work = useAirframe();
const said = ref('');
const faults = ref<readonly string[]>([]);
/** A list larger than this is none, in bytes. */
const LARGEST = 2_000_000;
/** Rows whose faults are told. */
const MOST_TOLD = 5;

/** Reading and writing of files is fetched when it is asked for. */
const formats = () => import('@grain-fold/core/formats');
async function write(): Promise<void> {
  const airframe = work.airframe;
  if (!airframe) return;
  const { stockCsv } = await formats();
  const blob = new Blob([stockCsv(airframe)], { type: 'text/csv' });
  keepFile({ blob, fileName: `${airframe.name.replace(/[^\p{L}\p{N} ._-]/gu, '')} stock.csv` });
}
async function takeIn({ raw }: { raw?: File }): Promise<void> {
  const airframe = work.airframe;
  if (!raw || !airframe) return;
  said.value = '';
  faults.value = [];
  if (raw.size > LARGEST) {
    said.value = `${raw.name} has ${Math.round(raw.size / 1e6)} MB: a list of boards has 2 at most.`;
    return;
  }
  const like = airframe.boards[0] ?? standardBoard('', '', work.unit);
  const { stockFromCsv } = await formats();
  const list = stockFromCsv(await raw.text(), like, () => work.freshId('b'));
  faults.value = list.faults;
  const kinds = airframe.boards.length + list.boards.length;
  if (kinds > BOUNDS.boards) {
    said.value = `With ${raw.name} there would be ${kinds} kinds of boards; an airframe has ${BOUNDS.boards} at most.`;
    return;
  }
  said.value =
    list.boards.length > 0
      ? `${countOf(list.boards.length, 'kind')} of board came in from ${raw.name}.`
      : `Nothing came in from ${raw.name}.`;
  if (list.boards.length > 0) work.setBoards('Take in a list of boards', [...airframe.boards, ...list.boards]);
}
</script>

<template>
  <div class="list">
    <div class="tools">
      <el-button size="small" @click="write">Write it as a list</el-button>
      <el-upload
        :auto-upload="false"
        :show-file-list="false"
        accept=".csv,.txt"
        aria-label="Take in a list"
        @change="takeIn"
      >
        <span class="el-button el-button--small"><span>Take in a list</span></span>
      </el-upload>
    </div>
    <div v-if="said" class="said" role="status">
      <p>{{ said }}</p>
      <p v-for="fault in faults.slice(0, MOST_TOLD)" :key="fault">{{ fault }}</p>
      <p v-if="faults.length > MOST_TOLD">And {{ countOf(faults.length - MOST_TOLD, 'row') }} more.</p>
    </div>
  </div>
</template>

<style scoped>
.list {
  margin-top: 12px;
}
.tools {
  display: flex;
  gap: 8px;
}
.said {
  margin-top: 8px;
  background: var(--marigold-pale);
  border-left: 4px solid var(--marigold);
  padding: 8px 12px;
}
</style>
