<script setup lang="ts">
import { computed } from 'vue';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** The sheet that a plate of a form is cut from: that of the form itself, or another one. */
defineProps<{
  /** Undefined while it is that of the form. */
  modelValue: string | undefined;
  /** How that one is called: `the round’s: faced board`. */
  own: string;
}>();
const emit = defineEmits<{ 'update:modelValue': [material: string | undefined] }>();
const work = useAirframe();
const SAME = '';
const others = computed(() => materialsOf(work.airframe?.boards ?? []).map((one) => [one, one] as const));
</script>

<template>
  <ChoiceRow
    label="Cut from"
    :model-value="modelValue ?? SAME"
    :choices="[[SAME, own], ...others]"
    is-list
    @update:model-value="emit('update:modelValue', $event || undefined)"
  />
</template>
