<script setup lang="ts">
import { computed } from 'vue';
import { STABILISER_FIELDS } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import type { TailDesk } from '../use-forms.ts';

/** The fixed level plate. */
const props = defineProps<{ desk: TailDesk }>();
const work = useAirframe();
const tail = computed(() => props.desk.form.value!.parameters);
</script>

<template>
  <section aria-label="Stabiliser">
    <h3 class="eyebrow">Stabiliser</h3>
    <FieldRows
      :parameters="tail"
      prefix="stabiliser."
      :fields="STABILISER_FIELDS"
      :unit="work.unit"
      @change="desk.change"
    />
  </section>
</template>
