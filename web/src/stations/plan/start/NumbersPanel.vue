<script setup lang="ts">
import { computed, onBeforeUnmount, reactive, ref, watch } from 'vue';
import {
  PLAN_TYPES,
  planFigures,
  proposedProportions,
  proposePlan,
  TYPE_TRAITS,
  usualProportions,
  type AtHand,
  type Plan,
  type PlanType,
  type ProportionKey,
  type WantedFigure,
} from '@grain-fold/core/plan';
import { CoreError, fromLoading, LOADING_WORDS, toLoading, worded } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** A plan from a type and one wanted figure: proportions proposed with what is usual beside each, all of them the builder's to change. */
const props = defineProps<{ desk: PlanDesk }>();
const emit = defineEmits<{ done: []; proposed: [] }>();
const work = useAirframe();
const type = ref<PlanType>('trainer');
const wantedKind = ref<WantedFigure['kind']>('span');
const wanted = reactive({
  spanMm: work.unit === 'in' ? 36 * 25.4 : 900,
  loading: 32,
  boardMm: props.desk.context.value.longestBoardMm || 700,
});
const own = ref<Partial<Record<ProportionKey, number>>>({});
const atHand = ref<AtHand>({});
const types = PLAN_TYPES.map((one) => [one, TYPE_TRAITS[one].word] as const);
const KINDS = [
  ['span', 'its span'],
  ['loading', 'its wing loading'],
  ['board', 'a board for each wing half'],
] as const;
const proportions = computed(() => ({ ...usualProportions(type.value), ...own.value }));
const rows = computed(() => proposedProportions(type.value));
const wantedFigure = computed<WantedFigure>(() =>
  wantedKind.value === 'span'
    ? { kind: 'span', mm: wanted.spanMm }
    : wantedKind.value === 'loading'
      ? { kind: 'loading', gramsPerDm2: wanted.loading }
      : { kind: 'board', mm: wanted.boardMm },
);
const proposal = computed<{ readonly plan?: Plan; readonly fault?: string }>(() => {
  try {
    return {
      plan: proposePlan(type.value, wantedFigure.value, proportions.value, atHand.value, props.desk.context.value),
    };
  } catch (error) {
    if (error instanceof CoreError) return { fault: worded(error.message, work.unit) };
    throw error;
  }
});
const KEYS = ['span', 'area', 'mass', 'loading', 'balance'];
const figures = computed(() =>
  proposal.value.plan
    ? planFigures(proposal.value.plan, props.desk.context.value).figures.filter(({ key }) => KEYS.includes(key))
    : [],
);
/** The views show the proposal; what else the plan has stays. */
const merged = computed<Plan | undefined>(() => {
  const { plan } = proposal.value,
    before = props.desk.stored.value;
  return (
    plan && {
      ...before,
      type: plan.type,
      school: plan.school,
      things: plan.things,
      lastId: Math.max(before.lastId, plan.lastId),
    }
  );
});
watch(
  merged,
  (plan) => {
    props.desk.draft.value = plan;
    emit('proposed');
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  props.desk.draft.value = undefined;
});
watch(type, () => {
  own.value = {};
});
const setAtHand = (key: keyof AtHand, value: number): void => {
  const { [key]: _before, ...rest } = atHand.value;
  atHand.value = value > 0 ? { ...rest, [key]: value } : rest;
};
function take(): void {
  const plan = merged.value;
  if (!plan) return;
  props.desk.run(() => ({ label: `Plan a ${TYPE_TRAITS[type.value].word.toLowerCase()} from numbers`, plan }));
  emit('done');
}
const isAside = (key: ProportionKey, usual: readonly [number, number]): boolean =>
  proportions.value[key] < usual[0] || proportions.value[key] > usual[1];
</script>

