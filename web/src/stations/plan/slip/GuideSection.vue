<script setup lang="ts">
import { computed } from 'vue';
import {
  changeGuide,
  EDGES_OF_AXIS,
  placedPlanGuides,
  placedThings,
  removeGuide,
  type GuideFrom,
  type PlanGuide,
} from '@grain-fold/core/plan';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';

/** A guide: how far from what. */
const props = defineProps<{ desk: PlanDesk; guide: PlanGuide }>();
const work = useAirframe();
const plan = computed(() => props.desk.plan.value);
const placed = computed(() => placedPlanGuides(plan.value).find(({ guide }) => guide.id === props.guide.id)?.atMm);
const code = (from: GuideFrom): string =>
  from.kind === 'datum'
    ? 'datum'
    : from.kind === 'guide'
      ? `guide ${from.guideId}`
      : `thing ${from.thingId} ${from.edge}`;
const choices = computed<readonly (readonly [string, string])[]>(() => [
  ['datum', 'the datum'],
  ...plan.value.guides
    .filter(({ id, axis }) => id !== props.guide.id && axis === props.guide.axis)
    .map(({ id, name }) => [`guide ${id}`, name] as const),
  ...placedThings(plan.value).flatMap(({ id, name }) =>
    EDGES_OF_AXIS[props.guide.axis].map((edge) => [`thing ${id} ${edge}`, `${name}, ${edge}`] as const),
  ),
]);
const held = computed(() =>
  plan.value.things
    .filter(({ heldBy }) => heldBy && Object.values(heldBy).includes(props.guide.id))
    .map(({ name }) => name),
);
/** Counted from elsewhere, it stays where it is. */
function setFrom(chosen: string): void {
  const [kind, id, edge] = chosen.split(' ');
  const from = (
    kind === 'datum' ? { kind } : kind === 'guide' ? { kind, guideId: id } : { kind: 'thing', thingId: id, edge }
  ) as GuideFrom;
  props.desk.run((now) => {
    const before = placedPlanGuides(now).find((one) => one.guide.id === props.guide.id)?.atMm,
      zero = placedPlanGuides(changeGuide(now, props.guide.id, { from, byMm: 0 }).plan).find(
        (one) => one.guide.id === props.guide.id,
      )?.atMm;
    const byMm =
      before === undefined || zero === undefined ? props.guide.byMm : Math.round((before - zero) * 1000) / 1000;
    return {
      ...changeGuide(now, props.guide.id, { from, byMm }),
      label: `Count guide ${props.guide.name} from elsewhere`,
    };
  });
}
function remove(): void {
  props.desk.run((now) => removeGuide(now, props.guide.id));
  props.desk.chosen.value = undefined;
}
</script>

<template>
  <section aria-label="Guide">
    <TextRow
      label="Name"
      :model-value="guide.name"
      @update:model-value="$event.trim() && desk.run((now) => changeGuide(now, guide.id, { name: $event.trim() }))"
    />
    <ChoiceRow
      label="Counted from"
      :model-value="code(guide.from)"
      :choices="choices"
      is-list
      @update:model-value="setFrom"
    />
    <MeasureField
      label="Distance"
      :unit="work.unit"
      :model-value="guide.byMm"
      @update:model-value="desk.run((now) => changeGuide(now, guide.id, { byMm: $event }))"
    />
    <FigureRow v-if="placed !== undefined" label="Stands at" :value="formatLengthWithUnit(placed, work.unit)" />
    <p v-if="held.length > 0" class="held">Holds {{ held.join(', ') }}.</p>
    <el-button size="small" class="out" @click="remove">Take it out</el-button>
  </section>
</template>

<style scoped>
.held {
  padding-top: 8px;
  color: var(--ink-soft);
}
.out {
  margin-top: 12px;
}
</style>
