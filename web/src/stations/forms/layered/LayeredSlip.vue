<script setup lang="ts">
import { computed } from 'vue';
import { LAYERED_FIELDS } from '@grain-fold/core/forms';
import { formatArea, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import FigureRow from '../../../kit/FigureRow.vue';
import InTurn from '../../../kit/InTurn.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import BodySeats from '../body/BodySeats.vue';
import FieldRows from '../slip/FieldRows.vue';
import FigureList from '../slip/FigureList.vue';
import FormHead from '../slip/FormHead.vue';
import FormSection from '../slip/FormSection.vue';
import type { LayeredDesk } from '../use-forms.ts';
import LayeredLines from './LayeredLines.vue';
import LayerOpenings from './LayerOpenings.vue';
import LayeredNose from './LayeredNose.vue';

/** The numbers of a profile body: its lines, its layers, what is cut out of each, and what sits in it. */
const props = defineProps<{ desk: LayeredDesk }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const layered = computed(() => props.desk.form.value!.parameters);
const figures = computed(() => props.desk.made.value?.figures);
const HOLDS = [
  ['none', 'glued', 'Nothing is cut for it.'],
  ['dowels', 'bands over dowels', 'Dowels through all layers, before its nose and behind its tail: it gives way.'],
] as const;
const rows = computed((): readonly (readonly [string, string])[] => {
  const own = figures.value;
  if (!own) return [];
  const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
  return [
    ['Length', length(own.lengthMm)],
    ['Highest', length(own.highestMm)],
    ['Foam', formatArea(own.foamMm2, work.unit)],
    ['Glued between layers', formatArea(own.glueMm2, work.unit)],
    ['Mass of its foam and plates', formatMass(own.massG, work.unit)],
    ['its middle, aft of the datum', length(own.massAt.x)],
  ];
});
</script>

<template>
  <aside class="slip" aria-label="Slip">
    <FormHead
      :desk="desk"
      :words="`${layered.layers} ${layered.layers === 1 ? 'layer' : 'layers'} · ${layered.openings.length} ${layered.openings.length === 1 ? 'opening' : 'openings'} · ${layered.material}`"
      @anew="$emit('anew')"
    />
    <section v-if="figures" aria-label="Numbers">
      <FigureRow label="Wide, all layers" :value="formatLengthWithUnit(figures.widthMm, work.unit)" />
      <FieldRows :parameters="layered" :fields="LAYERED_FIELDS" :unit="work.unit" @change="desk.change" />
    </section>
    <LayerOpenings :desk="desk" />
    <InTurn><LayeredLines :desk="desk" /></InTurn>
    <InTurn><BodySeats :desk="desk" :holds="HOLDS" cut="layers" /></InTurn>
    <InTurn><LayeredNose :desk="desk" /></InTurn>
    <InTurn><FigureList :desk="desk" :rows="rows" /></InTurn>
    <InTurn><FormSection :desk="desk" /></InTurn>
  </aside>
</template>
