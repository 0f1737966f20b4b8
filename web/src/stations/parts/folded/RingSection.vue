<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { FoldView, RingReport, ShownRingAnswer } from '@grain-fold/core/airframe';
import { CLOSED_MM, foldName, type SeamState } from '@grain-fold/core/folds';
import { drawnId, lineName, type Part } from '@grain-fold/core/part';
import { countOf, formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import TickBox from '../../../kit/TickBox.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { slowly } from '../../../workers/index.ts';

/** Rings of panels that are still open: the fold angles that close them, each answer folded, or the panel that is of a wrong length. */
const props = defineProps<{ part: Part; view: FoldView }>();
const work = useAirframe();

const open = computed(() =>
  props.view.seams
    .filter(({ partId, state }) => partId === props.part.id && !state.seam.toPartId && state.gapMm > CLOSED_MM)
    .map(({ state }) => state),
);
const asked = shallowRef<SeamState['seam']>();
const report = shallowRef<RingReport>();
const message = ref('');
const isBusy = ref(false);
/** Folds that keep their drawn angle. */
const kept = ref<readonly string[]>([]);
const ringFolds = shallowRef<readonly string[]>([]);
watch(
  () => props.part,
  () => {
    asked.value = undefined;
    report.value = undefined;
    kept.value = [];
    message.value = '';
  },
);

async function ask(seam: SeamState['seam'], keep: readonly string[] = []): Promise<void> {
  if (!work.airframe) return;
  [asked.value, kept.value, isBusy.value, message.value] = [seam, keep, true, ''];
  const free = keep.length > 0 ? ringFolds.value.filter((id) => !keep.includes(id)) : undefined;
  const edges = { fromSegmentId: seam.fromSegmentId, toSegmentId: seam.toSegmentId };
  const answer = await slowly.ring(work.airframe, props.part.id, edges, free).finally(() => {
    isBusy.value = false;
  });
  if (asked.value !== seam) return;
  report.value = answer.ok ? answer.value : undefined;
  message.value = !answer.ok
    ? answer.message
    : answer.value
      ? ''
      : 'No fold that is free leads from one of its edges to the other.';
  if (keep.length === 0) ringFolds.value = answer.ok ? (answer.value?.ringFolds ?? []) : [];
}
const toggle = (id: string): void => {
  if (asked.value)
    void ask(asked.value, kept.value.includes(id) ? kept.value.filter((one) => one !== id) : [...kept.value, id]);
};
const pictureOf = ({ picture }: ShownRingAnswer): string => `data:image/svg+xml,${encodeURIComponent(picture)}`;
const use = ({ commands }: ShownRingAnswer): void => {
  work.runAll(props.part.id, commands, 'Close the ring');
};
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit, 2);
const wrongWords = computed(() => {
  const found = report.value;
  if (!found || found.answers.length > 0) return '';
  const nearest = `Nothing closes it: it comes no nearer than ${length(found.nearestMm)}.`;
  return found.wrong
    ? `${nearest} Plate ${found.wrong.plate + 1} is ${length(Math.abs(found.wrong.longerMm))} too ${found.wrong.longerMm > 0 ? 'short' : 'long'}.`
    : `${nearest} Let more of its folds turn.`;
});
const nameOf = (seam: SeamState['seam']): string =>
  `${lineName(props.part, drawnId(seam.fromSegmentId))} to ${lineName(props.part, drawnId(seam.toSegmentId))}`;
</script>

<template>
  <section v-if="open.length > 0" aria-label="Close a ring">
    <h2 class="eyebrow">{{ countOf(open.length, 'seam') }} still open</h2>
    <div v-for="(state, index) in open" :key="index" class="ring">
      <p>{{ nameOf(state.seam) }}</p>
      <el-button type="primary" size="small" :loading="isBusy && asked === state.seam" @click="ask(state.seam)">
        Close this ring
      </el-button>
    </div>
    <p v-if="message" class="told" role="status">{{ message }}</p>
    <template v-if="report">
      <p v-if="wrongWords" class="told" role="status">{{ wrongWords }}</p>
      <p v-else class="told" role="status">
        {{ report.answers.length === 1 ? 'One answer closes it.' : `${report.answers.length} answers close it.` }}
        {{
          report.answers.some(({ freedom }) => freedom > 0)
            ? 'It can still move: keep a fold to say how it stands.'
            : ''
        }}
      </p>
      <div v-if="ringFolds.length > 1" class="keeps" role="group" aria-label="Folds that keep their angle">
        <span>Keep as drawn</span>
        <TickBox
          v-for="id in ringFolds"
          :key="id"
          :model-value="kept.includes(id)"
          :label="foldName(part, id)"
          @update:model-value="toggle(id)"
        />
      </div>
      <article v-for="(answer, index) in report.answers" :key="index" class="answer">
        <img :src="pictureOf(answer)" :alt="`Folded as answer ${index + 1}`" />
        <div>
          <p v-for="{ operationId, turnDegrees } in answer.turns" :key="operationId" class="row">
            <span class="label">{{ foldName(part, operationId) }}</span><span class="value figures">{{
              formatAngle(turnDegrees)
            }}</span>
          </p>
          <p v-if="answer.pressMm > 0.05" class="told">Plates run {{ length(answer.pressMm) }} through each other.</p>
          <el-button size="small" :type="index === 0 ? 'primary' : undefined" @click="use(answer)">
            Fold it so
          </el-button>
        </div>
      </article>
    </template>
  </section>
</template>

<style scoped>
.ring {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  margin: 4px 0;
}
.told {
  margin: 8px 0;
}
.keeps {
  display: grid;
  gap: 2px;
  margin-bottom: 8px;
}
.keeps span {
  color: var(--ink-soft);
}
.answer {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
  border-top: 1px solid var(--ticket-line);
  padding: 10px 0;
}
.answer img {
  width: 110px;
  height: 90px;
  object-fit: contain;
  background: var(--mat);
  border-radius: var(--radius);
}
</style>
