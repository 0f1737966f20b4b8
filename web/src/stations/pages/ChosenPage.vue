<script setup lang="ts">
import { computed } from 'vue';
import { assemblyOf, sheetOf, type Page, type PagePlan } from '@grain-fold/core/pages';
import type { Printer } from '@grain-fold/core/printers';
import { countOf, formatLengthWithUnit, formatRunLength } from '@grain-fold/core/units';
import DownloadButton from '../../kit/DownloadButton.vue';
import InTurn from '../../kit/InTurn.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import PagePreview from './PagePreview.vue';

/** The page that is chosen on the map: as it is printed, what it joins, and it alone once more. */
const props = defineProps<{ plan: PagePlan; page: Page; isChanged: boolean; printer?: Printer }>();
defineEmits<{ choose: [name: string] }>();
const work = useAirframe();
const SIDES = { left: 'on its left', right: 'on its right', above: 'above', below: 'below' } as const;
const neighbours = computed(() =>
  (Object.keys(SIDES) as (keyof typeof SIDES)[])
    .flatMap((side) => {
      const name = props.page.neighbours[side];
      return name ? [`${name} ${SIDES[side]}`] : [];
    })
    .join(', '),
);
const assembly = computed(() => assemblyOf(props.plan, sheetOf(props.plan, props.page)));
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const proof = computed(() => assembly.value.diagonals.map(({ lengthMm }) => length(lengthMm)).join(' and '));
const query = computed(() => ({
  pages: props.page.name,
  ...(props.isChanged ? { changed: 'yes' } : {}),
  ...(props.printer ? { printer: props.printer.id } : {}),
}));
</script>

<template>
  <section :aria-label="`Page ${page.name}`">
    <h2 class="eyebrow">Page {{ page.name }}</h2>
    <InTurn><PagePreview class="page" :plan="plan" :page="page" /></InTurn>
    <p class="hint">{{ neighbours ? `Joins ${neighbours}.` : 'Stands alone: no seams.' }}</p>
    <p v-if="assembly.seams > 0" class="hint">
      Its sheet: {{ countOf(assembly.seams, 'seam') }}, {{ formatRunLength(assembly.tapeMm, work.unit) }} to tape;
      corner to corner {{ proof }}.
    </p>
    <DownloadButton name="pages.pdf" :query="query" quiet>This page alone, once more</DownloadButton>
    <div class="names" role="group" aria-label="Choose a page">
      <el-button
        link
        v-for="{ name } in plan.pages"
        :key="name"
        class="bare figures"
        :aria-pressed="name === page.name"
        @click="$emit('choose', name)"
      >
        {{ name }}
      </el-button>
    </div>
  </section>
</template>

<style scoped>
.hint {
  color: var(--ink-soft);
  margin: 6px 0;
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
