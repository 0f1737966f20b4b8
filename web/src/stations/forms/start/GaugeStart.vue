<script setup lang="ts">
import { computed, ref } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import { foundGauges, gaugeWith, type Gauge, type GaugeForm } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { AT_DATUM, firstMaterial, type Naming } from './start-rows.ts';
import StartNumbers from './StartNumbers.vue';

/** Gauges for everything that stands and can be held by one. */
const props = defineProps<{ naming: Naming }>();
const emit = defineEmits<{ make: [forms: readonly GaugeForm[]] }>();
const work = useAirframe();
const ply = materialsOf(work.airframe?.boards ?? []).find((one) => /ply|card/i.test(one));
const numbers = ref({ material: ply ?? firstMaterial(work.airframe) });
const found = computed((): readonly Gauge[] =>
  work.airframe ? foundGauges(numbers.value.material, formContext(work.airframe)) : [],
);
/** One that needs nothing that stands. */
const ALONE: readonly Gauge[] = [gaugeWith({ id: 'g1', kind: 'throw', name: 'Control throw', partId: '' })];
const make = (): void =>
  emit('make', [
    {
      ...props.naming('Gauges', 'g'),
      kind: 'gauge',
      parameters: { material: numbers.value.material, gauges: found.value.length > 0 ? found.value : ALONE },
      place: AT_DATUM,
    },
  ]);
</script>

<template>
  <StartNumbers
    v-model="numbers"
    lead="Plates that hold or check what you build: angles of joints and fins, cradles, incidence, camber, throws, square and balance, each with what it holds and which way up printed on it. They follow when a wing or a tail is changed."
    :rows="[]"
    :makes="
      found.length > 1
        ? `Make these ${found.length} gauges`
        : found.length === 1
          ? 'Make this gauge'
          : 'Make a throw gauge'
    "
    @make="make"
  >
    <template #before>
      <p v-if="found.length > 0" class="found figures" role="status">
        {{ found.map(({ name }) => name).join(' · ') }}
      </p>
      <p v-else class="found" role="status">
        Nothing stands yet that a gauge could hold: make a wing or a tail first, or stand two drawn parts together. A
        throw gauge needs neither.
      </p>
    </template>
    <slot />
  </StartNumbers>
</template>

<style scoped>
.found {
  max-height: 30vh;
  overflow: auto;
  padding: 8px 10px;
  background: var(--marigold-pale);
  border-radius: var(--radius);
  font-size: 14px;
}
</style>
