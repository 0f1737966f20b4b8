<script setup lang="ts">
import { ElMessage } from 'element-plus';
import { ref } from 'vue';
import { PLAN_VIEWS, VIEW_WORDS } from '@grain-fold/core/plan';
import { documentFault, fetchDocument, keepFile } from '../../api/documents.ts';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** The plan on paper: one page with dimensions, or a view at full size on pages. */
defineProps<{ isEmpty: boolean }>();
const work = useAirframe();
const isOpen = ref(false);
const isBusy = ref(false);

async function print(query: Readonly<Record<string, string>>): Promise<void> {
  const id = work.airframe?.id;
  if (!id) return;
  isBusy.value = true;
  isOpen.value = false;
  try {
    await work.flush();
    keepFile(await fetchDocument(id, 'plan.pdf', query));
  } catch (error) {
    ElMessage({ type: 'error', message: documentFault(error) });
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <span class="print">
    <ToolButton
      :word="isBusy ? 'printing …' : 'print'"
      hint="On one page with dimensions, or a view at full size on pages"
      :disabled="isEmpty || isBusy"
      :is-open="isOpen"
      @press="isOpen = !isOpen"
    />
    <span v-if="isOpen" class="menu" role="group" aria-label="Print the plan" @keydown.esc.stop="isOpen = false">
      <el-button size="small" @click="print({})">One page, with dimensions</el-button>
      <el-button v-for="view in PLAN_VIEWS" :key="view" size="small" @click="print({ view })">
        {{ VIEW_WORDS[view] }} view, full size
      </el-button>
    </span>
  </span>
</template>

<style scoped>
.print {
  position: relative;
}
.menu {
  position: absolute;
  top: 34px;
  left: 0;
  z-index: 5;
  display: grid;
  gap: 4px;
  padding: 8px;
  background: var(--mat-dark);
  border-radius: var(--radius);
}
.menu .el-button {
  margin: 0;
}
</style>
