<script setup lang="ts">
import { computed } from 'vue';
import {
  BOLTS_FIELD,
  FIREWALL_FIELDS,
  PATTERN_FIELDS,
  RING_PLATE_FIELDS,
  SECOND_FIELD,
  type FormField,
} from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { PowerDesk } from '../use-forms.ts';

/** The plates that bear the motor: its bolts, shaft and leads, and a ring round it. */
const props = defineProps<{ desk: PowerDesk }>();
const work = useAirframe();
const power = computed(() => props.desk.form.value!.parameters);
const PATTERNS = [
  ['unequal cross', 'an unequal cross', 'Two bars of different lengths across each other.'],
  ['cross', 'a cross', 'Two bars of one length.'],
  ['circle', 'a circle', 'So many bolts on one circle.'],
] as const;
const fields = computed((): Readonly<Record<string, FormField>> => ({
  ...PATTERN_FIELDS,
  ...(power.value.pattern.kind === 'unequal cross' ? SECOND_FIELD : {}),
  ...(power.value.pattern.kind === 'circle' ? BOLTS_FIELD : {}),
}));
const materials = computed(() =>
  [...new Set([power.value.plateMaterial, ...materialsOf(work.airframe?.boards ?? [])])].map(
    (one) => [one, one] as const,
  ),
);
/** How wide and how far before the firewall a ring begins. */
const USUAL_RING = { outerMm: 50, innerMm: 34, aheadMm: 20 } as const;
function setRing(isThere: boolean): void {
  const form = props.desk.stored.value!,
    { ring: _before, ...rest } = form.parameters;
  props.desk.replace(isThere ? 'Add a nose ring' : 'Leave out the nose ring', {
    ...form,
    parameters: isThere ? { ...rest, ring: USUAL_RING } : rest,
  });
}
</script>

<template>
  <section aria-label="Firewall">
    <FoldAway title="Firewall and motor" is-open>
      <SchoolRow
        label="Bolted on"
        :model-value="power.pattern.kind"
        :choices="PATTERNS"
        @update:model-value="desk.change('Change the bolts', [{ path: 'pattern.kind', value: $event }])"
      />
      <FieldRows :parameters="power" prefix="pattern." :fields="fields" :unit="work.unit" @change="desk.change" />
      <FieldRows :parameters="power" :fields="FIREWALL_FIELDS" :unit="work.unit" @change="desk.change" />
      <ChoiceRow
        label="Plates cut from"
        :model-value="power.plateMaterial"
        :choices="materials"
        is-list
        @update:model-value="desk.change('Change the plates', [{ path: 'plateMaterial', value: $event }])"
      />
      <CheckRow label="A nose ring" :model-value="power.ring !== undefined" @update:model-value="setRing" />
      <FieldRows
        v-if="power.ring"
        :parameters="power"
        prefix="ring."
        :fields="RING_PLATE_FIELDS"
        :unit="work.unit"
        @change="desk.change"
      />
    </FoldAway>
  </section>
</template>
