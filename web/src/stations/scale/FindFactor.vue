<script setup lang="ts">
import { computed, ref } from 'vue';
import { hasGoal, SCALE_GOALS, type ScaleGoal, type ScaleSearch } from '@grain-fold/core/airframe';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import { useSearch } from '../../composables/use-search.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** Finds the largest factor for what there is: boards, paper, a mass, a length. */
const emit = defineEmits<{ take: [factor: number] }>();
const work = useAirframe();
const GRAMS_AN_OUNCE = 28.349523125,
  /** An ounce a square foot in grams a square decimetre. */
  LOADING_A_UNIT = GRAMS_AN_OUNCE / 9.290304;
/** Each goal: its words, what its limit is called, in what it is typed, and where it begins. */
const GOALS: Readonly<
  Record<
    ScaleGoal['kind'],
    { word: string; limit: string; kind: 'length' | 'number' | 'ratio' | 'count'; from: number; most: number }
  >
> = {
  boards: { word: 'boards', limit: 'Boards, at most', kind: 'count', from: 2, most: 100 },
  pages: { word: 'pages', limit: 'Pages, at most', kind: 'count', from: 10, most: 1000 },
  longest: { word: 'its longest part', limit: 'Longest part, at most', kind: 'length', from: 700, most: 5000 },
  foam: { word: 'its foam', limit: 'Foam, at most', kind: 'number', from: 300, most: 100_000 },
  mass: { word: 'its mass', limit: 'Mass, at most', kind: 'number', from: 600, most: 100_000 },
  loading: { word: 'its wing loading', limit: 'Wing loading, at most', kind: 'number', from: 30, most: 1000 },
  span: { word: 'its span', limit: 'Span, at most', kind: 'length', from: 1000, most: 10_000 },
  thrust: { word: 'motor and pack at hand', limit: 'Thrust to weight, at least', kind: 'ratio', from: 0.8, most: 10 },
  box: { word: 'the box it travels in', limit: 'Longest inside', kind: 'length', from: 900, most: 5000 },
};
/** The boot of a small car. */
const BOOT = [900, 600, 400] as const;
const kind = ref<ScaleGoal['kind']>('boards');
const limits = ref<Readonly<Partial<Record<ScaleGoal['kind'], number>>>>({});
const material = ref('');
const box = ref<readonly [number, number, number]>(BOOT);
const BOX_SIDES = ['Box, long inside', 'Box, wide inside', 'Box, high inside'] as const;
const setSide = (side: number, mm: number): void => {
  const [long, wide, high] = box.value.map((one, at) => (at === side ? mm : one));
  box.value = [long!, wide!, high!];
};
const goals = computed(() =>
  SCALE_GOALS.filter((one) => work.airframe && hasGoal(work.airframe, one)).map(
    (one) => [one, GOALS[one].word] as const,
  ),
);
const own = computed(() => GOALS[kind.value]);
/** The longest board in stock, less its margins: what a longest part may be. */
const longestBoardMm = computed(() => {
  const { boards = [], settings } = work.airframe ?? {};
  const sides = boards.filter(({ count }) => count > 0).map(({ widthMm, heightMm }) => Math.max(widthMm, heightMm));
  return sides.length > 0 ? Math.max(...sides) - 2 * (settings?.nest.edgeMarginMm ?? 0) : GOALS.longest.from;
});
const limit = computed(
  () => limits.value[kind.value] ?? (kind.value === 'longest' ? longestBoardMm.value : own.value.from),
);
/** Mass and loading are typed in the builder's unit; the core has grams and square decimetres. */
const perUnit = computed(() => {
  if (work.unit === 'mm' || own.value.kind !== 'number') return 1;
  return kind.value === 'loading' ? LOADING_A_UNIT : GRAMS_AN_OUNCE;
});
const unitWord = computed(() => {
  if (own.value.kind !== 'number') return '';
  const words = work.unit === 'mm' ? ['g', 'g/dm²'] : ['oz', 'oz/sq ft'];
  return `, ${words[kind.value === 'loading' ? 1 : 0]!}`;
});
const materials = computed(() => [
  ['', 'any board'] as const,
  ...materialsOf(work.airframe?.boards ?? []).map((one) => [one, one] as const),
]);

const goal = computed((): ScaleGoal => ({
  kind: kind.value,
  limit: limit.value,
  ...(kind.value === 'boards' && material.value ? { material: material.value } : {}),
  ...(kind.value === 'box' ? { box: [...box.value] as [number, number, number] } : {}),
}));
const { search, isRunning, fault, look, stop } = useSearch<ScaleSearch>(
  (airframe, onProgress) => slowly.solveScale(airframe, { ...goal.value }, onProgress),
  [goal, () => work.airframe?.parts, () => work.airframe?.boards],
);
const factor = (value: number): string => `× ${value.toFixed(3)}`;
const found = computed(() => {
  const { best, bound, isDone, tried } = search.value ?? {};
  if (!search.value) return '';
  const largest = best ? `${factor(best.factor)}: ${best.words}.` : 'No size that was tried will do.';
  const why = bound
    ? ` At ${factor(bound.factor)}: ${bound.words}.`
    : isDone && best
      ? ' Nothing that was tried is too large.'
      : '';
  return `${isDone ? '' : `${tried} tried; so far `}${largest}${why}`;
});
</script>

<template>
  <section aria-label="Find the factor">
    <h2 class="eyebrow">Find the factor</h2>
    <ChoiceRow
      label="Limited by"
      :model-value="kind"
      :choices="goals"
      is-list
      @update:model-value="kind = $event as ScaleGoal['kind']"
    />
    <ChoiceRow
      v-if="kind === 'boards'"
      label="Boards of"
      :model-value="material"
      :choices="materials"
      is-list
      @update:model-value="material = $event"
    />
    <template v-if="kind === 'box'">
      <MeasureField
        v-for="(word, side) in BOX_SIDES"
        :key="word"
        :label="word"
        :unit="work.unit"
        :model-value="box[side] ?? 0"
        :least="10"
        :most="own.most"
        @update:model-value="setSide(side, $event)"
      />
      <p class="about">Each wing that a form makes comes off; the rest stays together. Square to the walls.</p>
    </template>
    <MeasureField
      v-else
      :label="own.limit + unitWord"
      :kind="own.kind === 'length' ? 'length' : 'number'"
      :unit="work.unit"
      :step-by="own.kind === 'number' ? 0.1 : own.kind === 'ratio' ? 0.05 : undefined"
      :model-value="Math.round((limit / perUnit) * 1e6) / 1e6"
      :least="own.kind === 'count' ? 1 : own.kind === 'ratio' ? 0.05 : 1 / perUnit"
      :most="own.most / perUnit"
      @update:model-value="limits = { ...limits, [kind]: $event * perUnit }"
    />
    <div class="buttons">
      <el-button v-if="!isRunning" type="primary" @click="look">Find it</el-button>
      <el-button v-else @click="stop()">Stop</el-button>
      <el-button v-if="search?.best" :disabled="isRunning" @click="emit('take', search.best.factor)"
        >Take {{ factor(search.best.factor) }}</el-button
      >
    </div>
    <p v-if="found" class="about" role="status">{{ found }}</p>
    <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.buttons {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.about {
  margin-top: 8px;
  color: var(--ink-soft);
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
