<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import type { Bounds } from '@grain-fold/core/geometry';
import {
  LARGEST_PAPER_MM,
  SMALLEST_PAPER_MM,
  WIDEST_MARGIN_MM,
  WIDEST_OVERLAP_MM,
  pageSettingsFault,
  PAPER_NAMES,
  type PagePlan,
  type PageSettings,
} from '@grain-fold/core/pages';
import { countOf, worded, sizeText } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import DownloadButton from '../../kit/DownloadButton.vue';
import MatCanvas from '../../mat/MatCanvas.vue';
import InTurn from '../../kit/InTurn.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { slowly } from '../../workers/index.ts';
import { layOutSheets } from './lay-out-sheets.ts';
import PagePreview from './PagePreview.vue';
import SheetOnMat from './SheetOnMat.vue';

const work = useAirframe();
const figures = useFigures();
const plan = shallowRef<PagePlan>();
const fault = ref('');
const isOld = ref(false);
const chosenName = ref<string>();

const settings = computed(() => work.airframe!.settings.pages);
const change = (changes: Partial<PageSettings>): void => {
  const next = { ...settings.value, ...changes };
  fault.value = worded(pageSettingsFault(next) ?? '', work.unit);
  if (!fault.value) work.changeSettings('Change pages', { pages: next });
};
watchDebounced(
  () => work.airframe,
  async (airframe) => {
    if (!airframe) return;
    isOld.value = true;
    const answer = await slowly.pages(airframe);
    if (work.airframe !== airframe) return;
    isOld.value = false;
    if (answer.ok) plan.value = answer.value;
    else fault.value = answer.message;
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
const paperWord = computed(() => (settings.value.paper === 'own' ? 'own paper' : settings.value.paper));
const neighbours = computed(() =>
  Object.entries(chosen.value?.neighbours ?? {})
    .filter(([, name]) => name)
    .map(
      ([side, name]) =>
        `${name} ${{ left: 'on its left', right: 'on its right', above: 'above', below: 'below' }[side]}`,
    )
    .join(', '),
);
/** More pages than anybody joins by hand unawares: they are asked about first. */
const MANY_PAGES = 500;
const isMany = computed(() => (plan.value?.pages.length ?? 0) > MANY_PAGES);
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
            {{ saved > 0 ? `${countOf(saved, 'empty page')} left out` : 'no empty pages' }} · ×
            {{ work.airframe?.settings.scale.toFixed(3) }}
          </p>
        </div>
        <section>
          <DownloadButton v-if="!isMany" name="pages.pdf" :disabled="!plan || plan.pages.length === 0"
            >Download the PDF</DownloadButton
          >
          <template v-else>
            <p class="warn" role="status">
              {{ plan!.pages.length }} pages: choose a larger paper, a smaller scale or fewer parts.
            </p>
            <DownloadButton name="pages.pdf" all quiet>Download all of them</DownloadButton>
          </template>
          <p class="hint">Print it at 100 %. Measure the bars on the first page before you cut.</p>
        </section>
        <p v-if="fault || figures.slowMessage" class="warn" role="alert">{{ fault || figures.slowMessage }}</p>
        <section v-if="plan && chosen">
          <h2 class="eyebrow">Page {{ chosen.name }}</h2>
          <InTurn><PagePreview class="page" :plan="plan" :page="chosen" /></InTurn>
          <p class="hint">{{ neighbours ? `Joins ${neighbours}.` : 'Stands alone: no seams.' }}</p>
          <div class="names" role="group" aria-label="Choose a page">
            <el-button
              link
              v-for="page in plan.pages"
              :key="page.name"
              class="bare figures"
              :aria-pressed="page.name === chosen.name"
              @click="chosenName = page.name"
            >
              {{ page.name }}
            </el-button>
          </div>
        </section>
        <InTurn>
          <section>
            <h2 class="eyebrow">Paper</h2>
            <div class="rows">
              <ChoiceRow
                label="Paper"
                :model-value="settings.paper"
                :choices="[...PAPER_NAMES.map((name) => [name, name] as const), ['own', 'own size']]"
                @update:model-value="change({ paper: $event as PageSettings['paper'] })"
              />
              <template v-if="settings.paper === 'own'">
                <MeasureField
                  label="Paper width"
                  :unit="work.unit"
                  :model-value="settings.ownWidthMm"
                  :least="SMALLEST_PAPER_MM"
                  :most="LARGEST_PAPER_MM"
                  @update:model-value="change({ ownWidthMm: $event })"
                />
                <MeasureField
                  label="Paper height"
                  :unit="work.unit"
                  :model-value="settings.ownHeightMm"
                  :least="SMALLEST_PAPER_MM"
                  :most="LARGEST_PAPER_MM"
                  @update:model-value="change({ ownHeightMm: $event })"
                />
              </template>
              <ChoiceRow
                label="Lies"
                :model-value="settings.orientation"
                :choices="[
                  ['portrait', 'portrait'],
                  ['landscape', 'landscape'],
                ]"
                @update:model-value="change({ orientation: $event as PageSettings['orientation'] })"
              />
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
      ><span>{{ plan ? `${worded(sizeText(plan.frame.widthMm, plan.frame.heightMm, 0), work.unit)} paper` : '' }}</span
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
.hint {
  color: var(--ink-soft);
  margin-top: 6px;
}
.warn {
  margin-top: 12px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
.page {
  width: 100%;
  max-height: 340px;
  margin-top: 8px;
  border: 1px solid var(--ticket-line);
  background: #fff;
}
.names {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-top: 8px;
}
.names button {
  border: 1px solid var(--ticket-line);
  background: #fffdf7;
  border-radius: var(--radius);
  min-width: 40px;
  padding: 2px 7px;
  font-weight: 600;
  font-size: 14px;
}
.names button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--foam);
  border-color: var(--ink);
}
</style>
