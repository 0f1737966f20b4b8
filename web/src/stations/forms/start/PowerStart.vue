<script setup lang="ts">
import { ref } from 'vue';
import { powerFromNumbers, usualPower, type PowerForm } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A power box with its firewall from five numbers. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly PowerForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualPower(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['widthMm', 'Inside, between the walls', 'length', 15, 300],
  ['heightMm', 'Inside, over the floor', 'length', 10, 300],
  ['lengthMm', 'Length', 'length', 20, 600],
  ['rightDegrees', 'Thrust to the right', 'angle', -10, 10],
  ['downDegrees', 'Thrust down', 'angle', -10, 10],
];
/** Plates are of ply where there is some. */
const plates = (): string =>
  materialsOf(work.airframe?.boards ?? []).find((one) => /ply/i.test(one)) ?? numbers.value.material;
const make = (): void =>
  emit('make', [
    {
      ...props.naming('Power box', 'p'),
      kind: 'power',
      parameters: powerFromNumbers({ ...numbers.value }, plates()),
      place: AT_DATUM,
    },
  ]);
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="A box for motor and battery from one strip. Its front is cut square to the shaft, so that the firewall turns the thrust by itself; the motor stands as far aside as keeps the propeller’s middle on the line."
    :rows="ROWS"
    makes="Make the power box"
    @make="make"
    ><slot
  /></StartNumbers>
</template>
