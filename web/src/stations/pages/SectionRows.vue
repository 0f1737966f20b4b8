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
import CheckRow from '../../kit/CheckRow.vue';
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
  [
    'decals',
    'their words and markings alone',
    'Letters as bodies to be cut out or filled in, and what else is drawn on the skin, beside the templates themselves.',
  ],
] as const;
const sections = computed(() => props.settings.sections ?? USUAL_SECTIONS);
/** Of all that no other section has the parts themselves are printed. */
const waysOf = ({ partIds, way }: PageSection) =>
  WAYS.filter(([value]) => value !== 'decals' || partIds || way === 'decals').map(
    ([value, word]) => [value, word] as const,
  );
/** Nothing chosen yet: decals of every part. */
function print(section: PageSection, way: PageWay): void {
  const { partIds, isMirrored: _was, ...rest } = section;
  const isAll = way === 'decals' && (partIds?.length ?? 0) === 0;
  replace(section, {
    ...rest,
    way,
    ...(isAll ? {} : { partIds: partIds ?? (section.way === 'decals' ? [] : undefined) }),
  });
}
const why = (way: PageWay): string => WAYS.find(([value]) => value === way)![2];
const pieces = computed(() => (work.airframe ? sectionPieces(work.airframe) : []));
/** Parts that were taken out are not counted. */
const thereOf = (partIds: readonly string[]): number =>
  (work.airframe?.parts ?? []).filter(({ id }) => partIds.includes(id)).length;
const left = computed(() => {
  const printed = new Set(
    pieces.value.flatMap(({ section, pieces: own }) =>
      section.way === 'decals' ? [] : own.map(({ part }) => part.id),
    ),
  );
  return (work.airframe?.parts ?? []).filter(({ id }) => !printed.has(id)).length;
});
const pagesOf = (id: string): number => {
  const sheets = new Set(props.plan?.sheets.flatMap(({ sectionId, number }) => (sectionId === id ? [number] : [])));
  return props.plan?.pages.filter(({ sheet }) => sheets.has(sheet)).length ?? 0;
};
const headOf = ({ partIds, way }: PageSection): string =>
  partIds ? countOf(thereOf(partIds), 'part') : way === 'decals' ? 'All parts' : 'All other parts';
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
        <span class="label">{{ headOf(section) }}</span>
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
        :choices="waysOf(section)"
        is-list
        @update:model-value="print(section, $event as PageWay)"
      />
      <p class="hint">{{ why(section.way) }}</p>
      <template v-if="section.way === 'decals'">
        <CheckRow
          label="Mirrored, for film laid on face down"
          :model-value="section.isMirrored === true"
          @update:model-value="replace(section, { ...section, isMirrored: $event || undefined })"
        />
        <p v-if="props.plan && pagesOf(section.id) === 0" class="hint" role="status">
          Nothing is written or drawn on these parts yet: <RouterLink :to="{ name: 'parts' }">Parts</RouterLink> has
          lettering among its features.
        </p>
      </template>
      <template v-if="sections.length > 1">
        <PaperRows
          :paper="paperOf(section)"
          :unit="work.unit"
          or-else="as the set"
          :is-else="!section.paper"
          @change="replace(section, { ...section, paper: { ...paperOf(section), ...$event } })"
          @leave="leavePaper(section)"
        />
        <el-button
          v-if="section.partIds || section.way === 'decals'"
          link
          size="small"
          @click="change(sections.filter((one) => one !== section))"
          >{{ section.way === 'decals' ? 'Print no decals' : 'Print them with the others' }}</el-button
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
