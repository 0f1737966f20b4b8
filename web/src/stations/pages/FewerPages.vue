<script setup lang="ts">
import { computed } from 'vue';
import { withPacking, type PageSearch } from '@grain-fold/core/airframe';
import type { PagePlan } from '@grain-fold/core/pages';
import { countOf, formatRunLength } from '@grain-fold/core/units';
import { useSearch } from '../../composables/use-search.ts';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { slowly } from '../../workers/index.ts';

/** Looks longer for fewer pages: other orders of beginning sheets, the best of which is taken. */
const props = defineProps<{ plan: PagePlan }>();
const work = useAirframe();
const { search, isRunning, fault, look, stop } = useSearch<PageSearch>(slowly.searchPages, [
  () => work.airframe?.parts,
  () => work.airframe?.boards,
  () => work.airframe?.settings.pages,
]);
const own = computed(() => work.airframe?.settings.pages.packing ?? 0);
const isBetter = computed(() => search.value !== undefined && search.value.best.packing !== own.value);
const words = computed(() => {
  if (!search.value) return '';
  const { tried, best } = search.value;
  const found = `${countOf(best.pages, 'page')}, ${formatRunLength(best.tapeMm, work.unit)} of seams`;
  return `${countOf(tried, 'packing')} tried: ${isBetter.value ? `best ${found}.` : `none takes less than these ${found}.`}`;
});
function take(): void {
  const { airframe } = work;
  if (airframe && search.value)
    work.changeSettings(`Lay out ${countOf(search.value.best.pages, 'page')}`, {
      pages: withPacking(airframe, search.value.best.packing).settings.pages,
    });
}
</script>

<template>
  <div v-if="props.plan.pages.length > 2" class="fewer">
    <div class="buttons">
      <el-button v-if="!isRunning" size="small" @click="look">Look for fewer pages</el-button>
      <el-button v-else size="small" @click="stop()">Stop</el-button>
      <el-button v-if="search && isBetter" size="small" type="primary" :disabled="isRunning" @click="take"
        >Take {{ countOf(search.best.pages, 'page') }}</el-button
      >
    </div>
    <p v-if="words" class="hint" role="status">{{ words }}</p>
    <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.fewer {
  margin: 8px 0;
}
.buttons {
  display: flex;
  gap: 8px;
}
.buttons .el-button {
  margin: 0;
}
.hint {
  color: var(--ink-soft);
  font-size: 13px;
  padding: 4px 0;
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
