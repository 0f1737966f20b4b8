<script setup lang="ts">
import { computed } from 'vue';
import { applyCommand, type PartDetails } from '@grain-fold/core/editing';
import type { Part } from '@grain-fold/core/part';
import { materialsOf } from '@grain-fold/core/stock';
import { countOf } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import TextRow from '../../../kit/TextRow.vue';

/** Several parts changed at once, each change one step of the history. */
const props = defineProps<{ parts: readonly Part[] }>();
const emit = defineEmits<{ done: [] }>();
const work = useAirframe();

/** What all of the parts have in common, or '' where they differ. */
function shared<T extends string | number>(of: (part: Part) => T): T | '' {
  const [first, ...rest] = props.parts.map(of);
  return first !== undefined && rest.every((value) => value === first) ? first : '';
}
const VARIOUS = ['', 'various'] as const;
const withVarious = (
  value: string,
  choices: readonly (readonly [string, string])[],
): readonly (readonly [string, string])[] => (value === '' ? [VARIOUS, ...choices] : choices);
const material = computed(() => shared((part) => part.material));
const materials = computed(() =>
  withVarious(
    material.value,
    [...new Set([...materialsOf(work.airframe?.boards ?? []), ...props.parts.map((part) => part.material)])].map(
      (name) => [name, name] as const,
    ),
  ),
);
const grain = computed(() => shared((part) => part.grain.rule));
const handed = computed(() => shared((part) => part.handed));
const quantity = computed(() => shared((part) => part.quantity));
const group = computed(() => shared((part) => part.group));

const has = (part: Part, details: Partial<PartDetails>): boolean =>
  Object.entries(details).every(
    ([key, value]) => JSON.stringify(part[key as keyof PartDetails]) === JSON.stringify(value),
  );
function change(of: (part: Part) => Partial<PartDetails>): void {
  const now = work.airframe;
  if (!now) return;
  const ids = new Set(
    now.parts
      .filter((part) => props.parts.some(({ id }) => id === part.id) && !has(part, of(part)))
      .map(({ id }) => id),
  );
  if (ids.size === 0) return;
  const changed: Part[] = [];
  for (const part of now.parts) {
    const result = ids.has(part.id)
      ? applyCommand(part, { name: 'changeDetails', args: { changes: of(part) } })
      : undefined;
    if (result && !result.ok) {
      work.message = result.message;
      return;
    }
    changed.push(result?.ok ? result.part : part);
  }
  work.setParts(`Change ${countOf(ids.size, 'part')}`, changed);
}
</script>

<template>
  <el-form class="bar" aria-label="Change the chosen parts" @submit.prevent @keydown.esc.stop="emit('done')">
    <h2 class="eyebrow">{{ countOf(parts.length, 'part') }} chosen</h2>
    <ChoiceRow
      label="Material"
      :model-value="material"
      :choices="materials"
      @update:model-value="$event && change(() => ({ material: $event }))"
    />
    <MeasureField
      label="How many"
      kind="number"
      :model-value="quantity === '' ? 1 : quantity"
      :auto="quantity === '' ? 'various' : undefined"
      :least="1"
      :most="999"
      @update:model-value="change(() => ({ quantity: Math.round($event) }))"
    />
    <ChoiceRow
      label="Made"
      :model-value="handed"
      :choices="
        withVarious(handed, [
          ['single', 'single'],
          ['pair', 'handed pair'],
        ])
      "
      @update:model-value="$event && change(() => ({ handed: $event as Part['handed'] }))"
    />
    <ChoiceRow
      label="Grain"
      :model-value="grain"
      :choices="
        withVarious(grain, [
          ['any', 'any way'],
          ['along', 'runs along'],
          ['across', 'runs across'],
        ])
      "
      @update:model-value="
        $event && change((part) => ({ grain: { ...part.grain, rule: $event as Part['grain']['rule'] } }))
      "
    />
    <TextRow
      label="Group"
      :model-value="group"
      :placeholder="group === '' ? 'various' : ''"
      @update:model-value="change(() => ({ group: $event }))"
    />
    <el-button size="small" @click="emit('done')">Done</el-button>
  </el-form>
</template>

<style scoped>
.bar {
  position: absolute;
  right: 14px;
  bottom: 36px;
  width: 300px;
  z-index: 4;
  background: var(--ticket);
  color: var(--ink);
  border-radius: var(--radius);
  padding: 10px 14px 12px;
  display: grid;
  gap: 2px;
}
.el-button {
  margin-top: 8px;
  justify-self: start;
}
</style>
