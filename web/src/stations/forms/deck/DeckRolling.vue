<script setup lang="ts">
import { computed } from 'vue';
import { DECK_FIELDS } from '@grain-fold/core/forms';
import FoldAway from '../../../kit/FoldAway.vue';
import RollRows from '../slip/RollRows.vue';
import type { DeckDesk } from '../use-forms.ts';

/** How the sheets of a deck are bent. */
const props = defineProps<{ desk: DeckDesk }>();
const deck = computed(() => props.desk.form.value!.parameters);
const made = computed(() => props.desk.made.value);
</script>

<template>
  <section aria-label="Bending">
    <FoldAway title="How it is bent" is-open>
      <RollRows
        :desk="desk"
        :parameters="deck"
        :field="DECK_FIELDS.neutralPercent"
        :neutral-percent="made?.site?.neutralPercent ?? 0"
        :strain="made?.figures?.strain"
      />
    </FoldAway>
  </section>
</template>
