<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { countedFrom, MOST_HOSTS, pieceCount, withCutElsewhere, type OnHost } from '@grain-fold/core/airframe';
import { countOf } from '@grain-fold/core/units';
import { airframesApi } from '../../api/airframes.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** The airframes whose boards hold pieces of this one, and what of it is counted as cut there. */
defineProps<{ isRunning: boolean }>();
const work = useAirframe();
const hosts = shallowRef<readonly OnHost[]>([]);
const message = ref('');

const lines = computed(() => {
  const kept = work.airframe?.settings.nest.cutElsewhere ?? [];
  // A host that has let its guest go, or is there no more, keeps its line while pieces are counted from it.
  const gone = kept
    .filter(({ airframeId }) => !hosts.value.some(({ id }) => id === airframeId))
    .map(({ airframeId: id, name }): OnHost => ({ id, name, pieces: 0, cut: [] }));
  return [...hosts.value, ...gone].map((host) => ({
    host,
    cut: pieceCount(host.cut),
    counted: pieceCount(kept.find(({ airframeId }) => airframeId === host.id)?.pieces ?? []),
  }));
});

async function look(): Promise<void> {
  const id = work.airframe?.id;
  if (!id) return;
  try {
    hosts.value = await airframesApi.hosts(id);
  } catch (error) {
    message.value =
      error instanceof Error ? error.message : 'Which other airframes have pieces of this one is not known.';
  }
}
function count(host: OnHost): void {
  const own = work.airframe!,
    counted = countedFrom(own, host),
    strange = pieceCount(host.cut) - pieceCount(counted.pieces);
  message.value =
    strange > 0
      ? `${countOf(strange, 'piece')} cut with ${host.name} ${strange === 1 ? 'is' : 'are'} not counted: no part has ${strange === 1 ? 'its name' : 'their names'} any more.`
      : '';
  if (counted.pieces.length === 0) return;
  const next = withCutElsewhere(own.settings.nest, counted);
  if ((next.cutElsewhere ?? []).length > MOST_HOSTS) {
    message.value = `Pieces cut with ${MOST_HOSTS} airframes are counted already, which is the most: nest those of one here after all first.`;
    return;
  }
  work.changeSettings(`Count what was cut with ${host.name}`, { nest: next });
}
function countNoMore({ id, name }: OnHost): void {
  message.value = '';
  work.changeSettings(`Count nothing cut with ${name}`, {
    nest: withCutElsewhere(work.airframe!.settings.nest, { airframeId: id, name, pieces: [] }),
  });
}
onMounted(look);
</script>

<template>
  <section v-if="lines.length > 0 || message" aria-label="On boards of others">
    <h2 class="eyebrow">On boards of others</h2>
    <div v-for="{ host, cut, counted } in lines" :key="host.id" class="host">
      <div class="row">
        <span>{{ host.name }}</span><span class="value">{{ countOf(Math.max(host.pieces, counted), 'piece') }}</span>
      </div>
      <p v-if="counted > 0" class="hint">{{ counted }} of them cut there, and not nested here any more.</p>
      <p v-else-if="cut > 0" class="warn">
        <b>{{ cut }} of them cut there.</b> Nested here they would be cut twice.
      </p>
      <p v-else class="hint">None cut there yet. Nest them here or there, not both.</p>
      <div class="buttons">
        <el-button
          v-if="cut > 0 && cut !== counted"
          size="small"
          :disabled="isRunning"
          :aria-label="`Count as cut: ${host.name}`"
          @click="count(host)"
          >Count as cut</el-button
        >
        <el-button
          v-if="counted > 0"
          size="small"
          :disabled="isRunning"
          :aria-label="`Nest them here after all: ${host.name}`"
          @click="countNoMore(host)"
          >Nest them here after all</el-button
        >
      </div>
    </div>
    <p v-if="message" role="status">{{ message }}</p>
  </section>
</template>

<style scoped>
.buttons {
  display: flex;
  gap: 6px;
  margin: 4px 0 8px;
}
.buttons .el-button {
  margin: 0;
}
.hint {
  color: var(--ink-soft);
  margin-top: 4px;
}
</style>
