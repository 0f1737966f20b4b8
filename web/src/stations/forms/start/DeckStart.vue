<script setup lang="ts">
import { computed, ref } from 'vue';
import { deckFromNumbers, deckOverBody, isBody, usualDeck, type BodyForm, type DeckForm } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, highestOf, type Naming, type StartRow } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** A wrapped deck from five numbers: a sheet between two half ellipses. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly DeckForm[]] }>();
const work = useAirframe();
const numbers = ref({ ...usualDeck(work.unit), material: firstMaterial(work.airframe) });
const ROWS: readonly StartRow[] = [
  ['lengthMm', 'Length', 'length', 20, 3000],
  ['foreWidthMm', 'Wide before', 'length', 15, 800],
  ['foreRiseMm', 'High before', 'length', 5, 400],
  ['aftWidthMm', 'Wide behind', 'length', 15, 800],
  ['aftRiseMm', 'High behind', 'length', 5, 400],
];
/** On top of what is there already. */
function onTop(): DeckForm['place'] {
  const highest = (work.airframe?.forms ?? []).map((form) => form.place.at.z + highestOf(form));
  return { ...AT_DATUM, at: { ...AT_DATUM.at, z: Math.max(0, ...highest) } };
}
const make = (): void =>
  emit('make', [
    { ...props.naming('Deck', 'd'), kind: 'deck', parameters: deckFromNumbers({ ...numbers.value }), place: onTop() },
  ]);
/** Bodies that are open above: a deck closes them. */
const open = computed(() =>
  (work.airframe?.forms ?? []).filter(isBody).filter(({ parameters }) => parameters.lid === 'none'),
);
const over = (body: BodyForm): void =>
  emit('make', [
    {
      ...props.naming('Deck', 'd'),
      kind: 'deck',
      parameters: deckOverBody(body.parameters, numbers.value.material),
      place: body.place,
    },
  ]);
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="One sheet bent over from sill to sill, between sections of your own: unrolled along the lines on which it bends, both its edges as long as the sections they lie on, with formers cut to its inside."
    :rows="ROWS"
    makes="Make the deck"
    @make="make"
  >
    <el-button v-for="body in open" :key="body.id" @click="over(body)">Over {{ body.name }}</el-button>
    <slot />
  </StartNumbers>
</template>
