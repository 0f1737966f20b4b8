<script setup lang="ts">
import { ref } from 'vue';
import { shellFromNumbers, usualShell, type ShellForm } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A shell from three numbers: eighteen faces with keel, chines, shoulders and a spine. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly ShellForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualShell(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['lengthMm', 'Length', 'length', 80, 3000],
  ['widthMm', 'Widest', 'length', 30, 1000],
  ['heightMm', 'Highest', 'length', 30, 1000],
];
const make = (): void =>
  emit('make', [
    {
      ...props.naming('Shell', 'h'),
      kind: 'shell',
      parameters: shellFromNumbers({ ...numbers.value }),
      place: AT_DATUM,
    },
  ]);
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Plane faces between sections: every edge is cut to its true angle, the faces unfolded into pieces that fit your boards, port and starboard mirrored. Three numbers give eighteen faces with a spine; its corners are then yours."
    :rows="ROWS"
    makes="Make the shell"
    @make="make"
    ><slot
  /></StartNumbers>
</template>
