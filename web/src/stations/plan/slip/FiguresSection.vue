<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  BALANCE_KINDS,
  PLAN_TYPES,
  schoolWords,
  TYPE_TRAITS,
  type PlanFigure,
  type PlanSchool,
} from '@grain-fold/core/plan';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** Every figure of the plan, with what is usual beside it; a click shows how it was found. */
const props = defineProps<{ desk: PlanDesk }>();
const work = useAirframe();
const open = ref<string>();
const plan = computed(() => props.desk.plan.value);
const figures = computed(() => props.desk.report.value.figures.figures);
const isAside = ({ beside }: PlanFigure): boolean => beside !== 0;
const besideWord = ({ beside }: PlanFigure): string => (beside < 0 ? 'less than usual' : 'more than usual');

const types = PLAN_TYPES.map((type) => [type, TYPE_TRAITS[type].word] as const);
const schools = [
  ...BALANCE_KINDS.map((kind) => [kind, kind] as const),
  ['margin', 'neutral point less a margin'] as const,
];
const school = computed(() => (plan.value.school.kind === 'part of mean chord' ? plan.value.school.of : 'margin'));
const USUAL_MARGIN = { least: 0.05, most: 0.15 } as const;

function setType(type: string): void {
  const known = PLAN_TYPES.find((one) => one === type);
  if (!known) return;
  props.desk.run((now) => ({
    label: `Plan a ${TYPE_TRAITS[known].word.toLowerCase()}`,
    plan: { ...now, type: known, school: { kind: 'part of mean chord', of: TYPE_TRAITS[known].balance } },
  }));
}
function setSchool(chosen: string): void {
  const kind = BALANCE_KINDS.find((one) => one === chosen);
  const next: PlanSchool = kind
    ? { kind: 'part of mean chord', of: kind }
    : { kind: 'neutral point less margin', ...USUAL_MARGIN };
  props.desk.run((now) => ({ label: `Balance by ${schoolWords(next)}`, plan: { ...now, school: next } }));
}
function setMargin(end: 'least' | 'most', perCent: number): void {
  props.desk.run((now) =>
    now.school.kind === 'part of mean chord'
      ? { label: '', plan: now }
      : { label: 'Change margin', plan: { ...now, school: { ...now.school, [end]: perCent / 100 } } },
  );
}
const setAir = (key: 'liftCoefficient' | 'density' | 'shareOfIdeal', value: number): void => {
  props.desk.run((now) => ({ label: 'Change air', plan: { ...now, air: { ...now.air, [key]: value } } }));
};
const setCar = (mm: number): void => {
  props.desk.run((now) => {
    const { carMm: _car, ...rest } = now;
    return { label: 'Change what it must go into', plan: mm > 0 ? { ...rest, carMm: mm } : rest };
  });
};
</script>

<template>
  <section aria-label="Figures">
    <ChoiceRow label="Planned as" :model-value="plan.type" :choices="types" is-list @update:model-value="setType" />
    <ChoiceRow label="Balance by" :model-value="school" :choices="schools" is-list @update:model-value="setSchool" />
    <div v-for="figure in figures" :key="figure.key" class="figure">
      <el-button
        link
        class="bare line"
        :aria-expanded="open === figure.key"
        @click="open = open === figure.key ? undefined : figure.key"
      >
        <span class="word">{{ figure.word }}</span>
        <span class="dots" aria-hidden="true" />
        <span class="value figures" :class="{ aside: isAside(figure) }">{{ figure.text }}</span>
      </el-button>
      <p v-if="figure.usualText" class="usual figures" :class="{ aside: isAside(figure) }">
        usual {{ figure.usualText }}<template v-if="isAside(figure)"> · {{ besideWord(figure) }}</template>
      </p>
      <div v-if="open === figure.key" class="working">
        <p v-for="(step, index) in figure.working" :key="index">{{ step }}</p>
        <p class="source">{{ figure.source }}</p>
      </div>
    </div>
    <p v-if="figures.length === 0" class="none">Figures come with the first wing.</p>
    <FoldAway title="What they are worked out with">
      <template v-if="plan.school.kind === 'neutral point less margin'">
        <MeasureField
          label="Margin, least, %"
          kind="number"
          :model-value="Math.round(plan.school.least * 100)"
          :least="-20"
          :most="60"
          @update:model-value="setMargin('least', $event)"
        />
        <MeasureField
          label="Margin, most, %"
          kind="number"
          :model-value="Math.round(plan.school.most * 100)"
          :least="-20"
          :most="60"
          @update:model-value="setMargin('most', $event)"
        />
      </template>
      <MeasureField
        label="Greatest lift coefficient"
        kind="number"
        :step-by="0.05"
        :model-value="plan.air.liftCoefficient"
        :least="0.1"
        :most="4"
        @update:model-value="setAir('liftCoefficient', $event)"
      />
      <MeasureField
        label="Air, kilograms a cubic metre"
        kind="number"
        :step-by="0.005"
        :model-value="plan.air.density"
        :least="0.1"
        :most="3"
        @update:model-value="setAir('density', $event)"
      />
      <MeasureField
        label="Propeller, of the ideal"
        kind="number"
        :step-by="0.05"
        :model-value="plan.air.shareOfIdeal"
        :least="0.05"
        :most="1"
        @update:model-value="setAir('shareOfIdeal', $event)"
      />
      <MeasureField
        label="Must go into (car)"
        :unit="work.unit"
        :model-value="plan.carMm ?? 0"
        :least="0"
        :most="100000"
        @update:model-value="setCar"
      />
    </FoldAway>
    <p class="advice">
      Balance and speeds are advice to begin with. Check the balance by hand, and with someone who knows, before the
      first flight.
    </p>
  </section>
</template>

<style scoped>
.figure {
  border-bottom: 1px solid var(--foam-edge);
}
.line {
  display: flex;
  width: 100%;
  align-items: baseline;
  min-height: 32px;
  padding: 2px 0;
}
.line :deep(> span) {
  display: flex;
  flex: 1;
  align-items: baseline;
  gap: 7px;
  min-width: 0;
}
.word {
  font-size: 14px;
}
.dots {
  flex: 1;
  min-width: 8px;
  border-bottom: 1px dotted #a89a74;
  transform: translateY(-4px);
}
.value {
  font-size: 18px;
  font-weight: 600;
  white-space: nowrap;
}
.usual {
  text-align: right;
  font-size: 13px;
  color: var(--ink-soft);
  margin: -5px 0 4px;
}
.aside {
  color: var(--marigold-deep);
}
.working {
  background: var(--ticket);
  padding: 8px 10px;
  margin-bottom: 6px;
  font-size: 13.5px;
  display: grid;
  gap: 4px;
}
.source {
  color: var(--label);
  font-style: italic;
}
.advice,
.none {
  padding-top: 10px;
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
