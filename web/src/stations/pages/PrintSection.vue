<script setup lang="ts">
import dayjs from 'dayjs';
import { computed } from 'vue';
import { printedPages } from '@grain-fold/core/airframe';
import type { PagePlan, PageSettings } from '@grain-fold/core/pages';
import type { Printer } from '@grain-fold/core/printers';
import { countOf } from '@grain-fold/core/units';
import CheckRow from '../../kit/CheckRow.vue';
import DownloadButton from '../../kit/DownloadButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** How the set goes to the printer: all of it, or what changed since the last printing. */
const props = defineProps<{
  settings: PageSettings;
  plan?: PagePlan;
  /** Templates that are not as they were printed last. */
  changed: number;
  isChanged: boolean;
  printer?: Printer;
}>();
const emit = defineEmits<{ 'update:isChanged': [value: boolean]; change: [changes: Partial<PageSettings>] }>();
const work = useAirframe();
/** More pages than anybody joins by hand unawares: they are asked about first. */
const MANY_PAGES = 500;
const count = computed(() => props.plan?.pages.length ?? 0);
const isMany = computed(() => count.value > MANY_PAGES);
const query = computed(() => ({
  ...(props.isChanged ? { changed: 'yes' } : {}),
  ...(isMany.value ? { all: 'yes' } : {}),
  ...(props.printer ? { printer: props.printer.id } : {}),
}));
/** Everything on the pages that are laid out is on paper now. */
function markPrinted(): void {
  if (!work.airframe || !props.plan) return;
  const ids = props.plan.sheets.flatMap(({ placed }) =>
    placed.map(({ template: { part } }) => (part.side === 'starboard' ? `${part.id}:starboard` : part.id)),
  );
  emit('update:isChanged', false);
  emit('change', { printed: printedPages(work.airframe, new Set(ids), dayjs().format('YYYY-MM-DD')) });
}
</script>

<template>
  <section aria-label="Print">
    <p v-if="isMany" class="warn" role="status">
      {{ count }} pages: choose a larger paper, a smaller scale or fewer parts.
    </p>
    <div class="buttons">
      <DownloadButton name="pages.pdf" :query="query" :quiet="isMany" :disabled="count === 0">{{
        isMany ? 'Download all of them' : 'Download the PDF'
      }}</DownloadButton>
      <el-button :disabled="count === 0" @click="markPrinted">Mark as printed</el-button>
    </div>
    <p class="hint">
      {{ printer ? `Corrected for ${printer.name}. ` : '' }}Print it at 100 %, on one side. Measure the bars on the
      first page before you cut.
    </p>
    <CheckRow
      label="A cover: how to print and join it"
      :model-value="settings.hasCover === true"
      @update:model-value="emit('change', { hasCover: $event ? true : undefined })"
    />
    <template v-if="settings.printed">
      <CheckRow
        v-if="changed > 0 || isChanged"
        :label="`Only the ${countOf(changed, 'template')} that changed`"
        :model-value="isChanged"
        @update:model-value="emit('update:isChanged', $event)"
      />
      <p class="hint">
        {{
          changed === 0
            ? `Printed ${settings.printed.date}: nothing changed since.`
            : `Since the printing of ${settings.printed.date}.`
        }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.hint {
  color: var(--ink-soft);
  margin-top: 6px;
}
.warn {
  margin-bottom: 10px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
