<script setup lang="ts">
import { ref } from 'vue';
import { isBody, tailFromNumbers, usualTail, type TailForm } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A tail of four plates from five numbers: what moves leaves each other room. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly TailForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualTail(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['spanMm', 'Span, tip to tip', 'length', 60, 2000],
  ['chordMm', 'Chord in the middle, with the elevator', 'length', 30, 800],
  ['heightMm', 'Height of the fin', 'length', 20, 600],
  ['elevatorDegrees', 'Elevator travels, up and down', 'angle', 0, 45],
  ['rudderDegrees', 'Rudder travels, either way', 'angle', 0, 45],
];
/** On the tail of a body that is there: level on its top line, its hinge at the body’s end. */
function onBody(rootMm: number): TailForm['place'] {
  const body = work.airframe?.forms?.find(isBody),
    last = body?.parameters.stations.at(-1);
  if (!body || !last) return AT_DATUM;
  const { x, y, z } = body.place.at;
  return { ...AT_DATUM, at: { x: x + last.aftMm - rootMm, y, z: z + last.topMm } };
}
function make(): void {
  const parameters = tailFromNumbers({ ...numbers.value });
  emit('make', [
    { ...props.naming('Tail', 't'), kind: 'tail', parameters, place: onBody(parameters.stabiliser.rootMm) },
  ]);
}
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Stabiliser, elevator, fin and rudder of flat board. What moves is turned through all of its travel against what it could touch, and what would be in the way is cut out; hinges are relieved by their travel."
    :rows="ROWS"
    makes="Make the tail"
    @make="make"
    ><slot
  /></StartNumbers>
</template>
