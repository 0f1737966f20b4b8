<script setup lang="ts">
import { computed, ref } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import {
  formFromPlanned,
  formsFromNumbers,
  usualNumbers,
  type WingForm,
  type WingStartBuild,
  type WingStartKind,
} from '@grain-fold/core/forms';
import SchoolRow from '../slip/SchoolRow.vue';
import { START_BUILDS, STARTS } from '../slip/schools.ts';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { firstMaterial, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A wing, or two that stand by each other, from six numbers. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly WingForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualNumbers('wing', work.unit), material: firstMaterial(work.airframe) });
const kind = ref<WingStartKind>('wing');
const build = ref<WingStartBuild>('folded');
/** Once it was chosen by hand it stays. */
let isBuildChosen = false;
function setBuild(next: string): void {
  isBuildChosen = true;
  build.value = next as WingStartBuild;
}
/** Another kind starts from the numbers that are usual for it. */
function setKind(next: WingStartKind): void {
  kind.value = next;
  numbers.value = { ...numbers.value, ...usualNumbers(next, work.unit) };
  if (!isBuildChosen) build.value = next === 'flying wing' || next === 'V-tail' ? 'stepped' : 'folded';
}
const ROWS: readonly StartRow[] = [
  ['spanMm', 'Span, tip to tip', 'length', 100, 6000],
  ['rootChordMm', 'Chord in the middle', 'length', 40, 1500],
  ['tipChordMm', 'Chord at the tip', 'length', 30, 1500],
  ['dihedralDegrees', 'Dihedral of each half', 'angle', -30, 40],
  ['sparHeightMm', 'Height of the spar', 'length', 1, 100],
];
/** Wings of the plan that no form was made from yet. */
const planned = computed(() => {
  const linked = new Set((work.airframe?.forms ?? []).map(({ plannedId }) => plannedId));
  return (work.airframe?.plan?.things ?? []).flatMap((thing) =>
    thing.kind === 'wing' && !linked.has(thing.id) ? [thing] : [],
  );
});
function fromPlan(thing: (typeof planned.value)[number]): void {
  const boardMm = formContext(work.airframe!).boardOf(numbers.value.material).thicknessMm;
  const { id, name } = props.naming(thing.name.slice(0, 40), 'w');
  emit('make', [formFromPlanned(thing, id, name, numbers.value.material, boardMm)]);
}
function make(): void {
  emit(
    'make',
    formsFromNumbers(kind.value, build.value, { ...numbers.value }, (wanted) => props.naming(wanted, 'w')),
  );
}
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Six numbers give every flat part for your board as it is measured: skins with their folds, spars, ends that meet at the joint, blocks to hold it. You see it closed before a knife touches foam."
    :rows="ROWS"
    :makes="kind === 'biplane' || kind === 'canard' ? 'Make both wings' : 'Make the wing'"
    @make="make"
  >
    <template #before>
      <SchoolRow
        label="What"
        :model-value="kind"
        :choices="STARTS"
        @update:model-value="setKind($event as WingStartKind)"
      />
    </template>
    <template #after>
      <SchoolRow label="Built as" :model-value="build" :choices="START_BUILDS" @update:model-value="setBuild" />
    </template>
    <el-button v-for="thing in planned" :key="thing.id" @click="fromPlan(thing)"
      >From the plan: {{ thing.name }}</el-button
    >
    <slot />
  </StartNumbers>
</template>
