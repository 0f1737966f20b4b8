<script setup lang="ts">
import { computed } from 'vue';
import { TAIL_FIELDS } from '@grain-fold/core/forms';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { TailDesk } from '../use-forms.ts';
import { YIELDS } from './schools.ts';

/** What gives way where two that move want one place. */
const props = defineProps<{ desk: TailDesk }>();
const work = useAirframe();
const tail = computed(() => props.desk.form.value!.parameters);
</script>

<template>
  <section v-if="tail.elevator && tail.fin" aria-label="Room to move">
    <FoldAway title="Room to move" is-open>
      <SchoolRow
        v-if="tail.rudder"
        label="Where they meet"
        :model-value="tail.yields"
        :choices="YIELDS"
        @update:model-value="desk.change('Change what is cut', [{ path: 'yields', value: $event }])"
      />
      <FieldRows :parameters="tail" :fields="TAIL_FIELDS" :unit="work.unit" @change="desk.change" />
    </FoldAway>
  </section>
</template>
