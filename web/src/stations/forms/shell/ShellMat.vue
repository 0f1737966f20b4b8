<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ShapeMat from '../mat/ShapeMat.vue';
import type { ShellDesk } from '../use-forms.ts';
import { shellViews } from './shell-views.ts';

/** The shell from the side, from above and from behind, its chosen section foremost. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const mat = useTemplateRef<InstanceType<typeof ShapeMat>>('mat');
const views = computed(() => shellViews(props.desk.made.value!.site!, work.unit, props.desk.chosen.value));
defineExpose({ fit: () => mat.value?.fit() });
</script>

<template>
  <ShapeMat ref="mat" :desk="desk" :views="views"><slot /></ShapeMat>
</template>
