<script setup lang="ts">
import { computed } from 'vue';
import type { PartCommand } from '@grain-fold/core/editing';
import { traitsOf, type Operation } from '@grain-fold/core/operations';
import type { Part } from '@grain-fold/core/part';
import { countOf } from '@grain-fold/core/units';
import MeasureField from '../../../../kit/MeasureField.vue';
import TextRow from '../../../../kit/TextRow.vue';
import TickBox from '../../../../kit/TickBox.vue';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';

/** Work on several chosen lines at once: one label, one angle, one set of variants, each in one step. */
const props = defineProps<{ part: Part; operations: readonly Operation[] }>();
const work = useAirframe();
/** The number on the line, where all lines are of one kind that has one. */
const field = computed(() => {
  const kinds = new Set(props.operations.map(({ kind }) => kind));
  return kinds.size === 1
    ? traitsOf([...kinds][0]!).fields.find(({ isOnLine, kind }) => isOnLine && kind === 'angle')
    : undefined;
});
const shared = <T,>(values: readonly T[]): T | undefined =>
  values.every((value) => value === values[0]) ? values[0] : undefined;
const label = computed(() => shared(props.operations.map((operation) => operation.label)) ?? '');
const angle = computed(() =>
  field.value
    ? shared(props.operations.map((operation) => (operation as unknown as Record<string, number>)[field.value!.key]))
    : undefined,
);
const all = computed(() => work.airframe?.settings.variants ?? []);
const isIn = (name: string): boolean => props.operations.every(({ variants }) => !variants || variants.includes(name));

const words = computed(() => countOf(props.operations.length, 'line'));
const toAll = (step: string, commandFor: (operation: Operation) => PartCommand): void => {
  work.runAll(props.part.id, props.operations.map(commandFor), `${step} of ${words.value}`);
};
const change = (step: string, changes: Readonly<Record<string, unknown>>): void =>
  toAll(step, ({ id }) => ({ name: 'changeOperation', args: { operationId: id, changes } }));
function toggle(name: string): void {
  const now = all.value.filter((one) => (one === name ? !isIn(one) : isIn(one)));
  if (now.length === 0) return;
  toAll('Change variants', ({ id }) => ({
    name: 'setVariants',
    args: { targetId: id, variants: now.length === all.value.length ? null : now },
  }));
}
</script>

<template>
  <section aria-label="Chosen lines together">
    <h2 class="eyebrow">Work on these {{ words }}</h2>
    <div class="rows">
      <MeasureField
        v-if="field"
        :label="angle === undefined ? `${field.word}, now of different angles` : field.word"
        kind="angle"
        :least="field.least"
        :most="field.most"
        :model-value="angle ?? 0"
        @update:model-value="change('Change angle', { [field.key]: $event })"
      />
      <TextRow label="Label" :model-value="label" @update:model-value="change('Label', { label: $event })" />
      <div v-if="all.length > 0" class="row" role="group" aria-label="Exist in">
        <span class="label">Exist in</span>
        <span class="names"
          ><TickBox
            v-for="name in all"
            :key="name"
            :model-value="isIn(name)"
            :label="name"
            @update:model-value="toggle(name)"
        /></span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.names {
  display: grid;
  gap: 3px;
  justify-items: end;
}
</style>
