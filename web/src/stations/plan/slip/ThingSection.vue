<script setup lang="ts">
import { computed } from 'vue';
import {
  copyThing,
  fieldOf,
  isBox,
  isSurface,
  moveThing,
  PLAN_AXES,
  placedPlanGuides,
  placedThings,
  removeThing,
  THING_FIELDS,
  withField,
  withThing,
  wingSeats,
  type PlanAxis,
  type PlannedThing,
  type ThingField,
} from '@grain-fold/core/plan';
import { formatMass } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { PlanDesk } from '../use-plan.ts';
import BodyRows from './BodyRows.vue';
import SurfaceRows from './SurfaceRows.vue';

/** A planned thing: its sizes, its place, its mass, what holds it and what it goes along with. */
const props = defineProps<{ desk: PlanDesk; thing: PlannedThing }>();
const work = useAirframe();
const AXIS_WORDS: Readonly<Record<PlanAxis, string>> = { x: 'Aft', y: 'To starboard', z: 'Up' };
const plan = computed(() => props.desk.plan.value);
const fields = computed(() => THING_FIELDS[props.thing.kind]);
const axes = computed(() => PLAN_AXES.filter((axis) => !(axis === 'y' && isSurface(props.thing))));
const seat = computed(() => wingSeats(plan.value).find(({ surface }) => surface.id === props.thing.id));
const massSoFar = computed(
  () => props.desk.report.value.figures.mass.each.find(({ thing }) => thing.id === props.thing.id)?.massG ?? 0,
);
const others = computed<readonly (readonly [string, string])[]>(() => [
  ['', 'nothing'],
  ...placedThings(plan.value)
    .filter(({ id }) => id !== props.thing.id)
    .map(({ id, name }) => [id, name] as const),
]);
const guidesOf = (axis: PlanAxis): readonly (readonly [string, string])[] => [
  ['', 'nothing'],
  ...placedPlanGuides(plan.value)
    .filter(({ guide, atMm }) => guide.axis === axis && atMm !== undefined)
    .map(({ guide }) => [guide.id, guide.name] as const),
];

const change = (label: string, thing: PlannedThing): void => {
  props.desk.run((now) => ({ label, plan: withThing(now, thing) }));
};
const setField = ({ key, word }: ThingField, value: number): void =>
  change(`Change ${word.toLowerCase()} of ${props.thing.name}`, withField(props.thing, key, value));
const setPlace = (axis: PlanAxis, value: number): void => {
  const by = { x: 0, y: 0, z: 0, [axis]: value - props.thing.at[axis] };
  props.desk.run((now) => moveThing(now, props.thing.id, by));
};
function setHeld(axis: PlanAxis, guideId: string): void {
  props.desk.run((now) => {
    const guide = placedPlanGuides(now).find((one) => one.guide.id === guideId);
    const by = { x: 0, y: 0, z: 0, [axis]: guide?.atMm === undefined ? 0 : guide.atMm - props.thing.at[axis] };
    const { [axis]: _gone, ...rest } = props.thing.heldBy ?? {};
    const moved = moveThing(now, props.thing.id, by).plan,
      thing = moved.things.find(({ id }) => id === props.thing.id)!;
    const heldBy = { ...rest, ...(guideId === '' ? {} : { [axis]: guideId }) };
    const { heldBy: _before, ...free } = thing;
    return {
      label:
        guideId === '' ? `Let ${thing.name} go of its guide` : `Hold ${thing.name} by ${guide?.guide.name ?? 'guide'}`,
      plan: withThing(moved, Object.keys(heldBy).length > 0 ? { ...free, heldBy } : free),
    };
  });
}
function setGoesWith(id: string): void {
  const { goesWith: _before, ...rest } = props.thing;
  change(
    id === '' ? `Let ${props.thing.name} go its own way` : `Let ${props.thing.name} go along`,
    id === '' ? rest : { ...rest, goesWith: id },
  );
}
function setMass(grams: number): void {
  const { massG: _before, ...rest } = props.thing;
  change(`Change mass of ${props.thing.name}`, grams > 0 || isBox(props.thing) ? { ...rest, massG: grams } : rest);
}
function copy(): void {
  const made = props.desk.run((now) => copyThing(now, props.thing.id));
  if (made) props.desk.chosen.value = { kind: 'thing', thingId: made.thingId };
}
function remove(): void {
  props.desk.run((now) => removeThing(now, props.thing.id));
  props.desk.chosen.value = undefined;
}
</script>

<template>
  <section :aria-label="thing.name">
    <TextRow
      label="Name"
      :model-value="thing.name"
      @update:model-value="$event.trim() && change(`Name ${$event}`, { ...thing, name: $event.trim() })"
    />
    <FigureRow v-if="seat" label="Sits" :value="`${seat.kind} · ${seat.body.name}`" />
    <SurfaceRows
      v-if="isSurface(thing)"
      :surface="thing"
      :unit="work.unit"
      @change="change"
      @refused="work.message = $event"
    />
    <BodyRows v-else-if="thing.kind === 'body'" :body="thing" :unit="work.unit" @change="change" />
    <template v-for="field in fields" :key="field.key">
      <MeasureField
        :label="field.word + (field.quantity === 'power' ? ', watts' : '')"
        :kind="field.quantity === 'power' ? 'number' : field.quantity"
        :unit="work.unit"
        :model-value="fieldOf(thing, field.key) ?? 0"
        :least="field.least"
        :most="field.most"
        @update:model-value="setField(field, $event)"
      />
    </template>
    <MeasureField
      label="Mass, grams"
      kind="number"
      :auto="thing.massG === undefined ? `${massSoFar.toFixed(0)} so far` : undefined"
      :model-value="thing.massG ?? 0"
      :least="0"
      :most="100000"
      @update:model-value="setMass"
    />
    <p v-if="work.unit === 'in'" class="ounces figures">{{ formatMass(massSoFar, work.unit) }}</p>
    <h3 class="eyebrow">Place</h3>
    <MeasureField
      v-for="axis in axes"
      :key="axis"
      :label="AXIS_WORDS[axis]"
      :unit="work.unit"
      :model-value="thing.at[axis]"
      @update:model-value="setPlace(axis, $event)"
    />
    <ChoiceRow
      v-for="axis in axes.filter((one) => guidesOf(one).length > 1)"
      :key="`held-${axis}`"
      :label="`${AXIS_WORDS[axis]} held by`"
      :model-value="thing.heldBy?.[axis] ?? ''"
      :choices="guidesOf(axis)"
      is-list
      @update:model-value="setHeld(axis, $event)"
    />
    <ChoiceRow
      label="Goes along with"
      :model-value="thing.goesWith ?? ''"
      :choices="others"
      is-list
      @update:model-value="setGoesWith"
    />
    <div class="acts">
      <el-button size="small" @click="copy">Copy it</el-button>
      <el-button size="small" @click="remove">Take it out</el-button>
    </div>
  </section>
</template>

<style scoped>
.eyebrow {
  padding-top: 12px;
}
.acts {
  display: flex;
  gap: 6px;
  padding-top: 12px;
}
.ounces {
  text-align: right;
  color: var(--ink-soft);
}
</style>
