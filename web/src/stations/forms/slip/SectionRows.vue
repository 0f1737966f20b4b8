<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  CAMBER_FIELDS,
  USUAL_CAMBER,
  USUAL_CORE,
  USUAL_LAYERS,
  type ParameterChange,
  type WingBuild,
} from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import SectionPlot from '../SectionPlot.vue';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';
import CoreRows from './CoreRows.vue';
import LayerRows from './LayerRows.vue';
import SchoolRow from './SchoolRow.vue';
import SkinRows from './SkinRows.vue';
import { BUILDS } from './schools.ts';

/** What the wing is built of, with the plot of its section. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const end = ref<'root' | 'tip'>('root');
const wing = computed(() => props.desk.form.value!.parameters);
const build = computed(() => wing.value.build ?? 'folded');
const panel = computed(() => Math.min(props.desk.chosen.value?.index ?? 0, wing.value.panels.length - 1));
/** A hot wire runs on wood. */
const wood = computed(() => materialsOf(work.airframe?.boards ?? []).find((one) => /ply|wood|balsa|card/i.test(one)));
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
/** What a way of building needs is there when it is chosen; what was said of another is kept for it. */
function setBuild(value: string): void {
  const form = props.desk.stored.value!,
    { parameters } = form;
  props.desk.replace('Change how the wing is built', {
    ...form,
    parameters: {
      ...parameters,
      build: value as WingBuild,
      ...(value === 'stepped'
        ? {
            layers: parameters.layers ?? USUAL_LAYERS,
            panels: parameters.panels.map((one) => ({ ...one, washoutDegrees: 0 })),
          }
        : {}),
      ...(value === 'cored'
        ? {
            core: parameters.core ?? USUAL_CORE,
            jigMaterial: wood.value ?? parameters.jigMaterial,
            ...(parameters.section.kind === 'strip-spar'
              ? {
                  section: {
                    ...parameters.section,
                    kind: 'naca' as const,
                    digits: parameters.section.digits ?? '2412',
                  },
                }
              : {}),
          }
        : {}),
      ...(value === 'cambered' ? { camber: parameters.camber ?? USUAL_CAMBER } : {}),
    },
  });
}
</script>

<template>
  <section aria-label="Section">
    <h3 class="eyebrow">
      Section
      <el-segmented
        v-model="end"
        size="small"
        :options="[
          { value: 'root', label: 'root' },
          { value: 'tip', label: 'tip' },
        ]"
        aria-label="End shown"
        :validate-event="false"
      />
    </h3>
    <SectionPlot v-if="desk.made.value" :made="desk.made.value" :panel="panel" :end="end" :unit="work.unit" />
    <SchoolRow label="Built as" :model-value="build" :choices="BUILDS" @update:model-value="setBuild" />
    <SkinRows v-if="build === 'folded' || build === 'cored'" :desk="desk" />
    <CoreRows v-if="build === 'cored'" :desk="desk" />
    <LayerRows v-if="build === 'stepped'" :desk="desk" />
    <FieldRows
      v-else-if="build === 'cambered'"
      :parameters="wing"
      prefix="camber."
      :fields="CAMBER_FIELDS"
      :unit="work.unit"
      @change="change"
    />
    <p class="safety">Cut away from the hand, against a steel rule, with a fresh blade.</p>
  </section>
</template>

<style scoped>
h3 {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding-bottom: 6px;
}
.safety {
  font-size: 13px;
  color: var(--label);
  padding-top: 8px;
}
</style>
