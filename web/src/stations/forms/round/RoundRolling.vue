<script setup lang="ts">
import { computed } from 'vue';
import { ROUND_FIELDS } from '@grain-fold/core/forms';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import RollRows from '../slip/RollRows.vue';
import type { RoundDesk } from '../use-forms.ts';

/** How the sheets of a round are rolled, and where their seams lie. */
const props = defineProps<{ desk: RoundDesk }>();
const round = computed(() => props.desk.form.value!.parameters);
const made = computed(() => props.desk.made.value);
const SEAMS = [
  ['below', 'below'],
  ['above', 'above'],
] as const;
</script>

<template>
  <section aria-label="Rolling">
    <FoldAway title="How it is rolled" is-open>
      <RollRows
        :desk="desk"
        :parameters="round"
        :field="ROUND_FIELDS.neutralPercent"
        :neutral-percent="made?.site?.neutralPercent ?? 0"
        :strain="made?.figures?.strain"
      />
      <ChoiceRow
        label="Seams lie"
        :model-value="round.seam"
        :choices="SEAMS"
        @update:model-value="desk.change('Move the seams', [{ path: 'seam', value: $event }])"
      />
    </FoldAway>
  </section>
</template>
