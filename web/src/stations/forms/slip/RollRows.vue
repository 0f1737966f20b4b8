<script setup lang="ts">
import { computed } from 'vue';
import type { DeckParameters, FormField, RollStrain, RoundParameters } from '@grain-fold/core/forms';
import FigureRow from '../../../kit/FigureRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';
import { ROLLS } from './rolled.ts';
import SchoolRow from './SchoolRow.vue';

/** How a board is rolled: which skins stay, where it keeps its length, and how far that stretches it. */
const props = defineProps<{
  desk: FormsDesk;
  parameters: RoundParameters | DeckParameters;
  field: FormField;
  /** What the neutral line is when it is not measured, in per cent. */
  neutralPercent: number;
  strain: RollStrain | undefined;
}>();
const work = useAirframe();
const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;
const words = computed(() => (props.strain ? `${percent(props.strain.share)} of ${percent(props.strain.most)}` : ''));
</script>

<template>
  <SchoolRow
    label="Rolled with"
    :model-value="parameters.skins"
    :choices="ROLLS"
    @update:model-value="desk.change('Change how it is rolled', [{ path: 'skins', value: $event }])"
  />
  <FieldRows
    :parameters="parameters"
    :fields="{ neutralPercent: field }"
    :unit="work.unit"
    :follows="{ neutralPercent: { word: 'by its skins', value: neutralPercent } }"
    @change="desk.change"
  />
  <FigureRow v-if="strain" label="Gives way by, of what goes well" :value="words" />
</template>
