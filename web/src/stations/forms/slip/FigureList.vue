<script setup lang="ts">
import { computed } from 'vue';
import FigureRow from '../../../kit/FigureRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import WorkingSheet from '../slip/WorkingSheet.vue';
import type { FormsDesk } from '../use-forms.ts';

/** What a form comes to, and the hand calculation that it replaces. */
const props = defineProps<{ desk: FormsDesk; rows: readonly (readonly [label: string, value: string])[] }>();
const work = useAirframe();
const made = computed(() => props.desk.made.value);
</script>

<template>
  <section v-if="made?.figures" aria-label="Figures">
    <h3 class="eyebrow">What it comes to</h3>
    <FigureRow v-for="([label, value], at) in rows" :key="at" :label="label" :value="value" />
    <FoldAway title="Working, step by step">
      <WorkingSheet :name="desk.form.value!.name" :airframe="work.airframe?.name ?? ''" :steps="made.working" />
    </FoldAway>
  </section>
</template>
