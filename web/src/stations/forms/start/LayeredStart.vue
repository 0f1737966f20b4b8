<script setup lang="ts">
import { ref } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import {
  isTail,
  isWing,
  layeredFromNumbers,
  TAIL_TOP_SHARE,
  USUAL_SEAT,
  usualLayered,
  type Form,
} from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A profile body from four numbers; a wing and a tail that there are sit in it. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly Form[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualLayered(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['lengthMm', 'Length', 'length', 100, 3000],
  ['heightMm', 'Highest', 'length', 20, 500],
  ['tailHeightMm', 'High at the tail', 'length', 10, 300],
  ['layers', 'Layers', 'number', 1, 8],
];
/** Where a wing that was never placed comes to lie, in shares of the length and the height. */
const WING_AT = { aft: 0.3, up: 0.62 } as const;
/** A wing lies in the body, a tail on the rear end of it, sunk in by its board, its elevator behind. */
function placeOf(form: Form, sunkMm: number): Form['place']['at'] {
  const { lengthMm, heightMm } = numbers.value;
  return isTail(form)
    ? {
        x: Math.round(lengthMm - form.parameters.stabiliser.rootMm),
        y: 0,
        z: Math.round(10 * (TAIL_TOP_SHARE * heightMm - sunkMm)) / 10,
      }
    : { x: Math.round(WING_AT.aft * lengthMm), y: 0, z: Math.round(WING_AT.up * heightMm) };
}
function make(): void {
  const sunkMm = formContext(work.airframe!).boardOf(numbers.value.material).thicknessMm,
    others = (work.airframe?.forms ?? []).filter((form) => isWing(form) || isTail(form)),
    seated = [others.find(isWing), others.find(isTail)].flatMap((one) => one ?? []);
  const moved = seated
    .filter(({ place: { at }, plannedId, standsBy }) => !plannedId && !standsBy && at.x === 0 && at.z === 0)
    .map((form): Form => ({ ...form, place: { ...form.place, at: placeOf(form, sunkMm) } }));
  emit('make', [
    {
      ...props.naming('Profile', 'l'),
      kind: 'layered',
      parameters: {
        ...layeredFromNumbers({ ...numbers.value, layers: Math.round(numbers.value.layers) }),
        seats: seated.map(({ id }, index) => ({ id: `k${index + 1}`, formId: id, ...USUAL_SEAT })),
      },
      place: AT_DATUM,
    },
    ...moved,
  ]);
}
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="A body of boards laid on each other: one side view, each layer with its own bays, notches and slits. A wing and a tail that there are go through it, cut to their section at their incidence."
    :rows="ROWS"
    makes="Make the profile body"
    @make="make"
    ><slot
  /></StartNumbers>
</template>
