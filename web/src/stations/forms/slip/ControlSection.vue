<script setup lang="ts">
import { computed } from 'vue';
import {
  CONTROL_FIELDS,
  CONTROL_KINDS,
  MOST_CONTROLS,
  type ParameterChange,
  type WingControl,
} from '@grain-fold/core/forms';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';
import SchoolRow from './SchoolRow.vue';
import { HINGES } from './schools.ts';

/** Ailerons, flaps and elevons: cut out of the tail, hinged along the lower skin. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const panels = computed(() => wing.value.panels.map(({ id }, index) => [id, `panel ${index + 1}`] as const));
const kinds = CONTROL_KINDS.map((kind) => [kind, kind] as const);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
function addControl(): void {
  const form = props.desk.stored.value!,
    { panels: all, controls } = form.parameters,
    last = all.at(-1)!;
  // Inboard of the tip, clear of what is there already.
  const taken = controls.filter(({ panelId }) => panelId === last.id).map(({ fromMm }) => fromMm),
    end = Math.min(last.spanMm - 10, ...taken.map((from) => from - 6));
  const fresh: WingControl = {
    panelId: last.id,
    kind: controls.length === 0 ? 'aileron' : 'flap',
    fromMm: Math.max(10, Math.round(end - 0.5 * last.spanMm)),
    toMm: Math.round(end),
    chordMm: Math.round(0.22 * last.tipChordMm),
    throwDegrees: 25,
    gapMm: 1.5,
  };
  props.desk.replace(`Add ${fresh.kind}`, {
    ...form,
    parameters: { ...form.parameters, controls: [...controls, fresh] },
  });
}
/** Whether a control ends at the free tip of the last panel, or has none to run out of. */
const isOut = ({ panelId, toMm }: WingControl): boolean => {
  const { panels: all, middle } = wing.value,
    last = all.at(-1)!;
  return panelId !== last.id || toMm >= last.spanMm || (middle === 'panel' && all.length === 1);
};
const runOut = (at: number): void =>
  change('Run control out of the tip', [{ path: `controls.${at}.toMm`, value: wing.value.panels.at(-1)!.spanMm }]);
function removeControl(at: number): void {
  const form = props.desk.stored.value!;
  props.desk.replace('Take out control', {
    ...form,
    parameters: { ...form.parameters, controls: form.parameters.controls.filter((_, one) => one !== at) },
  });
}
</script>

<template>
  <section aria-label="Controls">
    <FoldAway :title="`Controls a side · ${wing.controls.length}`">
      <div v-for="(control, at) in wing.controls" :key="at" class="control">
        <ChoiceRow
          label="Kind"
          :model-value="control.kind"
          :choices="kinds"
          is-list
          @update:model-value="change('Change control', [{ path: `controls.${at}.kind`, value: $event }])"
        />
        <ChoiceRow
          label="In panel"
          :model-value="control.panelId"
          :choices="panels"
          is-list
          @update:model-value="change('Move control', [{ path: `controls.${at}.panelId`, value: $event }])"
        />
        <FieldRows
          :parameters="wing"
          :prefix="`controls.${at}.`"
          :fields="CONTROL_FIELDS"
          :follows="{ tipChordMm: { word: 'the same', value: control.chordMm } }"
          :unit="work.unit"
          @change="change"
        />
        <SchoolRow
          label="Hangs on"
          :model-value="control.hinge ?? 'tape'"
          :choices="HINGES"
          @update:model-value="change('Change hinge', [{ path: `controls.${at}.hinge`, value: $event }])"
        />
        <CheckRow
          v-if="(wing.build ?? 'folded') === 'folded'"
          label="Both skins move"
          :model-value="control.hasUpperSkin === true"
          @update:model-value="change('Skins of the control', [{ path: `controls.${at}.hasUpperSkin`, value: $event }])"
        />
        <el-button v-if="!isOut(control)" link size="small" @click="runOut(at)">Run it out of the tip</el-button>
        <el-button link size="small" @click="removeControl(at)">Take it out</el-button>
      </div>
      <p>
        Cut out of both skins and hinged along the underside: its nose is bevelled by the throw, a strip closes the wing
        before it where there is room. With both skins it is closed again: a strip at its nose, prisms where it is
        thick.
      </p>
      <el-button size="small" :disabled="wing.controls.length >= MOST_CONTROLS" @click="addControl"
        >Add a control</el-button
      >
    </FoldAway>
  </section>
</template>

<style scoped>
.control {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 10px;
}
p {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 4px 0 8px;
}
</style>
