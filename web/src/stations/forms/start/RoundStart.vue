<script setup lang="ts">
import { ref } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import { roundFromNumbers, usualRound, type RoundForm } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A round from five numbers: a pod of frusta, or a tube. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly RoundForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualRound(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['lengthMm', 'Length', 'length', 20, 3000],
  ['acrossMm', 'Across, where widest', 'length', 15, 800],
  ['noseMm', 'Across at the nose', 'length', 15, 800],
  ['tailMm', 'Across at the tail', 'length', 15, 800],
  ['frusta', 'Frusta', 'number', 1, 12],
];
function make(): void {
  const { thicknessMm } = formContext(work.airframe!).boardOf(numbers.value.material);
  emit('make', [
    {
      ...props.naming('Pod', 'o'),
      kind: 'round',
      parameters: roundFromNumbers({ ...numbers.value }, thicknessMm),
      place: AT_DATUM,
    },
  ]);
}
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="A stack of rolled sheets along a smooth line, joined end to end: every sheet is as long as its neutral line, every end cut half way to the next. With one width all along it is a tube."
    :rows="ROWS"
    makes="Make the round"
    @make="make"
    ><slot
  /></StartNumbers>
</template>
