<script setup lang="ts">
import { computed, ref } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import { foundStruts, type Strut, type StrutForm } from '@grain-fold/core/forms';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** Struts between wings that lie over each other, supports over a body, gussets beside a fin. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly StrutForm[]] }>();
const work = useAirframe();
const numbers = ref({ material: firstMaterial(work.airframe) });
const found = computed((): readonly Strut[] =>
  work.airframe ? foundStruts(numbers.value.material, formContext(work.airframe)) : [],
);
const make = (): void =>
  emit('make', [
    {
      ...props.naming('Struts', 's'),
      kind: 'strut',
      parameters: { material: numbers.value.material, struts: found.value },
      place: AT_DATUM,
    },
  ]);
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Plates between what stands over each other, as long as it is from face to face, their ends cut to both; and gussets in corners. They follow when a wing is moved."
    :rows="[]"
    :makes="found.length === 1 ? 'Make this one' : `Make these ${found.length}`"
    :is-idle="found.length === 0"
    @make="make"
  >
    <template #before>
      <p class="found figures" role="status">
        {{
          found.length > 0
            ? found.map(({ name }) => name).join(' · ')
            : 'Nothing stands over another thing yet: make two wings, a body under a wing, or a tail with its fin first.'
        }}
      </p>
    </template>
    <slot />
  </StartNumbers>
</template>

<style scoped>
.found {
  padding: 8px 10px;
  background: var(--marigold-pale);
  border-radius: var(--radius);
  font-size: 14px;
}
</style>
