<script setup lang="ts">
import { computed } from 'vue';
import {
  LAYER_FIELDS,
  MOST_LAYERS,
  USUAL_NOSE_ROUND_MM,
  WING_FIELDS,
  type ParameterChange,
  type WingLayer,
} from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** The layers on the plate of a stepped wing, each a board thick. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const layers = computed(() => wing.value.layers ?? []);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const SIDES = [
  ['top', 'on top'],
  ['bottom', 'below'],
] as const;
const round = {
  noseRoundMm: { word: formatLength(USUAL_NOSE_ROUND_MM, work.unit), value: USUAL_NOSE_ROUND_MM },
};
function setLayers(label: string, next: readonly WingLayer[]): void {
  const form = props.desk.stored.value!;
  props.desk.replace(label, { ...form, parameters: { ...form.parameters, layers: next } });
}
/** The next layer lies on the last of the top, a little narrower. */
function addLayer(): void {
  const below = layers.value.findLast(({ side }) => side === 'top') ?? { fromPercent: 0, toPercent: 60 };
  const width = below.toPercent - below.fromPercent;
  setLayers('Add layer', [
    ...layers.value,
    {
      side: 'top',
      fromPercent: Math.round(below.fromPercent + 0.15 * width),
      toPercent: Math.round(below.toPercent - 0.25 * width),
    },
  ]);
}
</script>

<template>
  <div v-for="(layer, at) in layers" :key="at" class="layer">
    <ChoiceRow
      :label="`Layer ${at + 1} lies`"
      :model-value="layer.side"
      :choices="SIDES"
      is-list
      @update:model-value="change('Turn layer', [{ path: `layers.${at}.side`, value: $event }])"
    />
    <FieldRows :parameters="wing" :prefix="`layers.${at}.`" :fields="LAYER_FIELDS" :unit="work.unit" @change="change" />
    <el-button
      link
      size="small"
      @click="
        setLayers(
          'Take out layer',
          layers.filter((_, one) => one !== at),
        )
      "
      >Take it out</el-button
    >
  </div>
  <el-button size="small" :disabled="layers.length >= MOST_LAYERS" @click="addLayer">Add a layer</el-button>
  <FieldRows
    :parameters="wing"
    :fields="{ noseRoundMm: WING_FIELDS.noseRoundMm }"
    :follows="round"
    :unit="work.unit"
    @change="change"
  />
</template>

<style scoped>
.layer {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 8px;
}
</style>
