<script setup lang="ts">
import { computed } from 'vue';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import type { WingDesk } from '../use-forms.ts';
import StandsByRows from './StandsByRows.vue';

/** What a wing's middle is, what its angles are told against, and the wing that it stands by. */
const props = defineProps<{ desk: WingDesk }>();
const wing = computed(() => props.desk.stored.value!.parameters);
const DIHEDRALS = [
  ['table', 'the table'],
  ['neighbour', 'its neighbour'],
] as const;
const SWEEPS = [
  ['nose', 'the nose'],
  ['quarter', 'a quarter of the chord'],
  ['spar', 'the spar'],
] as const;
function setMiddle(isPanel: boolean): void {
  const [first] = wing.value.panels;
  props.desk.change(isPanel ? 'Panel across the middle' : 'Joint in the middle', [
    { path: 'middle', value: isPanel ? 'panel' : 'joint' },
    ...(isPanel
      ? [
          { path: 'panels.0.tipChordMm', value: wing.value.rootChordMm },
          ...(['sweepDegrees', 'dihedralDegrees', 'washoutDegrees'] as const)
            .filter((key) => first![key] !== 0)
            .map((key) => ({ path: `panels.0.${key}`, value: 0 })),
        ]
      : []),
  ]);
}
</script>

<template>
  <CheckRow
    label="A panel runs across the middle"
    :model-value="wing.middle === 'panel'"
    @update:model-value="setMiddle"
  />
  <ChoiceRow
    label="Dihedral against"
    :model-value="wing.dihedralAgainst"
    :choices="DIHEDRALS"
    is-list
    @update:model-value="desk.change('Change what dihedral is against', [{ path: 'dihedralAgainst', value: $event }])"
  />
  <ChoiceRow
    label="Sweep at"
    :model-value="wing.sweepAt"
    :choices="SWEEPS"
    is-list
    @update:model-value="desk.change('Change where sweep is told', [{ path: 'sweepAt', value: $event }])"
  />
  <StandsByRows :desk="desk" />
</template>
