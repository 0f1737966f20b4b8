<script setup lang="ts">
import { computed } from 'vue';
import {
  LEAST_CORNERS,
  MOST_CORNERS,
  MOST_SECTIONS,
  SHELL_CORNER_FIELDS,
  SHELL_SECTION_FIELDS,
  type ParameterChange,
  type ShellCorner,
  type ShellParameters,
  type ShellSection,
} from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import FieldRows from '../slip/FieldRows.vue';
import ItemList from '../slip/ItemList.vue';
import type { ShellDesk } from '../use-forms.ts';

/** The sections of a shell, each with its corners from the keel to the spine. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const shell = computed(() => props.desk.form.value!.parameters);
const SEAMS = [
  ['below', 'below'],
  ['above', 'above'],
] as const;
const half = (a: number, b: number): number => Math.round(((a + b) / 2) * 10) / 10;
/** Half way through the longest bay, its corners between those of its neighbours. */
function freshSection(): Omit<ShellSection, 'id'> | undefined {
  const { sections } = shell.value;
  const bays = sections.slice(1).map((b, index) => [sections[index]!, b] as const);
  const [a, b] = bays.reduce((best, one) => (one[1].aftMm - one[0].aftMm > best[1].aftMm - best[0].aftMm ? one : best));
  if (b.aftMm - a.aftMm < 20) return undefined;
  return {
    aftMm: half(a.aftMm, b.aftMm),
    corners: a.corners.map(({ outMm, upMm }, at) => ({
      outMm: half(outMm, b.corners[at]!.outMm),
      upMm: half(upMm, b.corners[at]!.upMm),
    })),
  };
}
const figure = ({ corners }: ShellSection): string => {
  const ups = corners.map(({ upMm }) => upMm);
  return `${formatLength(Math.max(...ups) - Math.min(...ups), work.unit)} × ${formatLength(2 * Math.max(...corners.map(({ outMm }) => outMm)), work.unit)}`;
};
const wordOf = (at: number, count: number): string =>
  at === 0 ? 'Corner 1, the keel' : at === count - 1 ? `Corner ${at + 1}, the spine` : `Corner ${at + 1}`;
function keep(label: string, corners: (own: readonly ShellCorner[]) => readonly ShellCorner[]): void {
  const form = props.desk.stored.value!;
  const parameters: ShellParameters = {
    ...form.parameters,
    sections: form.parameters.sections.map((section) => ({ ...section, corners: corners(section.corners) })),
  };
  props.desk.replace(label, { ...form, parameters });
}
/** Every section has as many corners: one more comes half way between the last two. */
const addCorner = (): void =>
  keep('Add corner', (own) => {
    const [a, b] = own.slice(-2) as [ShellCorner, ShellCorner];
    return [...own.slice(0, -1), { outMm: half(a.outMm, b.outMm), upMm: half(a.upMm, b.upMm) }, b];
  });
const takeOut = (at: number): void =>
  keep(`Take out corner ${at + 1}`, (own) => own.filter((_, index) => index !== at));
const count = computed(() => shell.value.sections[0]?.corners.length ?? 0);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
</script>

<template>
  <section aria-label="Sections">
    <h3 class="eyebrow">Sections, high × wide outside</h3>
    <ItemList
      :desk="desk"
      list="sections"
      :items="shell.sections"
      :most="MOST_SECTIONS"
      :least="2"
      word="section"
      :fields="SHELL_SECTION_FIELDS"
      :word-of="({ aftMm }, at) => `${at + 1} at ${formatLength(aftMm, work.unit)}`"
      :figure-of="figure"
      :fresh="freshSection"
      id-prefix="s"
      :order-of="({ aftMm }) => aftMm"
    >
      <template #default="{ item, path }">
        <template v-for="(_, at) in item.corners" :key="at">
          <p class="corner">
            {{ wordOf(at, item.corners.length) }}
            <el-button v-if="item.corners.length > LEAST_CORNERS" link size="small" @click="takeOut(at)"
              >Take it out of all</el-button
            >
          </p>
          <FieldRows
            :parameters="shell"
            :prefix="`${path}corners.${at}.`"
            :fields="SHELL_CORNER_FIELDS"
            :unit="work.unit"
            @change="change"
          />
        </template>
      </template>
    </ItemList>
    <el-button size="small" class="add" :disabled="count >= MOST_CORNERS" @click="addCorner"
      >Add a corner to all</el-button
    >
    <CheckRow
      label="A plate closes the nose"
      :model-value="shell.closesNose"
      @update:model-value="change('Close the nose', [{ path: 'closesNose', value: $event }])"
    />
    <CheckRow
      label="A plate closes the tail"
      :model-value="shell.closesTail"
      @update:model-value="change('Close the tail', [{ path: 'closesTail', value: $event }])"
    />
    <ChoiceRow
      label="Seams show least"
      :model-value="shell.seams"
      :choices="SEAMS"
      @update:model-value="change('Move the seams', [{ path: 'seams', value: $event }])"
    />
  </section>
</template>

<style scoped>
.corner {
  display: flex;
  justify-content: space-between;
  font-weight: 600;
  font-size: 13.5px;
  padding-top: 8px;
}
.add {
  margin: 8px 0 8px 10px;
}
</style>