<template>
  <aside class="slip" aria-label="From numbers">
    <div class="slip-head">
      <h2>From numbers</h2>
      <p>{{ TYPE_TRAITS[type].hint }}</p>
    </div>
    <section>
      <ChoiceRow
        label="It is a"
        :model-value="type"
        :choices="types"
        is-list
        @update:model-value="type = $event as PlanType"
      />
      <ChoiceRow
        label="What is wanted is"
        :model-value="wantedKind"
        :choices="KINDS"
        is-list
        @update:model-value="wantedKind = $event as WantedFigure['kind']"
      />
      <MeasureField
        v-if="wantedKind === 'span'"
        label="Span"
        :unit="work.unit"
        :model-value="wanted.spanMm"
        :least="150"
        :most="6000"
        @update:model-value="wanted.spanMm = $event"
      />
      <MeasureField
        v-else-if="wantedKind === 'board'"
        label="Board length"
        :unit="work.unit"
        :model-value="wanted.boardMm"
        :least="75"
        :most="3000"
        @update:model-value="wanted.boardMm = $event"
      />
      <MeasureField
        v-else
        :label="`Wing loading, ${LOADING_WORDS[work.unit]}`"
        kind="number"
        :step-by="1"
        :model-value="Number(toLoading(wanted.loading, work.unit).toFixed(2))"
        :least="0.1"
        :most="300"
        @update:model-value="wanted.loading = fromLoading($event, work.unit)"
      />
      <p v-if="proposal.fault" class="bad" role="alert">{{ proposal.fault }}</p>
      <FigureRow v-for="figure in figures" :key="figure.key" :label="figure.word" :value="figure.text" />
    </section>
    <section>
      <h3 class="eyebrow">Proportions</h3>
      <div v-for="row in rows" :key="row.key" :title="row.about">
        <MeasureField
          :label="row.word"
          kind="number"
          :model-value="Number(proportions[row.key].toFixed(row.decimals))"
          :step-by="10 ** -row.decimals"
          :least="row.least"
          :most="row.most"
          @update:model-value="own = { ...own, [row.key]: $event }"
        />
        <p class="usual figures" :class="{ aside: isAside(row.key, row.usual) }">
          usual {{ row.usual[0] }} to {{ row.usual[1] }}
        </p>
      </div>
      <p class="source">
        What is usual is what builders of this type begin with; volumes and aspect ratios as the field defines them.
      </p>
    </section>
    <section>
      <FoldAway title="Motor and pack at hand">
        <MeasureField
          label="Motor, grams"
          kind="number"
          :auto="atHand.motorG === undefined ? 'usual' : undefined"
          :model-value="atHand.motorG ?? 0"
          :least="0"
          :most="5000"
          @update:model-value="setAtHand('motorG', $event)"
        />
        <MeasureField
          label="Pack, grams"
          kind="number"
          :auto="atHand.packG === undefined ? 'usual' : undefined"
          :model-value="atHand.packG ?? 0"
          :least="0"
          :most="10000"
          @update:model-value="setAtHand('packG', $event)"
        />
        <MeasureField
          label="Power, watts"
          kind="number"
          :auto="atHand.powerW === undefined ? 'usual' : undefined"
          :model-value="atHand.powerW ?? 0"
          :least="0"
          :most="20000"
          @update:model-value="setAtHand('powerW', $event)"
        />
        <MeasureField
          label="Propeller"
          :unit="work.unit"
          :auto="atHand.propellerMm === undefined ? 'usual' : undefined"
          :model-value="atHand.propellerMm ?? 0"
          :least="0"
          :most="2000"
          @update:model-value="setAtHand('propellerMm', $event)"
        />
      </FoldAway>
    </section>
    <div class="take">
      <el-button type="primary" :disabled="!proposal.plan" @click="take">Take this plan</el-button>
      <el-button @click="emit('done')">Leave it</el-button>
      <p v-if="desk.stored.value.things.length > 0">
        It takes the place of what is planned now; undo brings that back.
      </p>
    </div>
  </aside>
</template>

<style scoped>
.usual {
  text-align: right;
  font-size: 13px;
  color: var(--ink-soft);
  margin-top: -2px;
}
.aside {
  color: var(--marigold-deep);
}
.source,
.take p {
  padding-top: 8px;
  font-size: 13px;
  color: var(--ink-soft);
}
.bad {
  color: var(--brick);
  padding: 6px 0;
}
.take {
  z-index: 3;
  position: sticky;
  bottom: -32px;
  margin: 18px -18px -32px;
  padding: 12px 18px 16px;
  background: var(--foam);
  border-top: 2px solid var(--ink);
}
</style>
