<script setup lang="ts">
import type { Contour, DrawnLine, Part } from '@grain-fold/core/part';
import type { Sizing } from '@grain-fold/core/paths';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

const props = defineProps<{ part: Part; path: Contour | DrawnLine }>();
const work = useAirframe();
const change = (sizing: string): void => {
  work.run(props.part.id, { name: 'changeSizing', args: { pathId: props.path.id, sizing: sizing as Sizing } });
};
</script>

<template>
  <ChoiceRow
    label="When scaled"
    :model-value="path.sizing"
    :choices="[
      ['scaled', 'grows'],
      ['fixed', 'keeps its size'],
      ['slot', 'keeps its width'],
    ]"
    @update:model-value="change"
  />
</template>
