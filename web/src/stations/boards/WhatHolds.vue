<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import { nestHash, withChange, type NestAdvice, type NestAdviceStep } from '@grain-fold/core/airframe';
import { countOf, formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** What holds a nest back, found out by letting one thing after the other go; what saves foam is accepted here. */
const work = useAirframe();
const step = shallowRef<NestAdviceStep>();
const isTrying = ref(false);
const fault = ref('');
/** Most parts that are named one by one. */
const MOST_NAMES = 3;

const hash = computed(() => (work.airframe ? nestHash(work.airframe) : ''));
watch(hash, () => (step.value = undefined));

async function find(): Promise<void> {
  const airframe = work.airframe;
  if (!airframe) return;
  const asked = hash.value;
  isTrying.value = true;
  fault.value = '';
  step.value = undefined;
  const tell = (now: NestAdviceStep): void => {
    if (hash.value === asked) step.value = now;
  };
  try {
    tell(await slowly.nestAdvice(airframe, tell));
  } catch (error) {
    fault.value = error instanceof Error ? error.message : 'The trying stopped without a reason.';
  } finally {
    isTrying.value = false;
  }
}
const stop = (): void => {
  if (isTrying.value) void slowly.stopSearch();
};
onBeforeUnmount(stop);

const named = (partIds: readonly string[]): string => {
  const names = partIds.map((id) => work.airframe!.parts.find((part) => part.id === id)?.name ?? id);
  const rest = names.length - MOST_NAMES;
  return rest > 0 ? `${names.slice(0, MOST_NAMES).join(', ')} and ${rest} more` : names.join(', ');
};
function words({ change }: NestAdvice): string {
  switch (change.kind) {
    case 'grain':
      return `Letting ${named(change.partIds)} lie across the grain`;
    case 'apart':
      return 'Letting pairs lie apart';
    case 'turns':
      return `Turning free parts by ${change.turnStep}°`;
    case 'freely':
      return 'Turning free parts by any angle that fits';
    case 'clearance':
      return `Parts ${formatLengthWithUnit(change.clearanceMm, work.unit)} apart`;
    case 'margin':
      return `Going within ${formatLengthWithUnit(change.edgeMarginMm, work.unit)} of the edge`;
  }
}
const saving = ({ nest, score, savedBoards }: NestAdvice): string => {
  const boards = (work.airframe?.nest?.boards.length ?? 0) - nest.boards.length;
  return boards > 0
    ? `saves ${countOf(boards, 'board')}`
    : `saves ${savedBoards.toFixed(2)} of a board, ${score.effectiveBoards.toFixed(2)} in all`;
};
function accept(advice: NestAdvice): void {
  const airframe = work.airframe;
  if (!airframe) return;
  work.commit(words(advice), { ...withChange(airframe, advice.change), nest: advice.nest });
}
</script>

<template>
  <section aria-label="What holds it">
    <h2 class="eyebrow">What holds it</h2>
    <p v-if="!step && !isTrying" class="hint">
      Grain, turns, pairs and distances are let go one after the other, to see which of them costs foam.
    </p>
    <div v-for="advice in step?.found ?? []" :key="words(advice)" class="advice">
      <p>
        {{ words(advice) }} <b>{{ saving(advice) }}</b>.
      </p>
      <el-button size="small" :disabled="isTrying" :aria-label="`Do it: ${words(advice)}`" @click="accept(advice)"
        >Do it</el-button
      >
    </div>
    <p v-if="step && !isTrying && step.found.length === 0" role="status">
      Nothing that could be let go saves a {{ step.of === 0 ? 'board: nothing is held' : 'thirtieth of a board' }}.
    </p>
    <p v-if="fault" class="hint" role="alert">{{ fault }}</p>
    <div class="tools">
      <template v-if="isTrying">
        <span class="figures" role="status">tried {{ step?.tried ?? 0 }} of {{ step?.of ?? '…' }}</span>
        <el-button size="small" @click="stop">Stop</el-button>
      </template>
      <el-button v-else size="small" @click="find">Find what would save</el-button>
    </div>
  </section>
</template>

<style scoped>
.advice {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--ticket-line);
}
.advice .el-button {
  flex-shrink: 0;
}
.tools {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-top: 8px;
}
.hint {
  color: var(--ink-soft);
}
</style>
