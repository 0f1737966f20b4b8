<script setup lang="ts">
import { computed } from 'vue';
import { DECK_FIELDS } from '@grain-fold/core/forms';
import CheckRow from '../../../kit/CheckRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import CutFromRow from '../slip/CutFromRow.vue';
import FieldRows from '../slip/FieldRows.vue';
import type { DeckDesk } from '../use-forms.ts';

/** The formers under a deck. */
const props = defineProps<{ desk: DeckDesk }>();
const work = useAirframe();
const deck = computed(() => props.desk.form.value!.parameters);
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
        <CutFromRow
          :model-value="deck.formerMaterial"
          :own="`the deck’s: ${deck.material}`"
          @update:model-value="desk.change('Change board of the formers', [{ path: 'formerMaterial', value: $event }])"
        />
      </template>
    </FoldAway>
  </section>
</template>
