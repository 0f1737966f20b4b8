<script setup lang="ts">
import { ref } from 'vue';

const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ create: [name: string, unit: 'mm' | 'in'] }>();
const name = ref('');
const unit = ref<'mm' | 'in'>('mm');

const field = ref<HTMLInputElement>();
/** The dialog takes the focus itself first; the field takes it right after. */
const takeFocus = (): void => {
  setTimeout(() => field.value?.focus());
};

function create(): void {
  if (name.value.trim() === '') return;
  isOpen.value = false;
  emit('create', name.value, unit.value);
  name.value = '';
}
</script>

<template>
  <el-dialog v-model="isOpen" title="New airframe" width="420" @open-auto-focus="takeFocus">
    <form id="new-airframe" class="form" @submit.prevent="create">
      <label
        >Name
        <input
          ref="field"
          v-model="name"
          name="airframe-name"
          maxlength="80"
          required
          placeholder="What will it be called"
      /></label>
      <fieldset>
        <legend>You measure in</legend>
        <label><input v-model="unit" type="radio" value="mm" name="unit" /> millimetres, A4 paper</label>
        <label><input v-model="unit" type="radio" value="in" name="unit" /> inches with fractions, Letter paper</label>
      </fieldset>
    </form>
    <template #footer>
      <button class="button quiet" type="button" @click="isOpen = false">Cancel</button>
      <button class="button strong" type="submit" form="new-airframe">Make it</button>
    </template>
  </el-dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 16px;
}
.form > label {
  display: grid;
  gap: 4px;
  font-weight: 500;
}
input:not([type='radio']) {
  min-height: 38px;
  padding: 6px 10px;
  border: 1px solid #b5a67f;
  border-radius: var(--radius);
  background: #fffdf7;
}
fieldset {
  border: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
legend {
  font-weight: 500;
  margin-bottom: 4px;
}
</style>
