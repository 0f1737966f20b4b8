<script setup lang="ts">
import { computed } from 'vue';
import { sectionPieces, USUAL_SECTIONS } from '@grain-fold/core/airframe';
import {
  MOST_SECTIONS,
  type PagePlan,
  type PageSection,
  type PageSettings,
  type PageWay,
} from '@grain-fold/core/pages';
import { countOf } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import PaperRows from './PaperRows.vue';
import PartsRow from './PartsRow.vue';

/** What is printed how: sections of the set, each with its parts, its way and its paper. */
const props = defineProps<{ settings: PageSettings; plan?: PagePlan }>();
const emit = defineEmits<{ change: [changes: Partial<PageSettings>] }>();
const work = useAirframe();
const WAYS = [
  ['loose', 'each by itself', 'What fits a page crosses no seam; what does not has a sheet of pages to itself.'],
  [
    'plan',
    'as one plan',
    'All on one sheet of pages, cut through where pages end: fewest sheets of paper where parts are large.',
  ],
  ['boards', 'as nested on the boards', 'Each board as one sheet, to be glued down whole: paper and nest agree.'],
] as const;
const sections = computed(() => props.settings.sections ?? USUAL_SECTIONS);
const ways = WAYS.map(([value, word]) => [value, word] as const);
const why = (way: PageWay): string => WAYS.find(([value]) => value === way)![2];
const pieces = computed(() => (work.airframe ? sectionPieces(work.airframe) : []));
/** Parts that were taken out are not counted. */
const thereOf = (partIds: readonly string[]): number =>
  (work.airframe?.parts ?? []).filter(({ id }) => partIds.includes(id)).length;
const left = computed(() => {
  const printed = new Set(pieces.value.flatMap((one) => one.pieces.map(({ part }) => part.id)));
  return (work.airframe?.parts ?? []).filter(({ id }) => !printed.has(id)).length;
});
const pagesOf = (id: string): number => {
  const sheets = new Set(props.plan?.sheets.flatMap(({ sectionId, number }) => (sectionId === id ? [number] : [])));
  return props.plan?.pages.filter(({ sheet }) => sheets.has(sheet)).length ?? 0;
};
const change = (next: readonly PageSection[]): void => emit('change', { sections: next });
const replace = (section: PageSection, next: PageSection): void =>
  change(sections.value.map((one) => (one === section ? next : one)));
function add(): void {
  const taken = new Set(sections.value.map(({ id }) => id));
  let number = 2;
  while (taken.has(`s${number}`)) number += 1;
  change([...sections.value, { id: `s${number}`, way: 'boards', partIds: [] }]);
}
function leavePaper(section: PageSection): void {
  const { paper: _own, ...rest } = section;
  replace(section, rest);
}
const paperOf = ({ paper }: PageSection): NonNullable<PageSection['paper']> => {
  const { paper: name, ownWidthMm, ownHeightMm, rollWidthMm, orientation } = props.settings;
  return paper ?? { paper: name, ownWidthMm, ownHeightMm, orientation, ...(rollWidthMm ? { rollWidthMm } : {}) };
};
</script>

<template>
  <section aria-label="What is printed how">
    <h2 class="eyebrow">What is printed how</h2>
    <div
      v-for="(section, index) in sections"
      :key="section.id"
      class="part"
      role="group"
      :aria-label="`Section ${index + 1}`"
    >
      <p v-if="sections.length > 1" class="head">
        <span class="label">{{ section.partIds ? countOf(thereOf(section.partIds), 'part') : 'All other parts' }}</span>
        <span class="figures">{{ countOf(pagesOf(section.id), 'page') }}</span>
      </p>
      <PartsRow
        v-if="section.partIds"
        :part-ids="section.partIds"
        @change="replace(section, { ...section, partIds: $event })"
      />
      <ChoiceRow
        label="Printed"
        :model-value="section.way"
        :choices="ways"
        is-list
        @update:model-value="replace(section, { ...section, way: $event as PageWay })"
      />
      <p class="hint">{{ why(section.way) }}</p>
      <template v-if="sections.length > 1">
        <PaperRows
          :paper="paperOf(section)"
          :unit="work.unit"
          or-else="as the set"
          :is-else="!section.paper"
          @change="replace(section, { ...section, paper: { ...paperOf(section), ...$event } })"
          @leave="leavePaper(section)"
        />
        <el-button v-if="section.partIds" link size="small" @click="change(sections.filter((one) => one !== section))"
          >Print them with the others</el-button
        >
      </template>
    </div>
    <el-button v-if="sections.length < MOST_SECTIONS" size="small" @click="add">Print some parts another way</el-button>
    <p v-if="left > 0" class="hint">
      {{ countOf(left, 'part is', 'parts are') }} not printed: without a closed outline, or not in this variant.
    </p>
  </section>
</template>

<style scoped>
.part {
  border-left: 3px solid var(--ticket-line);
  padding-left: 10px;
  margin-bottom: 12px;
}
.head {
  display: flex;
  justify-content: space-between;
  font-weight: 600;
}
.hint {
  color: var(--ink-soft);
  font-size: 13px;
  padding: 3px 0 6px;
}
</style>
