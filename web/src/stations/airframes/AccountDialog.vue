<script setup lang="ts">
import { ElMessage, type FormInstance } from 'element-plus';
import { reactive, ref, useTemplateRef } from 'vue';
import { ApiError } from '../../api/client.ts';
import { contractRule } from '../../kit/contract-rule.ts';
import { useSession } from '../../stores/session.ts';

/** The account that is signed in: another password, which signs every other browser out. */
const isOpen = defineModel<boolean>({ required: true });
const session = useSession();
const account = reactive({ present: '', next: '' });
const rules = {
  present: contractRule('ChangePassword', 'present', 'The present password'),
  next: contractRule('ChangePassword', 'next', 'The new password'),
};
const fault = ref('');
const isBusy = ref(false);
const form = useTemplateRef<FormInstance>('form');

function forget(): void {
  account.present = account.next = fault.value = '';
  form.value?.clearValidate();
}
async function change(): Promise<void> {
  if (!(await form.value?.validate().catch(() => false))) return;
  isBusy.value = true;
  fault.value = '';
  try {
    await session.changePassword(account.present, account.next);
    isOpen.value = false;
    ElMessage({ message: 'The password is changed; other browsers are signed out.' });
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    const [field] = error.problem?.fields ?? [];
    fault.value = field ? `The new password ${field.message}.` : error.message;
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <el-dialog v-model="isOpen" :title="`Account of ${session.me?.name}`" width="420" @closed="forget">
    <el-form
      id="account"
      ref="form"
      :model="account"
      :rules="rules"
      label-position="top"
      hide-required-asterisk
      @submit.prevent="change"
    >
      <el-form-item label="Present password" prop="present">
        <el-input
          v-model="account.present"
          name="present-password"
          type="password"
          autocomplete="current-password"
          :maxlength="200"
        />
      </el-form-item>
      <el-form-item label="New password" prop="next">
        <el-input
          v-model="account.next"
          name="new-password"
          type="password"
          autocomplete="new-password"
          :maxlength="200"
        />
      </el-form-item>
      <p class="hint">10 characters or more. Every other browser is signed out.</p>
      <el-alert v-if="fault" type="error" :title="fault" :closable="false" />
    </el-form>
    <template #footer>
      <el-button text @click="isOpen = false">Cancel</el-button>
      <el-button type="primary" native-type="submit" form="account" :disabled="isBusy">Change the password</el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  margin-bottom: 12px;
}
</style>
