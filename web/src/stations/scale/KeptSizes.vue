<script setup lang="ts">
import { computed, ref } from 'vue';
import { sizedThings, withThingSized, type SizedThing } from '@grain-fold/core/airframe';
import { traitsOf } from '@grain-fold/core/operations';
import type { Sizing } from '@grain-fold/core/paths';
import { countOf, formatLengthWithUnit } from '@grain-fold/core/units';
import CheckRow from '../../kit/CheckRow.vue';
import FoldAway from '../../kit/FoldAway.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** Everything that keeps its size when the airframe is scaled, thing by thing, and why; each can be told otherwise. */
const work = useAirframe();
const isOpen = ref(false);
const withGrowing = ref(false);
/** What was told otherwise here stays in sight, so that it can be told back. */
const touched = ref<readonly string[]>([]);
const keyOf = ({ of, ownerId, id }: SizedThing): string => `${of}/${ownerId}/${id}`;

interface Row {
  readonly thing: SizedThing;
  readonly count: number;
}
const all = computed(() => (isOpen.value && work.airframe ? sizedThings(work.airframe) : []));
const factor = computed(() => work.airframe?.settings.scale ?? 1);
/** Rows under what they are of; what nobody can tell otherwise is told once with its count. */
const groups = computed(() => {
  const owners = new Map<string, { name: string; rows: Map<string, Row> }>();
  for (const thing of all.value) {
    if (thing.sizing === 'scaled' && !withGrowing.value && !touched.value.includes(keyOf(thing))) continue;
    const owner = owners.get(thing.ownerId) ?? { name: thing.ownerName, rows: new Map<string, Row>() };
    const key =
      thing.choices.length > 1 ? keyOf(thing) : [thing.word, thing.mm.toFixed(3), thing.sizing, thing.why].join('|');
    owner.rows.set(key, { thing, count: (owner.rows.get(key)?.count ?? 0) + 1 });
    owners.set(thing.ownerId, owner);
  }
  return [...owners].map(([id, { name, rows }]) => ({ id, name, rows: [...rows.values()] }));
});
/** What follows the board, or was told to stay, in counts. */
const fixed = computed(() => {
  const parts = work.airframe?.parts ?? [];
  return {
    parts: parts.filter((part) => part.sizing === 'fixed').length,
    holes: parts.reduce(
      (sum, part) => sum + [...part.contours, ...part.lines].filter((path) => path.sizing !== 'scaled').length,
      0,
    ),
    folds: parts.reduce(
      (sum, part) => sum + part.operations.filter(({ kind }) => traitsOf(kind).cutting.widthWord !== undefined).length,
      0,
    ),
  };
});
const kept = computed(() => all.value.filter(({ sizing }) => sizing !== 'scaled').length);

const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
function told({ mm, sizing }: SizedThing): string {
  const grown = length(mm * factor.value);
  if (sizing === 'scaled') return factor.value === 1 ? `${length(mm)}, grows` : `${length(mm)} becomes ${grown}`;
  return factor.value === 1 ? length(mm) : `${length(mm)}, not ${grown}`;
}
const WORDS: Readonly<Record<Sizing, string>> = {
  scaled: 'Let it grow',
  fixed: 'Keep its size',
  slot: 'Keep its width',
};
function tell(thing: SizedThing, sizing: Sizing): void {
  const { airframe } = work;
  if (!airframe) return;
  touched.value = [...touched.value, keyOf(thing)];
  const done = withThingSized(airframe, thing, sizing);
  if (done.ok) work.commit(done.label, done.airframe);
  else work.message = done.message;
}
</script>

<template>
  <p class="kept">
    <b class="figures">{{ fixed.folds }}</b> grooves, trenches, bevels and hinges: their widths follow the board
  </p>
  <p class="kept">
    <b class="figures">{{ fixed.holes }}</b> holes, pockets and slots marked to keep their size or width
  </p>
  <p class="kept">
    <b class="figures">{{ fixed.parts }}</b> whole parts: plates and gauges
  </p>
  <FoldAway title="Thing by thing" @toggle="isOpen = $event">
    <p class="about">
      {{ countOf(kept, 'thing keeps its size', 'things keep their size') }}. What a form makes is told at its form.
    </p>
    <CheckRow v-model="withGrowing" label="Also what grows" />
    <section v-for="owner in groups" :key="owner.id" :aria-label="owner.name">
      <h3>{{ owner.name }}</h3>
      <div v-for="{ thing, count } in owner.rows" :key="keyOf(thing)" class="thing">
        <p>
          <span>{{ count > 1 ? `${count} × ` : '' }}{{ thing.word }}</span>
          <b class="figures">{{ told(thing) }}</b>
        </p>
        <p class="why">
          <span>{{ thing.why }}</span>
          <el-button
            v-for="choice in thing.choices.filter((one) => one !== thing.sizing)"
            :key="choice"
            link
            :aria-label="`${WORDS[choice]}: ${thing.word.toLowerCase()} of ${owner.name}`"
            @click="tell(thing, choice)"
            >{{ WORDS[choice] }}</el-button
          >
        </p>
      </div>
    </section>
  </FoldAway>
</template>

<style scoped>
.kept {
  display: flex;
  gap: 8px;
  padding: 4px 0;
}
.kept b {
  min-width: 26px;
  font-size: 16px;
  font-weight: 600;
}
.about,
.why {
  color: var(--ink-soft);
}
h3 {
  font-size: 15px;
  margin: 12px 0 2px;
}
.thing {
  padding: 4px 0;
  border-bottom: 1px solid var(--foam-edge);
}
.thing p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}
.thing span {
  flex: 1;
}
.thing b {
  font-weight: 600;
}
.why .el-button {
  margin: 0;
}
</style>
