<script setup lang="ts">
import { computed, reactive } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import {
  bodyFromNumbers,
  bodyFromPlanned,
  isWing,
  MOST_SEATS,
  USUAL_SEAT,
  usualBody,
  type BodyForm,
  type BodySeat,
  type Form,
} from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** A body from six numbers, or from the one that is planned; the wings that there are sit in it. */
const props = defineProps<{
  naming: (wanted: string, prefix: string) => { readonly id: string; readonly name: string };
}>();
const emit = defineEmits<{ make: [forms: readonly Form[]] }>();
const work = useAirframe();
const materials = materialsOf(work.airframe?.boards ?? []);
const numbers = reactive({ ...usualBody(work.unit), material: materials[0] ?? 'faced board' });
const ROWS = [
  ['lengthMm', 'Length', 100, 3000],
  ['heightMm', 'Highest', 20, 600],
  ['widthMm', 'Widest', 20, 600],
  ['noseHeightMm', 'High at the nose', 20, 600],
  ['tailHeightMm', 'High at the tail', 14, 600],
  ['tailWidthMm', 'Wide at the tail', 14, 600],
] as const;
/** How far a wing sinks into the walls, and how far behind a station its nose lies, in mm. */
const SUNK_MM = 4;
const CLEAR_OF_STATION_MM = 30;
const boardMm = (): number => formContext(work.airframe!).boardOf(numbers.material).thicknessMm;
/** The body with its wings in it; those that were never placed come to lie on top, where the body is highest. */
function seated(form: BodyForm): readonly Form[] {
  const wings = (work.airframe?.forms ?? []).filter(isWing).slice(0, MOST_SEATS),
    { stations } = form.parameters,
    highest = stations.reduce((best, one) => (one.topMm > best.topMm ? one : best));
  const seats = wings.map(({ id }, index): BodySeat => ({ id: `k${index + 1}`, formId: id, ...USUAL_SEAT }));
  const moved = wings
    .filter(({ place: { at }, plannedId, standsBy }) => !plannedId && !standsBy && at.x === 0 && at.z === 0)
    .slice(0, 1)
    .map((wing) => ({
      ...wing,
      place: {
        ...wing.place,
        at: {
          x: form.place.at.x + highest.aftMm + CLEAR_OF_STATION_MM,
          y: 0,
          z: form.place.at.z + highest.topMm - SUNK_MM,
        },
      },
    }));
  return [{ ...form, parameters: { ...form.parameters, seats } }, ...moved];
}
function make(): void {
  const named = props.naming('Body', 'b');
  emit('make', [
    ...seated({
      ...named,
      kind: 'body',
      parameters: bodyFromNumbers({ ...numbers }, boardMm()),
      place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
    }),
  ]);
}
const planned = computed(() => {
  const linked = new Set((work.airframe?.forms ?? []).map(({ plannedId }) => plannedId));
  return (work.airframe?.plan?.things ?? []).flatMap((thing) =>
    thing.kind === 'body' && !linked.has(thing.id) ? [thing] : [],
  );
});
function fromPlan(thing: (typeof planned.value)[number]): void {
  const { id, name } = props.naming(thing.name.slice(0, 40), 'b');
  emit('make', seated(bodyFromPlanned(thing, id, name, numbers.material, boardMm())));
}
</script>

<template>
  <p class="lead">
    Six numbers give walls, floor, lid and formers for your board as it is measured: every sheet as long as the line
    that it follows, every former on its mark. Wings that there are sit in it, the walls cut to their section.
  </p>
  <div class="numbers">
    <MeasureField
      v-for="[key, word, least, most] in ROWS"
      :key="key"
      :label="word"
      :unit="work.unit"
      :model-value="numbers[key]"
      :least="least"
      :most="most"
      @update:model-value="numbers[key] = $event"
    />
    <ChoiceRow
      label="Board"
      :model-value="numbers.material"
      :choices="(materials.length > 0 ? materials : [numbers.material]).map((one) => [one, one] as const)"
      is-list
      @update:model-value="numbers.material = $event"
    />
  </div>
  <div class="go">
    <el-button type="primary" @click="make">Make the body</el-button>
    <el-button v-for="thing in planned" :key="thing.id" @click="fromPlan(thing)"
      >From the plan: {{ thing.name }}</el-button
    >
    <slot />
  </div>
</template>
