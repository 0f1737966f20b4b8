<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import type { PageLayout } from '@grain-fold/core/intake';
import type { LengthUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import FoldAway from '../../kit/FoldAway.vue';
import MeasureField from '../../kit/MeasureField.vue';
import TextRow from '../../kit/TextRow.vue';
import type { ShownPages } from '../../workers/intake.worker.ts';
import { pageNumbers, pageWords } from './page-numbers.ts';

/** How the pages of a drawing that was cut up lie: as lines tell, or as the builder says. */
const props = defineProps<{
  pages: ShownPages;
  unit: LengthUnit;
  isMoving: boolean;
  moved: Readonly<Record<number, Point>>;
}>();
const emit = defineEmits<{
  arrange: [numbers: readonly number[], layout: PageLayout | undefined];
  move: [];
  movePage: [page: number, by: Point];
}>();

const count = computed(() => props.pages.chosen.length);
const layout = computed(() => props.pages.layout);
const change = (changes: Partial<PageLayout>): void =>
  emit('arrange', props.pages.chosen, { ...structuredClone(layoutNow()), ...changes });
const layoutNow = (): PageLayout => ({ ...layout.value });
const message = ref('');
function choose(text: string): void {
  const numbers = pageNumbers(text, props.pages.count);
  message.value = typeof numbers === 'string' ? numbers : '';
  if (typeof numbers !== 'string') emit('arrange', numbers, undefined);
}
/** Pages overlap by what their frames are wider than the way from one to the next. */
const overlap = computed(() => ({
  x: props.pages.window.maxX - props.pages.window.minX - Math.abs(layout.value.acrossMm.x),
  y: props.pages.window.maxY - props.pages.window.minY - Math.abs(layout.value.downMm.y),
}));
function setOverlap(across: number, down: number): void {
  const { minX, minY, maxX, maxY } = props.pages.window;
  change({
    acrossMm: { x: maxX - minX - across, y: 0 },
    downMm: { x: 0, y: (layout.value.downMm.y > 0 ? 1 : -1) * (maxY - minY - down) },
  });
}
/** The page that is moved by numbers, by its place. */
const page = ref(0);
</script>

<template>
  <section>
    <h2 class="eyebrow">Pages</h2>
    <p v-if="pages.meetings > 0" class="told">
      {{ count }} pages joined: <b class="figures">{{ pages.meetings }}</b> pairs of line ends meet.
    </p>
    <p v-else class="told warn">No lines tell how these pages lie. Say it below, or move them.</p>
    <TextRow label="Pages" :model-value="pageWords(pages.chosen)" :most="80" @update:model-value="choose" />
    <p v-if="message" class="warn" role="alert">{{ message }}</p>
    <MeasureField
      label="In a line"
      kind="number"
      :model-value="layout.inLine"
      :least="1"
      :most="count"
      @update:model-value="change({ inLine: $event })"
    />
    <ChoiceRow
      label="Lines run"
      :model-value="layout.runsDown ? 'down' : 'across'"
      :choices="[
        ['across', 'across'],
        ['down', 'down'],
      ]"
      @update:model-value="change({ runsDown: $event === 'down' })"
    />
    <FoldAway title="Overlap, and pages by hand">
      <MeasureField
        label="Overlap across"
        :unit="unit"
        :decimals="2"
        :model-value="overlap.x"
        :least="-50"
        :most="150"
        @update:model-value="setOverlap($event, overlap.y)"
      />
      <MeasureField
        label="Overlap down"
        :unit="unit"
        :decimals="2"
        :model-value="overlap.y"
        :least="-50"
        :most="150"
        @update:model-value="setOverlap(overlap.x, $event)"
      />
      <el-button size="small" class="by-hand" :type="isMoving ? 'primary' : undefined" @click="emit('move')">{{
        isMoving ? 'Done moving' : 'Move pages on the mat'
      }}</el-button>
      <ChoiceRow
        label="Page"
        is-list
        :model-value="String(page)"
        :choices="pages.chosen.map((number, index) => [String(index), String(number)] as const)"
        @update:model-value="page = Number($event)"
      />
      <MeasureField
        label="moved across"
        :unit="unit"
        :decimals="2"
        :model-value="moved[page]?.x ?? 0"
        @update:model-value="emit('movePage', page, { x: $event - (moved[page]?.x ?? 0), y: 0 })"
      />
      <MeasureField
        label="moved up"
        :unit="unit"
        :decimals="2"
        :model-value="moved[page]?.y ?? 0"
        @update:model-value="emit('movePage', page, { x: 0, y: $event - (moved[page]?.y ?? 0) })"
      />
    </FoldAway>
  </section>
</template>

<style scoped>
.told {
  padding: 4px 0;
}
.warn {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 6px 10px;
}
.by-hand {
  margin: 8px 0;
}
</style>
