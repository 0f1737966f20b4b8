<script setup lang="ts">
import { computed } from 'vue';
import type { FormFault } from '@grain-fold/core/forms';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FaultCard from '../../../kit/FaultCard.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk } from '../use-forms.ts';

/** Which form is worked on, what it is, and what is wrong with it. */
const props = defineProps<{ desk: FormsDesk; words: string }>();
defineEmits<{ anew: [] }>();
const work = useAirframe();
const form = computed(() => props.desk.form.value!);
const forms = computed(() => props.desk.forms.value.map(({ id, name }) => [id, name] as const));
/** So many forms stand beside each other; more are chosen from a list. */
const MOST_ABREAST = 3;
const mend = ({ title, mend: one }: FormFault): void => {
  if (one) props.desk.change(`Mend: ${title.toLowerCase()}`, one.changes);
};
</script>

<template>
  <div class="slip-head">
    <h2>{{ form.name }}</h2>
    <p>{{ words }}</p>
    <el-segmented
      v-if="forms.length > 1 && forms.length <= MOST_ABREAST"
      :model-value="form.id"
      :options="forms.map(([value, label]) => ({ value, label }))"
      aria-label="Forms"
      :validate-event="false"
      @update:model-value="desk.chosenId.value = String($event)"
    />
    <ChoiceRow
      v-else-if="forms.length > 1"
      label="Forms"
      :model-value="form.id"
      :choices="forms"
      is-list
      @update:model-value="desk.chosenId.value = $event"
    />
    <el-button link size="small" @click="$emit('anew')">Make another form</el-button>
  </div>
  <p v-if="work.message" class="message" role="alert">{{ work.message }}</p>
  <section v-if="desk.faults.value.length > 0" aria-label="Faults">
    <FaultCard v-for="fault in desk.faults.value" :key="fault.code + fault.path" :fault="fault" @mend="mend(fault)" />
  </section>
</template>

<style scoped>
.message {
  color: var(--brick);
  padding-top: 10px;
}
</style>
