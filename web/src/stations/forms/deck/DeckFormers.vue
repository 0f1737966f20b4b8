<script setup lang="ts">
import { computed } from 'vue';
import { DECK_FIELDS } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import type { DeckDesk } from '../use-forms.ts';

/** The formers under a deck. */
const props = defineProps<{ desk: DeckDesk }>();
const work = useAirframe();
const deck = computed(() => props.desk.form.value!.parameters);
const SAME = '';
const materials = computed(() => [
  [SAME, `the deck’s: ${deck.value.material}`] as const,
  ...materialsOf(work.airframe?.boards ?? []).map((one) => [one, one] as const),
]);
</script>

<template>
  <section aria-label="Formers">
    <FoldAway :title="deck.hasFormers ? `Formers · ${deck.sections.length}` : 'Formers · none'">
      <CheckRow
        label="A former under every section"
        :model-value="deck.hasFormers"
        @update:model-value="desk.change('Change the formers', [{ path: 'hasFormers', value: $event }])"
      />
      <template v-if="deck.hasFormers">
        <FieldRows :parameters="deck" :fields="{ rimMm: DECK_FIELDS.rimMm }" :unit="work.unit" @change="desk.change" />
        <ChoiceRow
          label="Cut from"
          :model-value="deck.formerMaterial ?? SAME"
          :choices="materials"
          is-list
          @update:model-value="
            desk.change('Change board of the formers', [{ path: 'formerMaterial', value: $event || undefined }])
          "
        />
      </template>
    </FoldAway>
  </section>
</template>
