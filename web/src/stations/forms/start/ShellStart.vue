<script setup lang="ts">
import { reactive } from 'vue';
import { shellFromNumbers, usualShell, type ShellForm } from '@grain-fold/core/forms';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** A shell from three numbers: eighteen faces with keel, chines, shoulders and a spine. */
const props = defineProps<{
  naming: (wanted: string, prefix: string) => { readonly id: string; readonly name: string };
}>();
const emit = defineEmits<{ make: [forms: readonly ShellForm[]] }>();
const work = useAirframe();
const materials = materialsOf(work.airframe?.boards ?? []);
const numbers = reactive({ ...usualShell(work.unit), material: materials[0] ?? 'faced board' });
const ROWS = [
  ['lengthMm', 'Length', 80, 3000],
  ['widthMm', 'Widest', 30, 1000],
  ['heightMm', 'Highest', 30, 1000],
] as const;
function make(): void {
  emit('make', [
    {
      ...props.naming('Shell', 'h'),
      kind: 'shell',
      parameters: shellFromNumbers({ ...numbers }),
      place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
    },
  ]);
}
</script>

<template>
  <p class="lead">
    Plane faces between sections: every edge is cut to its true angle, the faces unfolded into pieces that fit your
    boards, port and starboard mirrored. Three numbers give eighteen faces with a spine; its corners are then yours.
  </p>
  <div class="numbers">
    <MeasureField
      v-for="[key, word, least, most] in ROWS"
      :key="key"
      :label="word"
      :unit="work.unit"
      :model-value="numbers[key]"
      :least="least"
      :most="most"
      @update:model-value="numbers[key] = $event"
    />
    <ChoiceRow
      label="Board"
      :model-value="numbers.material"
      :choices="(materials.length > 0 ? materials : [numbers.material]).map((one) => [one, one] as const)"
      is-list
      @update:model-value="numbers.material = $event"
    />
  </div>
  <div class="go">
    <el-button type="primary" @click="make">Make the shell</el-button>
    <slot />
  </div>
</template>
