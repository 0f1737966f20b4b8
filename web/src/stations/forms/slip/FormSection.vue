<script setup lang="ts">
import { computed } from 'vue';
import { materialsOf } from '@grain-fold/core/stock';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { FormsDesk } from '../use-forms.ts';
import WholeSection from './WholeSection.vue';

/** The form itself: its name, its board, where it stands, what waits for a place, and how it is let go. */
const props = defineProps<{
  desk: FormsDesk;
  /** Whether it is tilted by an incidence. */
  hasIncidence?: boolean;
  /** Whether it stands nowhere. */
  isAnywhere?: boolean;
}>();
const work = useAirframe();
const form = computed(() => props.desk.stored.value!);
const materials = computed(() => {
  const known = materialsOf(work.airframe?.boards ?? []);
  return [...new Set([form.value.parameters.material, ...known])].map((one) => [one, one] as const);
});
const AXES = [
  ['x', 'Aft of the datum'],
  ['y', 'To starboard'],
  ['z', 'Up'],
] as const;
const axes = computed(() =>
  form.value.standsBy || props.isAnywhere ? [] : props.hasIncidence ? AXES : AXES.filter(([axis]) => axis !== 'y'),
);
const plannedName = computed(() => work.airframe?.plan?.things.find(({ id }) => id === form.value.plannedId)?.name);
function unlink(): void {
  const { plannedId: _planned, ...rest } = form.value;
  props.desk.replace('Unlink from the plan', rest);
}
const place = (key: 'x' | 'y' | 'z', value: number): void =>
  props.desk.replace(`Move ${form.value.name}`, {
    ...form.value,
    place: { ...form.value.place, at: { ...form.value.place.at, [key]: value } },
  });
</script>

<template>
  <section aria-label="Form">
    <div v-if="form.parked?.length" class="parked">
      <h3 class="eyebrow">Drawn by you, without a place now</h3>
      <div v-for="(addition, at) in form.parked" :key="at" class="row">
        <span class="label">{{ addition.what }} on {{ addition.role }}</span>
        <el-button size="small" @click="desk.putBackParked(at)">Put back</el-button>
        <el-button link size="small" @click="desk.dropParked(at)">Throw away</el-button>
      </div>
    </div>
    <WholeSection />
    <FoldAway :title="isAnywhere ? 'Form and release' : 'Form, place and release'">
      <TextRow
        label="Name"
        :most="40"
        :model-value="form.name"
        @update:model-value="$event.trim() && desk.replace('Rename form', { ...form, name: $event.trim() })"
      />
      <ChoiceRow
        label="Board"
        :model-value="form.parameters.material"
        :choices="materials"
        is-list
        @update:model-value="desk.change(`Change board of ${form.name}`, [{ path: 'material', value: $event }])"
      />
      <slot />
      <MeasureField
        v-for="[key, word] in axes"
        :key="key"
        :label="word"
        :unit="work.unit"
        :model-value="form.place.at[key]"
        @update:model-value="place(key, $event)"
      />
      <MeasureField
        v-if="hasIncidence && !form.standsBy"
        label="Incidence"
        kind="angle"
        :model-value="form.place.incidenceDegrees"
        :least="-45"
        :most="45"
        @update:model-value="
          desk.replace('Change incidence', { ...form, place: { ...form.place, incidenceDegrees: $event } })
        "
      />
      <p v-if="plannedName" class="about">
        Linked to {{ plannedName }} of the plan: drag either, the other follows.
        <el-button link size="small" @click="unlink">Unlink</el-button>
      </p>
      <div v-if="form.leftOut?.length" class="row">
        <span class="label">Left out: {{ form.leftOut.join(', ') }}</span>
        <el-button
          size="small"
          @click="
            desk.replace('Make all parts again', {
              ...form,
              leftOut: [],
            })
          "
          >Make again</el-button
        >
      </div>
      <div class="ends">
        <el-button size="small" @click="desk.release()">Release to drawn parts</el-button>
        <el-button link size="small" @click="desk.remove()">Remove with its parts</el-button>
      </div>
      <p class="about">Released parts are yours to draw on; the form is gone then, and undo brings it back.</p>
    </FoldAway>
  </section>
</template>

<style scoped>
.ends {
  display: flex;
  gap: 10px;
  padding: 12px 0 4px;
}
.about {
  font-size: 13px;
  color: var(--ink-soft);
}
.parked {
  background: var(--marigold-pale);
  padding: 8px 10px;
  margin-bottom: 8px;
}
</style>
