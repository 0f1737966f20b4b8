<script setup lang="ts">
import { computed } from 'vue';
import { NOSE_PLATE_FIELDS, type LayeredParameters } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import type { LayeredDesk } from '../use-forms.ts';

/** A plate before the nose that bears the motor. */
const props = defineProps<{ desk: LayeredDesk }>();
const work = useAirframe();
const layered = computed(() => props.desk.form.value!.parameters);
const known = computed(() => materialsOf(work.airframe?.boards ?? []));
const materials = computed(() =>
  [...new Set([layered.value.nosePlate?.material ?? layered.value.material, ...known.value])].map(
    (one) => [one, one] as const,
  ),
);
/** How large it begins, in mm. */
const USUAL_MM = 36;
function set(isThere: boolean): void {
  const form = props.desk.stored.value!,
    { nosePlate: _before, ...rest } = form.parameters;
  const material = known.value.find((one) => /ply/i.test(one)) ?? rest.material;
  const parameters: LayeredParameters = isThere
    ? { ...rest, nosePlate: { material, widthMm: USUAL_MM, heightMm: USUAL_MM, plates: 1 } }
    : rest;
  props.desk.replace(isThere ? 'Add a nose plate' : 'Leave out the nose plate', { ...form, parameters });
}
</script>

<template>
  <section aria-label="Nose">
    <FoldAway title="Nose plate">
      <CheckRow
        label="A plate before the nose"
        :model-value="layered.nosePlate !== undefined"
        @update:model-value="set"
      />
      <template v-if="layered.nosePlate">
        <ChoiceRow
          label="Cut from"
          :model-value="layered.nosePlate.material"
          :choices="materials"
          is-list
          @update:model-value="desk.change('Change the nose plate', [{ path: 'nosePlate.material', value: $event }])"
        />
        <FieldRows
          :parameters="layered"
          prefix="nosePlate."
          :fields="NOSE_PLATE_FIELDS"
          :unit="work.unit"
          @change="desk.change"
        />
      </template>
    </FoldAway>
  </section>
</template>
