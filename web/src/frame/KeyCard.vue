<script setup lang="ts">
import { KEY_LINES, POINTER_LINES, type KeyLine } from '../keys/key-map.ts';
import { STATIONS } from '../stations/stations.ts';
import { PLAN_TOOLS } from '../stations/plan/plan-tools.ts';
import { TOOL_GROUPS } from '../stations/parts/drafting/part-tools.ts';

/** Every key, from the tables that the keys themselves are taken from. */
const isOpen = defineModel<boolean>({ required: true });
type Shown = Pick<KeyLine, 'group' | 'shown' | 'word'>;

const stations: readonly Shown[] = [
  { group: 'Everywhere', shown: `${STATIONS[0]!.key} – ${STATIONS.at(-1)!.key}`, word: 'stations' },
];
const tools: readonly Shown[] = TOOL_GROUPS.flatMap(({ word: group, tools: own }) =>
  own.map(({ key, word }) => ({ group, shown: key, word })),
);
const planTools: readonly Shown[] = PLAN_TOOLS.map(({ key, word }) => ({ group: 'Plan', shown: key, word }));
const all: readonly Shown[] = [...stations, ...KEY_LINES, ...POINTER_LINES, ...planTools, ...tools];
const groups = [...new Set(all.map(({ group }) => group))].map((group) => ({
  group,
  keys: all.filter((one) => one.group === group),
}));
</script>

<template>
  <el-dialog v-model="isOpen" title="Keys" width="1000" top="4vh" class="key-card">
    <div class="card">
      <section v-for="{ group, keys } in groups" :key="group">
        <h3 class="eyebrow">{{ group }}</h3>
        <dl>
          <div v-for="{ shown, word } in keys" :key="shown + word">
            <dt class="figures">{{ shown }}</dt>
            <dd>{{ word }}</dd>
          </div>
        </dl>
      </section>
    </div>
  </el-dialog>
</template>

<style scoped>
.card {
  columns: 4 190px;
  column-gap: 26px;
  max-height: 78vh;
  overflow-y: auto;
}
section {
  break-inside: avoid;
  margin-bottom: 12px;
}
dl div {
  display: flex;
  gap: 8px;
  padding: 1px 0;
  font-size: 13.5px;
}
dt {
  min-width: 74px;
  font-weight: 600;
  color: var(--marigold-deep);
  font-size: 14.5px;
}
</style>
