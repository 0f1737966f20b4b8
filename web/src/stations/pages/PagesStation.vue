<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import type { Bounds } from '@grain-fold/core/geometry';
import {
  assemblyTotals,
  frameOfPage,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
  pageSettingsFault,
  type PagePlan,
  type PageSettings,
} from '@grain-fold/core/pages';
import { countOf, formatRunLength, worded, sizeText } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MatCanvas from '../../mat/MatCanvas.vue';
import InTurn from '../../kit/InTurn.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { slowly } from '../../workers/index.ts';
import { layOutSheets } from './lay-out-sheets.ts';
import ChosenPage from './ChosenPage.vue';
import FewerPages from './FewerPages.vue';
import PaperRows from './PaperRows.vue';
import PrinterSection from './PrinterSection.vue';
import PrintSection from './PrintSection.vue';
import SectionRows from './SectionRows.vue';
import SheetOnMat from './SheetOnMat.vue';
import { usePrinters } from './use-printers.ts';

const work = useAirframe();
const figures = useFigures();
const plan = shallowRef<PagePlan>();
/** Why a number was not taken, and why the pages could not be laid out. */
const fault = ref(''),
  planFault = ref('');
const isOld = ref(false);
const chosenName = ref<string>();
/** Only templates that are not as they were printed last. */
const isChanged = ref(false);
const changed = ref(0);

const settings = computed(() => work.airframe!.settings.pages);
const printers = usePrinters(() => settings.value.printerId);
const change = (changes: Partial<PageSettings>): void => {
  const next = { ...settings.value, ...changes };
  fault.value = worded(pageSettingsFault(next) ?? '', work.unit);
  if (!fault.value) work.changeSettings('Change pages', { pages: next });
};
watchDebounced(
  [() => work.airframe, isChanged],
  async ([airframe, onlyChanged]) => {
    if (!airframe) return;
    isOld.value = true;
    const answer = await slowly.pages(airframe, onlyChanged);
    if (work.airframe !== airframe || isChanged.value !== onlyChanged) return;
    isOld.value = false;
    planFault.value = answer.ok ? '' : worded(answer.message, work.unit);
    if (answer.ok) ({ plan: plan.value, changed: changed.value } = answer.value);
  },
  { debounce: 80, immediate: true },
);

