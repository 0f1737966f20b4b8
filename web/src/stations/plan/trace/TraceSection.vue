<script setup lang="ts">
import { useDropZone } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { PLAN_VIEWS, VIEW_WORDS, type PlanView } from '@grain-fold/core/plan';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import type { PlanDesk } from '../use-plan.ts';
import { sheetKey } from './use-opened-sheets.ts';
import type { Tracing } from './use-tracing.ts';
import { EXAMPLE_SHEET, exampleSheet } from './example-sheet.ts';
import PickPanel from './PickPanel.vue';
import SheetScale from './SheetScale.vue';
import UnderlayRows from './UnderlayRows.vue';

/** Pictures and drawings under the views: taken in, calibrated by lengths that are known, turned, cropped and placed. */
const props = defineProps<{ desk: PlanDesk; tracing: Tracing }>();
const { states, fault, note, isAdding } = props.tracing;
const view = ref<PlanView>('side');
const views = PLAN_VIEWS.map((one) => [one, VIEW_WORDS[one].toLowerCase()] as const);
const plan = computed(() => props.desk.plan.value);
const chosen = computed(() => {
  const { value } = props.desk.chosen;
  const underlay =
    (value?.kind === 'underlay' ? plan.value.underlays.find(({ id }) => id === value.underlayId) : undefined) ??
    plan.value.underlays[0];
  const sheet = plan.value.sheets.find(({ id }) => id === underlay?.sheetId);
  return underlay && sheet ? { underlay, sheet } : undefined;
});
const failed = computed(() => {
  const state = chosen.value && states.value.get(sheetKey(chosen.value.sheet));
  return state?.kind === 'failed' ? state.message : undefined;
});
const pages = computed(() => {
  const state = chosen.value && states.value.get(sheetKey(chosen.value.sheet));
  return state?.kind === 'open' ? (state.pages ?? 1) : 1;
});
const isOpening = computed(() => chosen.value && states.value.get(sheetKey(chosen.value.sheet))?.kind === 'opening');

const zone = useTemplateRef<HTMLElement>('zone');
useDropZone(zone, {
  multiple: false,
  onDrop: (files) => void (files?.[0] && props.tracing.addFile(files[0], view.value)),
});
const choose = (options: { raw?: File } | undefined): void => {
  if (options?.raw) void props.tracing.addFile(options.raw, view.value);
};
const tryExample = async (): Promise<void> => props.tracing.addFile(await exampleSheet(), 'side');
</script>

<template>
  <section ref="zone" aria-label="Trace">
    <p v-if="plan.sheets.length === 0" class="hint">
      Lay a picture or a drawing under the views: a photograph, a scan, a page of a plan. It is sized by a length that
      you know, and traced with the outline tool.
    </p>
    <ChoiceRow
      label="Under the view"
      :model-value="view"
      :choices="views"
      @update:model-value="view = $event as PlanView"
    />
    <div class="take">
      <el-upload :auto-upload="false" :show-file-list="false" accept=".png,.jpg,.jpeg,.svg,.dxf,.pdf" @change="choose">
        <span class="el-button el-button--primary el-button--small"
          ><span>{{ isAdding ? 'Taking it in …' : 'Choose a picture' }}</span></span
        >
      </el-upload>
      <el-button v-if="plan.sheets.length === 0" size="small" :disabled="isAdding" @click="tryExample"
        >Try {{ EXAMPLE_SHEET }}</el-button
      >
    </div>
    <p v-if="fault" class="bad" role="alert">{{ fault }}</p>
    <p v-else-if="note" class="hint">{{ note }}</p>

    <template v-if="chosen">
      <div v-if="plan.underlays.length > 1" class="others" role="group" aria-label="Underlays">
        <el-button
          v-for="one in plan.underlays"
          :key="one.id"
          size="small"
          :aria-pressed="one.id === chosen.underlay.id"
          @click="desk.chosen.value = { kind: 'underlay', underlayId: one.id }"
          >{{ VIEW_WORDS[one.view] }}</el-button
        >
      </div>
      <h3 class="eyebrow">{{ chosen.sheet.name }}</h3>
      <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
      <p v-else-if="isOpening" class="hint" role="status">Opening the picture …</p>
      <PickPanel :desk="desk" :tracing="tracing" :sheet="chosen.sheet" :underlay="chosen.underlay" />
      <MeasureField
        v-if="pages > 1"
        :label="`Page, of ${pages}`"
        kind="number"
        :model-value="chosen.sheet.page ?? 1"
        :least="1"
        :most="pages"
        @update:model-value="tracing.turnTo(chosen.sheet, Math.round($event))"
      />
      <SheetScale :tracing="tracing" :sheet="chosen.sheet" />
      <UnderlayRows :tracing="tracing" :underlay="chosen.underlay" />
      <div class="acts">
        <el-button
          v-for="one in PLAN_VIEWS.filter((wanted) => wanted !== chosen?.underlay.view)"
          :key="one"
          size="small"
          @click="tracing.addView(chosen.sheet.id, one)"
          >Also its {{ one }} view</el-button
        >
        <el-button size="small" @click="tracing.removeUnderlay(chosen.underlay.id)">Take it out</el-button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.hint,
.bad {
  font-size: 13.5px;
  padding: 6px 0;
  color: var(--ink-soft);
}
.bad {
  color: var(--brick);
}
.take,
.acts,
.others {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 8px 0;
}
.acts .el-button,
.others .el-button,
.take .el-button {
  margin: 0;
}
.eyebrow {
  padding-top: 10px;
  overflow-wrap: anywhere;
}
</style>
