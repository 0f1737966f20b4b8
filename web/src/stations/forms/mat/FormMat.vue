<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk, WingDesk } from '../use-forms.ts';
import { formViews } from './form-views.ts';
import ShapeMat from './ShapeMat.vue';
import WingMat from './WingMat.vue';

/** The form on the desk in its views; another form is seen whole. */
const props = defineProps<{ desk: FormsDesk }>();
const work = useAirframe();
const mat = useTemplateRef<{ fit: () => void }>('mat');
const wing = computed(() => (props.desk.form.value?.kind === 'wing' ? (props.desk as unknown as WingDesk) : undefined));
const views = computed(() => (wing.value ? undefined : formViews(props.desk, work.unit)));
defineExpose({ fit: () => mat.value?.fit() });
</script>

<template>
  <WingMat v-if="wing?.made.value" :key="wing.form.value?.id" ref="mat" :desk="wing" :made="wing.made.value" />
  <ShapeMat v-else-if="views" :key="desk.form.value?.id" ref="mat" :desk="desk" :views="views" />
</template>
