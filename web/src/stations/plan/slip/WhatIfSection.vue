<script setup lang="ts">
import { computed, ref } from 'vue';
import { planReport } from '@grain-fold/core/airframe';
import { changePlaces, keepWhatIf, planOfWhatIf, removeWhatIf, type PlanFigureKey } from '@grain-fold/core/plan';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** The plan as it might be: kept, laid beneath the present one, its figures beside the present ones. */
const props = defineProps<{ desk: PlanDesk }>();
const shownId = defineModel<string>('shownId');
const work = useAirframe();
const name = ref('');
const SIDE_BY_SIDE: readonly PlanFigureKey[] = [
  'span',
  'area',
  'meanChord',
  'tailVolume',
  'finVolume',
  'balance',
  'mass',
  'loading',
  'stall',
  'thrust',
];
const plan = computed(() => props.desk.plan.value);
const chosen = computed(() => plan.value.whatIfs.find(({ id }) => id === shownId.value));
const figures = computed(() => {
  const other = shownId.value === undefined ? undefined : planOfWhatIf(plan.value, shownId.value);
  if (!other) return [];
  const report = planReport(other, props.desk.context.value, work.airframe!.settings.scale),
    now = props.desk.report.value.figures.figures;
  return SIDE_BY_SIDE.flatMap((key) => {
    const [mine, theirs] = [now, report.figures.figures].map((list) => list.find((one) => one.key === key));
    return mine || theirs
      ? [{ key, word: (mine ?? theirs)!.word, now: mine?.text ?? '–', then: theirs?.text ?? '–' }]
      : [];
  });
});
const differs = ({ row }: { row: (typeof figures.value)[number] }): string => (row.now === row.then ? '' : 'differs');
function keep(): void {
  const wanted = name.value.trim() || `What if ${plan.value.whatIfs.length + 1}`;
  const made = props.desk.run((now) => keepWhatIf(now, wanted));
  if (!made) return;
  name.value = '';
  shownId.value = made.plan.whatIfs.at(-1)?.id;
}
function drop(id: string): void {
  props.desk.run((now) => removeWhatIf(now, id));
  if (shownId.value === id) shownId.value = undefined;
}
</script>

<template>
  <section aria-label="What if">
    <p class="hint">
      Keep the plan as it is now, then change it: the one that is kept lies beneath, its figures beside the present
      ones.
    </p>
    <div class="keep">
      <el-input
        v-model="name"
        :maxlength="60"
        placeholder="Name, such as: low wing"
        aria-label="Name of the what-if"
        :validate-event="false"
        @keydown.enter="keep"
      />
      <el-button size="small" type="primary" :disabled="plan.things.length === 0" @click="keep">Keep it</el-button>
    </div>
    <div v-for="one in plan.whatIfs" :key="one.id" class="row">
      <el-button
        link
        class="bare label"
        :aria-pressed="one.id === shownId"
        @click="shownId = one.id === shownId ? undefined : one.id"
      >
        {{ one.id === shownId ? '▪ ' : '' }}{{ one.name }}
      </el-button>
      <el-button link size="small" @click="desk.run((now) => changePlaces(now, one.id))">Go by it</el-button>
      <el-button link size="small" :aria-label="`Drop ${one.name}`" @click="drop(one.id)">Drop</el-button>
    </div>
    <el-table
      v-if="chosen"
      :data="figures"
      size="small"
      class="figures"
      :row-class-name="differs"
      aria-label="Figures side by side"
    >
      <el-table-column prop="word" label="Figure" />
      <el-table-column prop="now" label="now" align="right" />
      <el-table-column prop="then" :label="chosen.name" align="right" />
    </el-table>
  </section>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  font-size: 13px;
  padding-bottom: 8px;
}
.keep {
  display: flex;
  gap: 6px;
  padding-bottom: 8px;
}
.keep .el-button {
  flex: none;
}
.label {
  text-align: left;
  justify-content: flex-start;
}
.el-table {
  margin-top: 10px;
  font-size: 14.5px;
}
.el-table :deep(.differs td) {
  font-weight: 700;
}
</style>
