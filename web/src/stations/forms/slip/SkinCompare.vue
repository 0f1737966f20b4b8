<script setup lang="ts">
import { computed } from 'vue';
import { formContext } from '@grain-fold/core/airframe';
import { makeForm, type MadeWing } from '@grain-fold/core/forms';
import { formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';

/** The wing as it is and with its skin the other way, beside each other: made only while it is looked at. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const WAYS = ['creased', 'bent'] as const;
const both = computed(() => {
  const form = props.desk.form.value!,
    context = formContext(work.airframe!);
  return WAYS.map((skin): MadeWing =>
    skin === form.parameters.skin && props.desk.made.value
      ? props.desk.made.value
      : makeForm({ ...form, parameters: { ...form.parameters, skin } }, context),
  );
});
const NONE = 'none';
/** Width of the skin on the flat at the root, along its outside. */
function flatWidth({ sites }: MadeWing): number {
  const { corners } = sites[0]!.sections.root.section;
  return corners.slice(1).reduce((sum, { x, y }, at) => sum + Math.hypot(x - corners[at]!.x, y - corners[at]!.y), 0);
}
const rows = computed(() => {
  const length = (mm: number | undefined, digits = 1): string =>
    mm === undefined || !Number.isFinite(mm) ? NONE : formatLengthWithUnit(mm, work.unit, digits);
  const row = (word: string, of: (one: MadeWing) => string): readonly [string, readonly string[]] => [
    word,
    both.value.map((one) => (one.sites.length > 0 && one.figures ? of(one) : 'makes no wing')),
  ];
  return [
    row('On the flat at the root', (one) => length(flatWidth(one))),
    row('Folds to make', (one) => length(one.figures!.foldMm, 0)),
    row('Off the drawn section', (one) => length(one.figures!.deviationMm, 2)),
    row('Tightest bend', (one) => length(one.figures!.tightestMm, 0)),
    row('Mass of its foam', (one) => formatMass(one.figures!.massG, work.unit)),
  ];
});
</script>

<template>
  <div class="compare" role="table" aria-label="Creased beside bent">
    <div role="row">
      <span role="columnheader"><span class="unseen">What</span></span>
      <span v-for="way in WAYS" :key="way" role="columnheader">{{ way }}</span>
    </div>
    <div v-for="[word, values] in rows" :key="word" role="row">
      <span role="rowheader">{{ word }}</span>
      <span v-for="(value, at) in values" :key="at" role="cell" class="figures">{{ value }}</span>
    </div>
  </div>
</template>

<style scoped>
.compare > div {
  display: grid;
  grid-template-columns: 1fr 76px 76px;
  padding: 3px 0;
  font-size: 13.5px;
  color: var(--label);
}
.compare span:not(:first-child) {
  text-align: right;
}
.figures {
  font-weight: 600;
  color: var(--ink);
}
.unseen {
  position: absolute;
  clip-path: inset(50%);
}
</style>