const sheets = computed(() => (plan.value ? layOutSheets(plan.value) : []));
const fitTo = computed<Bounds>(() => ({
  minX: 0,
  maxX: Math.max(200, ...sheets.value.map(({ origin, width }) => origin.x + width)),
  minY: Math.min(-280, ...sheets.value.map(({ origin }) => origin.y)),
  maxY: 0,
}));
const chosen = computed(() => plan.value?.pages.find(({ name }) => name === chosenName.value) ?? plan.value?.pages[0]);
const saved = computed(() =>
  plan.value ? plan.value.sheets.reduce((sum, { columns, rows, cells }) => sum + columns * rows - cells.length, 0) : 0,
);
const paperWord = computed(() => {
  const { paper, sections = [] } = settings.value;
  if (sections.some((section) => section.paper)) return 'several papers';
  return paper === 'own' ? 'own paper' : paper === 'roll' ? 'a roll' : paper;
});
const tape = computed(() => (plan.value ? assemblyTotals(plan.value) : { tapeMm: 0, minutes: 0 }));
const chosenSize = computed(() => {
  if (!plan.value || !chosen.value) return '';
  const { widthMm, heightMm } = frameOfPage(plan.value, chosen.value);
  return `${worded(sizeText(widthMm, heightMm, 0), work.unit)} paper`;
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <MatCanvas
        v-if="plan && plan.pages.length > 0"
        :key="plan.sheets.length"
        :fit-to="fitTo"
        :unit="work.unit"
        arrows-pan
        label="Map of the pages"
        :top-room-px="40"
      >
        <template #world
          ><InTurn v-for="sheet in sheets" :key="sheet.sheet.number"
            ><SheetOnMat
              v-bind="sheet"
              :plan="plan"
              :chosen-name="chosen?.name"
              @choose="chosenName = $event" /></InTurn
        ></template>
        <template #screen="{ toScreen, view }">
          <g class="figures" font-weight="600" fill="#fff" pointer-events="none">
            <template v-for="sheet in sheets" :key="sheet.sheet.number">
              <text
                v-for="page in sheet.pages"
                :key="page.name"
                :x="toScreen(page.label).x + 5"
                :y="toScreen(page.label).y + Math.min(26, 40 * view.k + 10)"
                :font-size="Math.max(12, Math.min(18, 46 * view.k))"
                fill="var(--marigold-deep)"
                stroke="#f3efe3"
                stroke-width="5"
                paint-order="stroke"
                >{{ page.name }}</text
              >
            </template>
          </g>
        </template>
      </MatCanvas>
      <div v-else class="nothing">
        <div class="empty">
          <h2>{{ plan ? 'Nothing to print yet' : 'Laying out the pages' }}</h2>
          <p v-if="plan">
            Draw a part with a closed outline. It is printed here in true size, on as few pages as it takes.
          </p>
        </div>
      </div>
      <aside class="slip" aria-label="Pages">
        <div class="slip-head">
          <h1>{{ isOld ? '~' : '' }}{{ plan ? countOf(plan.pages.length, 'page') : '– pages' }} of {{ paperWord }}</h1>
          <p>
            {{ countOf(plan?.sheets.length ?? 0, 'sheet') }} ·
            {{
              tape.tapeMm > 0
                ? `${formatRunLength(tape.tapeMm, work.unit)} of seams, ${countOf(Math.max(1, Math.round(tape.minutes)), 'minute')}`
                : 'nothing to join'
            }}
            <template v-if="saved > 0"> · {{ countOf(saved, 'empty page') }} left out</template>
          </p>
        </div>
        <PrintSection
          :changed="changed"
          v-model:is-changed="isChanged"
          :settings="settings"
          :plan="plan"
          :printer="printers.chosen.value"
          @change="change($event)"
        />
        <p v-if="fault || planFault || figures.slowMessage" class="warn" role="alert">
          {{ fault || planFault || figures.slowMessage }}
        </p>
        <ChosenPage
          v-if="plan && chosen"
          :plan="plan"
          :page="chosen"
          :is-changed="isChanged"
          :printer="printers.chosen.value"
          @choose="chosenName = $event"
        />
        <InTurn><PrinterSection :settings="settings" :printers="printers" @change="change($event)" /></InTurn>
        <FewerPages v-if="plan && !isChanged" :plan="plan" />
        <InTurn><SectionRows :settings="settings" :plan="plan" @change="change($event)" /></InTurn>
        <InTurn>
          <section>
            <h2 class="eyebrow">Paper</h2>
            <div class="rows">
              <PaperRows :paper="settings" :unit="work.unit" @change="change($event)" />
              <MeasureField
                label="Margin"
                :unit="work.unit"
                :model-value="settings.marginMm"
                :least="0"
                :most="WIDEST_MARGIN_MM"
                @update:model-value="change({ marginMm: $event })"
              />
              <MeasureField
                label="Overlap"
                :unit="work.unit"
                :model-value="settings.overlapMm"
                :least="0"
                :most="WIDEST_OVERLAP_MM"
                @update:model-value="change({ overlapMm: $event })"
              />
              <ChoiceRow
                label="Templates"
                :model-value="settings.templates"
                :choices="[
                  ['each-shape', 'one a shape'],
                  ['every-piece', 'one a piece'],
                ]"
                @update:model-value="change({ templates: $event as PageSettings['templates'] })"
              />
            </div>
          </section>
        </InTurn>
      </aside>
    </div>
    <TrayBar
      ><span>{{ chosenSize }}</span
      ><span><kbd>F</kbd> fit</span></TrayBar
    >
  </div>
</template>

<style scoped>
.nothing {
  flex: 1;
  background: var(--mat);
  display: flex;
}
.warn {
  margin-top: 12px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
