<script setup lang="ts">
import { computed } from 'vue';
import { USUAL_FOLDS, type FoldDefaults } from '@grain-fold/core/operations';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FoldAway from '../../../kit/FoldAway.vue';

/** How folds are made in this airframe, where a fold does not say so itself. */
const work = useAirframe();
const folds = computed(() => work.airframe?.settings.folds ?? USUAL_FOLDS);
const change = (changes: Partial<FoldDefaults>): void =>
  work.changeSettings('How folds are made', { folds: { ...folds.value, ...changes } });
const WHY = {
  knife: 'Each side leans by half the fold, so that both meet.',
  tool: 'The tool leans by its own angle; what that leaves open glue fills.',
  sanded: 'As by knife, but steeper faces keep true: folds up to 150°.',
  square: 'Upright walls, as a laser cuts them; glue fills the corner.',
} as const;
</script>

<template>
  <FoldAway title="How folds are made in this airframe" class="defaults">
    <ChoiceRow
      label="Grooves by"
      :model-value="folds.school"
      :choices="[
        ['knife', 'two knife bevels'],
        ['tool', 'a bevel tool'],
        ['sanded', 'sanding'],
        ['square', 'a square cut, glue fills it'],
      ]"
      @update:model-value="change({ school: $event as FoldDefaults['school'] })"
    />
    <MeasureField
      v-if="folds.school === 'tool'"
      label="Tool tilts by"
      kind="angle"
      :model-value="folds.toolDegrees"
      :least="5"
      :most="80"
      @update:model-value="change({ toolDegrees: $event })"
    />
    <p class="why">{{ WHY[folds.school] }}</p>
    <ChoiceRow
      label="Held by"
      :model-value="folds.hingeOn"
      :choices="[
        ['skin', 'the skin that is left'],
        ['tape', 'tape, cut right through'],
      ]"
      @update:model-value="change({ hingeOn: $event as FoldDefaults['hingeOn'] })"
    />
    <ChoiceRow
      label="From sizes, fold with"
      :model-value="folds.style"
      :choices="[
        ['groove', 'mitre grooves'],
        ['trench', 'trenches'],
        ['crease', 'creases'],
        ['slit', 'open slits'],
      ]"
      @update:model-value="change({ style: $event as FoldDefaults['style'] })"
    />
  </FoldAway>
</template>

<style scoped>
.defaults {
  margin-top: 16px;
}
.why {
  color: var(--ink-soft);
  margin: 2px 0 6px;
}
</style>
