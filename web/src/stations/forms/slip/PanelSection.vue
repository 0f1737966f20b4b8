<script setup lang="ts">
import { computed } from 'vue';
import {
  MOST_PANELS,
  PANEL_FIELDS,
  type FormField,
  type ParameterChange,
  type WingPanel,
  withPanels,
} from '@grain-fold/core/forms';
import { formatAngle, formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import FieldRows from './FieldRows.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';

/** The panels of a side, from the middle outward: the chosen one with its numbers. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const index = computed(() => {
  const { value } = props.desk.chosen;
  return value && value.index < wing.value.panels.length && value.kind === 'panel' ? value.index : undefined;
});
const isMiddle = (at: number): boolean => at === 0 && wing.value.middle === 'panel';
const { tipSparHeightMm, washoutDegrees, ...SHAPE } = PANEL_FIELDS;
const MIDDLE = { spanMm: { ...PANEL_FIELDS.spanMm, word: 'Whole width' } };
const fields = computed<Readonly<Record<string, FormField>>>(() =>
  index.value !== undefined && isMiddle(index.value) ? MIDDLE : SHAPE,
);
const follows = computed(() => {
  const site = index.value === undefined ? undefined : props.desk.made.value?.sites[index.value];
  return site
    ? {
        tipSparHeightMm: {
          word: formatLength(site.sections.tip.sparHeightMm, work.unit),
          value: site.sections.tip.sparHeightMm,
        },
      }
    : undefined;
});
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);

function addPanel(): void {
  const form = props.desk.stored.value!,
    { panels } = form.parameters,
    last = panels.at(-1)!;
  const used = new Set(panels.map(({ id }) => id));
  let number = panels.length + 1;
  while (used.has(`p${number}`)) number += 1;
  const next: WingPanel = {
    id: `p${number}`,
    spanMm: Math.round(last.spanMm * 0.6),
    tipChordMm: last.tipChordMm,
    sweepDegrees: 0,
    dihedralDegrees: form.parameters.dihedralAgainst === 'neighbour' ? 8 : Math.min(40, last.dihedralDegrees + 8),
    washoutDegrees: 0,
  };
  props.desk.replace('Add panel', { ...form, parameters: { ...form.parameters, panels: [...panels, next] } });
  props.desk.chosen.value = { kind: 'panel', index: panels.length };
}
function removePanel(at: number): void {
  const form = props.desk.stored.value!,
    { panels } = form.parameters;
  props.desk.replace(`Take out panel ${at + 1}`, {
    ...form,
    parameters: withPanels(
      form.parameters,
      panels.filter((_, one) => one !== at),
    ),
  });
  props.desk.chosen.value = undefined;
}
const wordOf = (at: number): string => (isMiddle(at) ? 'Middle panel' : `Panel ${at + 1}`);
</script>

<template>
  <section aria-label="Panels">
    <h3 class="eyebrow">Panels, from the middle out</h3>
    <template v-for="(panel, at) in wing.panels" :key="panel.id">
      <el-button
        link
        class="bare line"
        :aria-expanded="index === at"
        @click="desk.chosen.value = index === at ? undefined : { kind: 'panel', index: at }"
      >
        <span>{{ wordOf(at) }}</span><span class="dots" aria-hidden="true" /><span class="figures"
          >{{ formatLengthWithUnit(panel.spanMm, work.unit)
          }}<template v-if="!isMiddle(at)"> · {{ formatAngle(panel.dihedralDegrees) }}</template></span
        >
      </el-button>
      <div v-if="index === at" class="own">
        <FieldRows :parameters="wing" :prefix="`panels.${at}.`" :fields="fields" :unit="work.unit" @change="change" />
        <FoldAway v-if="!isMiddle(at)" title="Washout and spar at its tip">
          <FieldRows
            :parameters="wing"
            :prefix="`panels.${at}.`"
            :fields="{ washoutDegrees, tipSparHeightMm }"
            :follows="follows"
            :unit="work.unit"
            @change="change"
          />
        </FoldAway>
        <el-button v-if="wing.panels.length > 1" link size="small" @click="removePanel(at)">Take it out</el-button>
      </div>
    </template>
    <el-button size="small" class="add" :disabled="wing.panels.length >= MOST_PANELS" @click="addPanel"
      >Add a panel</el-button
    >
  </section>
</template>

<style scoped>
.line {
  display: flex;
  width: 100%;
  min-height: 34px;
}
.line :deep(> span) {
  display: flex;
  flex: 1;
  align-items: baseline;
  gap: 7px;
}
.line .figures {
  font-weight: 600;
  font-size: 16px;
}
.dots {
  flex: 1;
  border-bottom: 1px dotted #a89a74;
  transform: translateY(-4px);
}
.own {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 8px;
}
.add {
  margin-top: 8px;
}
</style>
