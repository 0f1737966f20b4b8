<script setup lang="ts">
import dayjs from 'dayjs';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import type { PageSettings } from '@grain-fold/core/pages';
import {
  FURTHEST_OFF,
  measuredPrinter,
  printerWords,
  TEST_ACROSS_MM,
  TEST_UP_MM,
  type PrinterMeasures,
} from '@grain-fold/core/printers';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import DownloadButton from '../../kit/DownloadButton.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TextRow from '../../kit/TextRow.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import PrinterPen from './PrinterPen.vue';
import type { Printers } from './use-printers.ts';

const StandInPrinter = defineAsyncComponent(() => import('./StandInPrinter.vue'));

/** The printer that the set is printed on: measured by a page, corrected from then on. */
const props = defineProps<{ settings: PageSettings; printers: Printers }>();
const emit = defineEmits<{ change: [changes: Partial<PageSettings>] }>();
const work = useAirframe();
const ADD = '+';
const chosen = computed(() => props.printers.chosen.value);
const choices = computed(() => [
  ['', 'as it comes'] as const,
  ...props.printers.all.value.map(({ id, name }) => [id, name] as const),
  [ADD, 'another printer'] as const,
]);
const isLost = computed(
  () => props.settings.printerId !== undefined && props.printers.isKnown.value && chosen.value === undefined,
);
async function choose(value: string): Promise<void> {
  if (value !== ADD) {
    emit('change', { printerId: value || undefined });
    return;
  }
  const taken = new Set(props.printers.all.value.map(({ name }) => name));
  let number = taken.size + 1;
  while (taken.has(`Printer ${number}`)) number += 1;
  const added = await props.printers.add(`Printer ${number}`);
  if (added) emit('change', { printerId: added.id });
}

const DIAGONAL_MM = Math.hypot(TEST_ACROSS_MM, TEST_UP_MM);
const FIELDS = [
  ['acrossMm', 'A to B', TEST_ACROSS_MM],
  ['upMm', 'A to D', TEST_UP_MM],
  ['risingMm', 'A to C', DIAGONAL_MM],
  ['fallingMm', 'D to B', DIAGONAL_MM],
] as const;
const TRUE_MEASURES: Required<PrinterMeasures> = {
  acrossMm: TEST_ACROSS_MM,
  upMm: TEST_UP_MM,
  risingMm: DIAGONAL_MM,
  fallingMm: DIAGONAL_MM,
};
/** What was read, as far as it was; the rest is taken to be true. */
const read = ref<Partial<PrinterMeasures>>({});
const answer = ref('');
const isStandIn = ref(false);
watch(
  () => chosen.value?.id,
  () => {
    read.value = {};
    answer.value = '';
  },
);
function enter(more: Partial<PrinterMeasures>): void {
  answer.value = '';
  read.value = { ...read.value, ...more };
}
/** Diagonals count only together: one alone says nothing. */
const measures = computed((): PrinterMeasures => {
  const { risingMm, fallingMm, ...sides } = read.value;
  const all = { ...TRUE_MEASURES, ...sides };
  return risingMm === undefined || fallingMm === undefined
    ? { acrossMm: all.acrossMm, upMm: all.upMm }
    : { ...all, risingMm, fallingMm };
});
const isHalfRead = computed(() => (read.value.risingMm === undefined) !== (read.value.fallingMm === undefined));
const measured = computed(() =>
  chosen.value && Object.keys(read.value).length > 0
    ? measuredPrinter(measures.value, work.unit, chosen.value.map)
    : undefined,
);
async function take(): Promise<void> {
  if (!chosen.value || !measured.value?.ok) return;
  const { map } = measured.value;
  if (await props.printers.keep({ ...chosen.value, map, measuredOn: dayjs().format('YYYY-MM-DD') })) {
    read.value = {};
    answer.value = `From now on pages are corrected: it prints ${printerWords(map)}. Print the test page again.`;
  }
}
async function leaveOut(): Promise<void> {
  if (chosen.value && (await props.printers.leaveOut(chosen.value))) emit('change', { printerId: undefined });
}
const rename = (name: string): void => {
  if (chosen.value && name.trim()) void props.printers.keep({ ...chosen.value, name: name.trim() });
};
</script>

<template>
  <section aria-label="Printer">
    <h2 class="eyebrow">Printer</h2>
    <ChoiceRow
      label="Printed on"
      :model-value="chosen ? chosen.id : ''"
      :choices="choices"
      is-list
      @update:model-value="choose"
    />
    <p v-if="isLost" class="warn" role="status">
      The printer that these pages were corrected for is not in this workshop: they are printed as they come.
    </p>
    <template v-if="chosen">
      <TextRow label="Its name" :most="40" :model-value="chosen.name" @update:model-value="rename" />
      <PrinterPen
        :printer="chosen"
        :page-margin-mm="settings.marginMm"
        :unit="work.unit"
        @keep="printers.keep($event)"
        @margin="emit('change', { marginMm: $event })"
      />
      <p class="hint">
        {{
          chosen.measuredOn
            ? `Measured ${chosen.measuredOn}: it prints ${printerWords(chosen.map)}; pages undo that.`
            : 'Not measured yet: pages are printed as they come.'
        }}
      </p>
      <DownloadButton name="printer-test.pdf" :query="{ printer: chosen.id }" quiet>Its test page</DownloadButton>
      <el-button link size="small" @click="isStandIn = true">Try it on a stand-in printer</el-button>
      <StandInPrinter v-model="isStandIn" :printer="chosen" @read="enter" />
      <p class="hint">Print it at actual size, measure from cross to cross, and enter what you read.</p>
      <MeasureField
        v-for="[key, word, mm] in FIELDS"
        :key="key"
        :label="word"
        :unit="work.unit"
        :decimals="2"
        :model-value="read[key] ?? mm"
        :least="mm * (1 - 2 * FURTHEST_OFF)"
        :most="mm * (1 + 2 * FURTHEST_OFF)"
        @update:model-value="enter({ [key]: $event })"
      />
      <p v-if="measured && !measured.ok" class="warn" role="alert">{{ measured.message }}</p>
      <p v-else-if="measured?.ok && measured.doubt" class="warn" role="status">{{ measured.doubt }}</p>
      <p v-if="isHalfRead" class="hint">Read both diagonals: one alone does not tell how it leans.</p>
      <p v-if="measured?.ok && !measured.doubt" class="hint">It prints {{ printerWords(measured.map) }}.</p>
      <div class="buttons">
        <el-button type="primary" :disabled="!measured?.ok" @click="take">{{
          measured?.ok && measured.doubt ? 'Correct it all the same' : 'Correct by this'
        }}</el-button>
        <el-button link size="small" @click="leaveOut">Leave it out</el-button>
      </div>
      <p v-if="answer" class="hint" role="status">{{ answer }}</p>
    </template>
    <p v-if="printers.fault.value" class="warn" role="alert">{{ printers.fault.value }}</p>
  </section>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  font-size: 13px;
  padding: 4px 0 6px;
}
.buttons {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 8px;
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
