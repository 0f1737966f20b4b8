<script setup lang="ts">
import { nextTick, ref } from 'vue';
import type { MadeWing } from '@grain-fold/core/forms';

/** The hand calculation that a form replaces, step by step, and the same on paper. */
const props = defineProps<{ name: string; airframe: string; steps: MadeWing['working'] }>();
const isPrinting = ref(false);
async function print(): Promise<void> {
  isPrinting.value = true;
  await nextTick();
  window.print();
  isPrinting.value = false;
}
const title = (): string => `${props.airframe}: working of ${props.name}`;
</script>

<template>
  <ol class="working">
    <li v-for="(step, index) in steps" :key="index">
      <b>{{ step.words }}</b>
      <span class="formula figures">{{ step.formula }}</span>
      <span class="result figures">{{ step.result }}</span>
      <small>{{ step.source }}</small>
    </li>
  </ol>
  <el-button size="small" class="print" @click="print">Print the working</el-button>
  <Teleport to="body">
    <article v-if="isPrinting" class="working-sheet" :aria-label="title()">
      <h1>{{ title() }}</h1>
      <ol>
        <li v-for="(step, index) in steps" :key="index">
          <b>{{ step.words }}</b><span>{{ step.formula }}</span
          ><b>{{ step.result }}</b
          ><span>{{ step.source }}</span>
        </li>
      </ol>
    </article>
  </Teleport>
</template>

<style scoped>
.working {
  padding-left: 0;
  list-style: none;
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  gap: 1px;
  background: var(--ticket);
  padding: 8px 10px;
  font-size: 13.5px;
}
.formula {
  color: var(--label);
}
.result {
  font-weight: 600;
  font-size: 15px;
}
small {
  font-style: italic;
  color: var(--ink-soft);
}
.print {
  margin-top: 10px;
}
</style>

<style>
.working-sheet {
  display: none;
}
@media print {
  body:has(> .working-sheet) > :not(.working-sheet) {
    display: none !important;
  }
  .working-sheet {
    display: block;
    color: #000;
    background: #fff;
    font-size: 10pt;
  }
  .working-sheet h1 {
    font-size: 14pt;
    margin-bottom: 6mm;
  }
  .working-sheet li {
    display: grid;
    grid-template-columns: 2fr 2fr 3fr 3fr;
    gap: 4mm;
    border-bottom: 0.3pt solid #777;
    padding: 1.5mm 0;
    break-inside: avoid;
  }
}
</style>
