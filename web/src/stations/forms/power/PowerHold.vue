<script setup lang="ts">
import { computed } from 'vue';
import { madeOf, withForm } from '@grain-fold/core/airframe';
import {
  BOX_DOWEL_FIELDS,
  isBody,
  MOST_BOXES,
  usualBoxDowels,
  type BodyForm,
  type FormField,
} from '@grain-fold/core/forms';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FigureRow from '../../../kit/FigureRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import SchoolRow from '../slip/SchoolRow.vue';
import type { PowerDesk } from '../use-forms.ts';

/** The body that a power box sits in, and what holds it there. */
const props = defineProps<{ desk: PowerDesk }>();
const work = useAirframe();
const form = computed(() => props.desk.form.value!);
const power = computed(() => form.value.parameters);
const bodies = computed(() => (work.airframe?.forms ?? []).filter(isBody));
const holdsIt = ({ parameters: { boxIds = [] } }: BodyForm): boolean => boxIds.includes(form.value.id);
const body = computed(() => bodies.value.find(holdsIt));
const choices = computed(() => [['', 'no body'] as const, ...bodies.value.map(({ id, name }) => [id, name] as const)]);
const HOLDS = [
  ['glue', 'glue', 'It stays where it is glued.'],
  [
    'dowels',
    'dowels',
    'They run across through its walls and those of the body: drawn out, they let the box go for a change of motor.',
  ],
] as const;
const fields = computed((): Readonly<Record<string, FormField>> => {
  const { apartMm, ...rest } = BOX_DOWEL_FIELDS;
  return power.value.dowels && power.value.dowels.count > 1 ? { ...rest, apartMm } : rest;
});
function hold(how: string): void {
  const stored = props.desk.stored.value!,
    { dowels: _before, ...rest } = stored.parameters;
  props.desk.replace(how === 'dowels' ? 'Hold the power box by dowels' : 'Glue the power box in', {
    ...stored,
    parameters: how === 'dowels' ? { ...rest, dowels: usualBoxDowels(rest) } : rest,
  });
}
const boxesWithout = ({ parameters: { boxIds = [] } }: BodyForm): readonly string[] =>
  boxIds.filter((id) => id !== form.value.id && work.airframe?.forms?.some((one) => one.id === id));
/** The body that it leaves and the one that it comes to are made anew in one step. */
function sitIn(bodyId: string): void {
  const { airframe } = work;
  if (!airframe) return;
  const host = bodies.value.find(({ id }) => id === bodyId);
  if (host && boxesWithout(host).length >= MOST_BOXES) {
    work.message = `${host.name} holds ${MOST_BOXES} power boxes already: take one out first.`;
    return;
  }
  const changed = bodies.value.flatMap((one): readonly BodyForm[] => {
    if (!holdsIt(one) && one.id !== bodyId) return [];
    const { boxIds: _before, ...rest } = one.parameters,
      boxIds = [...boxesWithout(one), ...(one.id === bodyId ? [form.value.id] : [])];
    return [{ ...one, parameters: boxIds.length > 0 ? { ...rest, boxIds } : rest }];
  });
  work.commit(
    bodyId ? `Let ${form.value.name} sit in a body` : `Take ${form.value.name} out of its body`,
    changed.reduce((held, one) => withForm(held, one), airframe),
  );
}
const fit = computed(() => {
  const made = body.value && work.airframe ? madeOf(body.value, work.airframe) : undefined;
  return made?.figures?.boxes.find(({ formId }) => formId === form.value.id);
});
const length = (mm: number): string => formatLengthWithUnit(mm, work.unit);
</script>

<template>
  <section aria-label="Held">
    <h3 class="eyebrow">Held in the body</h3>
    <ChoiceRow
      v-if="bodies.length > 0"
      label="Sits in"
      :model-value="body?.id ?? ''"
      :choices="choices"
      is-list
      @update:model-value="sitIn"
    />
    <SchoolRow
      label="Held by"
      :model-value="power.dowels ? 'dowels' : 'glue'"
      :choices="HOLDS"
      @update:model-value="hold"
    />
    <FieldRows
      v-if="power.dowels"
      :parameters="power"
      prefix="dowels."
      :fields="fields"
      :unit="work.unit"
      @change="desk.change"
    />
    <p v-if="power.dowels && !body" class="about">
      {{ bodies.length > 0 ? 'Choose the body that it sits in' : 'Make a body for it' }}: its walls get the same holes.
    </p>
    <FigureRow
      v-if="fit"
      label="Room on either side"
      :value="fit.sideMm < 0 ? `${length(-fit.sideMm)} too tight` : length(fit.sideMm)"
    />
    <FigureRow
      v-if="fit && fit.dowels > 0"
      label="Cut the dowels to"
      :value="`${fit.dowels} × ${length(fit.dowelLengthMm)}`"
    />
  </section>
</template>

<style scoped>
.about {
  font-size: 13px;
  color: var(--ink-soft);
  padding: 2px 0 6px;
}
</style>
