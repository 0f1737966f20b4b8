<script setup lang="ts">
import { computed, ref } from 'vue';
import type { LeftOut } from '@grain-fold/core/formats';
import { countOf, formatArea, type LengthUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import FoldAway from '../../kit/FoldAway.vue';
import TickBox from '../../kit/TickBox.vue';
import type { TakenDrawing } from '../../workers/intake.worker.ts';
import type { Wanted } from './use-bring-in.ts';

/** What comes in: its parts, what was mended, and what was left out and why. */
const props = defineProps<{
  taken: TakenDrawing | undefined;
  leftOut: readonly LeftOut[];
  materials: readonly string[];
  unit: LengthUnit;
  isTaking: boolean;
}>();
const wanted = defineModel<readonly Wanted[]>('wanted', { required: true });
const material = defineModel<string>('material', { required: true });

/** So many parts are listed at once, until all are asked for. */
const FEW = 24;
const showsAll = ref(false);
const lineCount = computed(() => (props.taken?.parts ?? []).reduce((sum, { works }) => sum + works, 0));
const all = computed(() => wanted.value.length > 0 && wanted.value.every(({ isWanted }) => isWanted));
function change(index: number, changes: Partial<Wanted>): void {
  wanted.value = wanted.value.map((one, at) => (at === index ? { ...one, ...changes } : one));
}
const tickAll = (isWanted: boolean): void => {
  wanted.value = wanted.value.map((one) => ({ ...one, isWanted }));
};
const holds = ({ holes, slots, works }: TakenDrawing['parts'][number]): string =>
  [
    holes > slots ? countOf(holes - slots, 'hole') : '',
    slots > 0 ? countOf(slots, 'slot') : '',
    works > 0 ? countOf(works, 'line') : '',
  ]
    .filter(Boolean)
    .join(', ');
const told = computed(() => [
  ...(props.taken?.told ?? []),
  ...(props.taken && props.taken.looseCount > 0
    ? [{ what: 'lines on no part, in brick on the mat', count: props.taken.looseCount }]
    : []),
]);
</script>

<template>
  <section>
    <div class="head">
      <h2 class="eyebrow">Parts</h2>
      <span class="figures lines">{{ taken ? countOf(lineCount, 'line of work', 'lines of work') : '' }}</span>
      <b class="figures count">{{ isTaking ? '~' : '' }}{{ taken?.parts.length ?? '–' }}</b>
    </div>
    <ChoiceRow
      v-if="materials.length > 1"
      label="Cut from"
      is-list
      :model-value="material"
      :choices="materials.map((one) => [one, one] as const)"
      @update:model-value="material = $event"
    />
    <template v-if="taken && wanted.length === taken.parts.length">
      <TickBox v-if="wanted.length > 1" label="all of them" :model-value="all" @update:model-value="tickAll" />
      <ul class="parts">
        <li
          v-for="(part, index) in taken.parts.slice(0, showsAll ? Infinity : FEW)"
          :key="index"
          :class="{ out: !wanted[index]!.isWanted }"
        >
          <el-checkbox
            :model-value="wanted[index]!.isWanted"
            :aria-label="`Take ${wanted[index]!.name}`"
            :validate-event="false"
            @update:model-value="change(index, { isWanted: $event === true })"
          />
          <el-input
            size="small"
            class="name"
            :model-value="wanted[index]!.name"
            maxlength="80"
            :aria-label="`Name of part ${index + 1}`"
            :validate-event="false"
            @update:model-value="change(index, { name: $event })"
          />
          <span class="figures times">× {{ wanted[index]!.quantity }}</span>
          <small class="figures">{{ [formatArea(part.areaMm2, unit), holds(part)].filter(Boolean).join(' · ') }}</small>
        </li>
      </ul>
      <el-button v-if="taken.parts.length > FEW && !showsAll" text size="small" @click="showsAll = true">
        Show all {{ taken.parts.length }}
      </el-button>
    </template>
    <FoldAway v-if="told.length + leftOut.length > 0" title="Mended and left out" is-open>
      <ul class="told">
        <li v-for="{ what, count } in [...told, ...leftOut]" :key="what">
          <b class="figures">{{ count }}</b> {{ what }}
        </li>
      </ul>
    </FoldAway>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.lines {
  flex: 1;
  padding-left: 10px;
  color: var(--ink-soft);
}
.count {
  font-size: 28px;
  line-height: 1;
}
.parts,
.told {
  list-style: none;
}
.parts {
  max-height: 300px;
  overflow-y: auto;
}
.parts li {
  display: grid;
  grid-template-columns: 22px 1fr auto;
  align-items: center;
  gap: 0 6px;
  border-bottom: 1px solid var(--foam-edge);
  padding: 3px 0 5px;
}
.parts small {
  grid-column: 2 / 4;
  color: var(--ink-soft);
  font-size: 13px;
}
.parts .out small,
.parts .out .times {
  opacity: 0.6;
}
.told li {
  display: flex;
  gap: 8px;
  padding: 2px 0;
}
.told b {
  min-width: 30px;
  text-align: right;
}
</style>
