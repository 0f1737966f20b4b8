<script setup lang="ts">
import { computed, ref } from 'vue';
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
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A body from six numbers, or from the one that is planned; the wings that there are sit in it. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly Form[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualBody(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['lengthMm', 'Length', 'length', 100, 3000],
  ['heightMm', 'Highest', 'length', 20, 600],
  ['widthMm', 'Widest', 'length', 20, 600],
  ['noseHeightMm', 'High at the nose', 'length', 20, 600],
  ['tailHeightMm', 'High at the tail', 'length', 14, 600],
  ['tailWidthMm', 'Wide at the tail', 'length', 14, 600],
];
/** How far a wing sinks into the walls, and how far behind a station its nose lies, in mm. */
const SUNK_MM = 4;
const CLEAR_OF_STATION_MM = 30;
const boardMm = (): number => formContext(work.airframe!).boardOf(numbers.value.material).thicknessMm;
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
      parameters: bodyFromNumbers({ ...numbers.value }, boardMm()),
      place: AT_DATUM,
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
  emit('make', seated(bodyFromPlanned(thing, id, name, numbers.value.material, boardMm())));
}
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Six numbers give walls, floor, lid and formers for your board as it is measured: every sheet as long as the line that it follows, every former on its mark. Wings that there are sit in it, the walls cut to their section."
    :rows="ROWS"
    makes="Make the body"
    @make="make"
  >
    <el-button v-for="thing in planned" :key="thing.id" @click="fromPlan(thing)"
      >From the plan: {{ thing.name }}</el-button
    >
    <slot />
  </StartNumbers>
</template>
