<script setup lang="ts">
import type { FormInstance, InputInstance } from 'element-plus';
import { reactive, useTemplateRef } from 'vue';
import { contractRule } from '../../kit/contract-rule.ts';

/** Asks what a new airframe is called and in what it is measured. */
const isOpen = defineModel<boolean>({ required: true });
defineProps<{ /** A drawing is brought in next. */ isForDrawing?: boolean }>();
const emit = defineEmits<{ create: [name: string, unit: 'mm' | 'in'] }>();
const wanted = reactive<{ name: string; unit: 'mm' | 'in' }>({ name: '', unit: 'mm' });
const rules = { name: contractRule('CreateAirframe', 'name', 'A name') };

const form = useTemplateRef<FormInstance>('form');
const field = useTemplateRef<InputInstance>('field');
/** The dialog takes the focus itself first; the field takes it right after. */
const takeFocus = (): void => {
  setTimeout(() => field.value?.focus());
};

async function create(): Promise<void> {
  if (!(await form.value?.validate().catch(() => false))) return;
  isOpen.value = false;
  emit('create', wanted.name, wanted.unit);
  wanted.name = '';
}
</script>

<template>
  <el-dialog
    v-model="isOpen"
    :title="isForDrawing ? 'Bring a plan in as a new airframe' : 'New airframe'"
    width="420"
    @open-auto-focus="takeFocus"
  >
    <el-form
      id="new-airframe"
      ref="form"
      :model="wanted"
      :rules="rules"
      label-position="top"
      hide-required-asterisk
      @submit.prevent="create"
    >
      <el-form-item label="Name" prop="name">
        <el-input
          ref="field"
          v-model="wanted.name"
          name="airframe-name"
          :maxlength="80"
          placeholder="What will it be called"
        />
      </el-form-item>
      <el-form-item label="You measure in" prop="unit">
        <el-radio-group v-model="wanted.unit" class="units">
          <el-radio value="mm">millimetres, A4 paper</el-radio>
          <el-radio value="in">inches with fractions, Letter paper</el-radio>
        </el-radio-group>
      </el-form-item>
    </el-form>
    <template #footer>
      <el-button text @click="isOpen = false">Cancel</el-button>
      <el-button type="primary" native-type="submit" form="new-airframe">Make it</el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
.units {
  display: grid;
  justify-items: start;
}
</style>
