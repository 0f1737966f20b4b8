<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ShapeMat from '../mat/ShapeMat.vue';
import type { BodyDesk } from '../use-forms.ts';
import { bodyViews } from './body-views.ts';

/** The body from the side and from above, with what sits in it. */
const props = defineProps<{ desk: BodyDesk }>();
const work = useAirframe();
const mat = useTemplateRef<InstanceType<typeof ShapeMat>>('mat');
const views = computed(() => {
  const { site, figures } = props.desk.made.value!;
  return bodyViews(site!, figures!, props.desk.forms.value, work.unit, props.desk.chosen.value);
});
defineExpose({ fit: () => mat.value?.fit() });
</script>

<template>
  <ShapeMat ref="mat" :desk="desk" :views="views"><slot /></ShapeMat>
</template>
