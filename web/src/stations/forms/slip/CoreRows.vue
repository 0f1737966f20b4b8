<script setup lang="ts">
import { computed } from 'vue';
import { CORE_FIELDS } from '@grain-fold/core/forms';
import { formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** How foam cores are cut, and the blocks that they come from. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const blocks = computed(() => props.desk.made.value?.figures?.blocks ?? []);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit, 0);
</script>

<template>
  <FieldRows
    v-if="wing.core"
    :parameters="wing"
    prefix="core."
    :fields="CORE_FIELDS"
    :unit="work.unit"
    @change="(label, changes) => desk.change(label, changes)"
  />
  <template v-for="block in blocks" :key="block.panel">
    <FigureRow
      :label="`Block of panel ${block.panel}`"
      :value="`${length(block.lengthMm)} × ${length(block.widthMm)} × ${length(block.heightMm)}`"
    />
    <FigureRow label="its core" :value="formatMass(block.massG, work.unit)" />
  </template>
  <p class="safety">
    Templates of ply, hardboard or stiff card: a hot wire melts foam. It gives off fumes: open a window and draw the air
    away, never leave it on unattended, keep water at hand, and cut only foam that you know.
  </p>
</template>

<style scoped>
.safety {
  font-size: 13px;
  color: var(--label);
  padding-top: 8px;
}
</style>
