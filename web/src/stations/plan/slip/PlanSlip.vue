<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { mendPlan, placedThings, THING_WORDS, TYPE_TRAITS, type PlanFault, type PlanMend } from '@grain-fold/core/plan';
import { worded } from '@grain-fold/core/units';
import FaultCard from '../../../kit/FaultCard.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Tracing } from '../trace/use-tracing.ts';
import TraceSection from '../trace/TraceSection.vue';
import type { PlanDesk } from '../use-plan.ts';
import ClearancesSection from './ClearancesSection.vue';
import FiguresSection from './FiguresSection.vue';
import GuideSection from './GuideSection.vue';
import LineSection from './LineSection.vue';
import PartsSection from './PartsSection.vue';
import ThingSection from './ThingSection.vue';
import ThingsSection from './ThingsSection.vue';
import WhatIfSection from './WhatIfSection.vue';

/** What is chosen in the plan, or its figures, its things, its underlays and its what-ifs. */
const props = defineProps<{ desk: PlanDesk; tracing: Tracing }>();
const ghostId = defineModel<string>('ghostId');
const page = defineModel<string>('page', { required: true });
const work = useAirframe();
const PAGES = [
  { value: 'figures', label: 'Figures' },
  { value: 'things', label: 'Things' },
  { value: 'trace', label: 'Trace' },
  { value: 'whatif', label: 'What if' },
];
const plan = computed(() => props.desk.plan.value);
const faults = computed(() => props.desk.report.value.faults);
const unit = computed(() => work.unit);
const shownFaults = computed(() =>
  faults.value.map((fault: PlanFault) => ({
    fault,
    shown: {
      title: worded(fault.title, unit.value),
      detail: worded(fault.detail, unit.value),
      mend: fault.mends[0] && { ...fault.mends[0], label: worded(fault.mends[0].label, unit.value) },
      others: fault.mends.slice(1).map((mend) => ({ ...mend, label: worded(mend.label, unit.value) })),
    },
  })),
);
const thing = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'thing' ? placedThings(plan.value).find(({ id }) => id === value.thingId) : undefined;
});
const guide = computed(() => {
  const { value } = props.desk.chosen;
  return value?.kind === 'guide' ? plan.value.guides.find(({ id }) => id === value.guideId) : undefined;
});
const chosenLine = computed(() => {
  const { value } = props.desk.chosen;
  if (value?.kind !== 'line') return undefined;
  const line = plan.value.lines.find(({ id }) => id === value.lineId);
  return line && { line, nodeId: value.nodeId };
});
const isChosen = computed(
  () => thing.value !== undefined || guide.value !== undefined || chosenLine.value !== undefined,
);
const heading = computed(() =>
  thing.value
    ? { title: thing.value.name, about: THING_WORDS[thing.value.kind] }
    : guide.value
      ? { title: guide.value.name, about: 'Guide' }
      : chosenLine.value
        ? { title: chosenLine.value.line.name, about: `${chosenLine.value.line.view} view` }
        : { title: 'Plan', about: `${TYPE_TRAITS[plan.value.type].word} · ${TYPE_TRAITS[plan.value.type].hint}` },
);
watch(
  () => props.desk.chosen.value?.kind,
  (kind) => {
    if (kind === 'underlay') page.value = 'trace';
  },
);
/** Mends are worked out at the airframe's factor; the plan is drawn at its own size. */
function mend(one: PlanMend): void {
  props.desk.run((now) => mendPlan(now, one));
}
function show(fault: PlanFault): void {
  const [thingId] = fault.thingIds;
  if (thingId !== undefined) props.desk.chosen.value = { kind: 'thing', thingId };
}
const isScaled = computed(() => work.airframe?.settings.scale !== 1);
const clearancesOpen = ref(false);
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <div class="slip-head">
      <h2>{{ heading.title }}</h2>
      <p>{{ heading.about }}</p>
      <el-button v-if="isChosen" link size="small" @click="desk.chosen.value = undefined">‹ Whole plan</el-button>
    </div>
    <p v-if="work.message" class="message" role="alert">{{ work.message }}</p>
    <el-segmented
      v-if="!isChosen"
      v-model="page"
      class="pages"
      :options="PAGES"
      aria-label="Pages of the slip"
      :validate-event="false"
    />
    <section v-if="shownFaults.length > 0 && (isChosen || page === 'figures')" aria-label="Faults" class="faults">
      <FaultCard
        v-for="({ fault, shown }, index) in shownFaults"
        :key="index"
        :fault="shown"
        :is-old="isScaled"
        @mend="mend"
        @show="show(fault)"
      />
      <p v-if="isScaled" class="scaled">
        Faults are those at × {{ work.airframe?.settings.scale.toFixed(2) }}; mend them at the plan’s own size, or on
        the Scale station.
      </p>
    </section>
    <ThingSection v-if="thing" :key="thing.id" :desk="desk" :thing="thing" />
    <GuideSection v-else-if="guide" :key="guide.id" :desk="desk" :guide="guide" />
    <LineSection v-else-if="chosenLine" :desk="desk" :line="chosenLine.line" :node-id="chosenLine.nodeId" />
    <template v-else-if="page === 'figures'">
      <FiguresSection :desk="desk" />
      <section v-if="desk.report.value.clearances.length > 0" aria-label="Clearances">
        <FoldAway title="Clearances in motion" :is-open="clearancesOpen" @toggle="clearancesOpen = $event">
          <ClearancesSection :clearances="desk.report.value.clearances" :unit="work.unit" />
        </FoldAway>
      </section>
    </template>
    <template v-else-if="page === 'things'">
      <ThingsSection :desk="desk" />
      <PartsSection :desk="desk" />
    </template>
    <TraceSection v-else-if="page === 'trace'" :desk="desk" :tracing="tracing" />
    <WhatIfSection v-else v-model:shown-id="ghostId" :desk="desk" />
  </aside>
</template>

<style scoped>
.slip-head {
  padding-bottom: 8px;
}
.pages {
  width: 100%;
}
.message {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 6px 10px;
  margin-bottom: 8px;
}
.faults {
  margin-top: 12px;
}
.scaled {
  padding-top: 6px;
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
