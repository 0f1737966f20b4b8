<script setup lang="ts">
import { computed } from 'vue';
import { laidServo, MOST_SERVOS, SERVO_FIELDS, type ParameterChange } from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';

/** Servos in the wing: where each lies, how, and what its lead needs. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const wing = computed(() => props.desk.form.value!.parameters);
const panels = computed(() => wing.value.panels.map(({ id }, index) => [id, `panel ${index + 1}`] as const));
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
const lies = computed(() =>
  wing.value.servos.map((servo) => {
    const site = props.desk.made.value?.sites.find(({ laid }) => laid.panel.id === servo.panelId);
    const laid = site && laidServo(site, servo);
    return laid
      ? `Lies ${laid.way}: ${length(laid.depthMm)} deep there, opening ${length(laid.chordwiseMm)} × ${length(laid.spanwiseMm)}, clear of the spar.`
      : '';
  }),
);
/** Routes come panel by panel, servos as they were added. */
const leads = computed(() => {
  const routes = props.desk.made.value?.figures?.leads ?? [],
    left = [...routes];
  return wing.value.servos.map(({ panelId }) => {
    const number = wing.value.panels.findIndex(({ id }) => id === panelId) + 1,
      at = left.findIndex(({ panel }) => panel === number);
    return at < 0 ? undefined : left.splice(at, 1)[0];
  });
});
function addServo(): void {
  const form = props.desk.stored.value!,
    { panels: all, servos } = form.parameters,
    last = all.at(-1)!;
  const fresh = {
    panelId: last.id,
    outMm: Math.round(last.spanMm / 2),
    aftMm: 0,
    lengthMm: 23,
    widthMm: 12,
    heightMm: 24,
    leadMm: 200,
  };
  props.desk.replace('Add servo', { ...form, parameters: { ...form.parameters, servos: [...servos, fresh] } });
}
function removeServo(at: number): void {
  const form = props.desk.stored.value!;
  props.desk.replace('Take out servo', {
    ...form,
    parameters: { ...form.parameters, servos: form.parameters.servos.filter((_, one) => one !== at) },
  });
}
</script>

<template>
  <section aria-label="Servos">
    <FoldAway :title="`Servos a side · ${wing.servos.length}`">
      <div v-for="(servo, at) in wing.servos" :key="at" class="servo">
        <ChoiceRow
          label="In"
          :model-value="servo.panelId"
          :choices="panels"
          is-list
          @update:model-value="change('Move servo', [{ path: `servos.${at}.panelId`, value: $event }])"
        />
        <FieldRows
          :parameters="wing"
          :prefix="`servos.${at}.`"
          :fields="SERVO_FIELDS"
          :unit="work.unit"
          @change="change"
        />
        <p>{{ lies[at] }}</p>
        <p v-if="leads[at]">
          Its lead runs {{ length(leads[at].lengthMm) }} along the spar to the middle:
          <b>{{
            leads[at].extensionMm > 0 ? `buy ${length(leads[at].extensionMm)} of extension` : 'it reaches by itself'
          }}</b>.
        </p>
        <el-button link size="small" @click="removeServo(at)">Take it out</el-button>
      </div>
      <el-button size="small" :disabled="wing.servos.length >= MOST_SERVOS" @click="addServo">Add a servo</el-button>
    </FoldAway>
  </section>
</template>

<style scoped>
.servo {
  border-left: 3px solid var(--marigold);
  padding-left: 10px;
  margin-bottom: 10px;
}
p {
  font-size: 13.5px;
  padding: 4px 0;
}
</style>
