<script setup lang="ts">
import type { UploadFile } from 'element-plus';
import { computed, ref } from 'vue';
import {
  MOST_SECTION_POINTS,
  nacaFault,
  readSection,
  SECTION_FIELDS,
  USUAL_NOSE_BOARDS,
  WING_FIELDS,
  type ParameterChange,
} from '@grain-fold/core/forms';
import { formatLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import TextRow from '../../../kit/TextRow.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { WingDesk } from '../use-forms.ts';
import FieldRows from './FieldRows.vue';
import SkinCompare from './SkinCompare.vue';
import SchoolRow from './SchoolRow.vue';
import { DRAWN_NOSES, NOSES, SKINS, TAILS } from './schools.ts';

/** How a folded skin is shaped: over a strip spar, or creased to a drawn section; its nose and its tail. */
const props = defineProps<{ desk: WingDesk }>();
const work = useAirframe();
const fault = ref('');
const wing = computed(() => props.desk.form.value!.parameters);
const isDrawn = computed(() => wing.value.section.kind !== 'strip-spar');
const isCored = computed(() => wing.value.build === 'cored');
const ALL_KINDS = [
  ['strip-spar', 'flat bottom over a strip spar'],
  ['naca', 'NACA, four or five digits'],
  ['points', 'from a file of points'],
] as const;
const kinds = computed(() => ALL_KINDS.filter(([kind]) => !isCored.value || kind !== 'strip-spar'));
const tails = computed(() =>
  isDrawn.value ? TAILS.filter(([value]) => value === 'sanded' || value === 'square') : TAILS,
);
const change = (label: string, changes: readonly ParameterChange[]): void => props.desk.change(label, changes);
const lap = computed(() => {
  const own = props.desk.made.value?.sites[0]?.sections.root.section.lapMm ?? 0;
  return { lapMm: { word: formatLength(own, work.unit), value: own } };
});
const nose = computed(() => {
  const own = USUAL_NOSE_BOARDS * (props.desk.made.value?.sites[0]?.board.thicknessMm ?? 0);
  return { noseRadiusMm: { word: formatLength(own, work.unit), value: own } };
});
const wantsFile = ref(false);

function setKind(kind: string): void {
  fault.value = '';
  wantsFile.value = false;
  if (kind === 'points' && !wing.value.section.points) {
    wantsFile.value = true;
    return;
  }
  change('Change section', [
    { path: 'section.kind', value: kind },
    ...(kind === 'naca' && !wing.value.section.digits ? [{ path: 'section.digits', value: '2412' }] : []),
    ...(kind !== 'strip-spar' && wing.value.tail !== 'square' ? [{ path: 'tail', value: 'sanded' }] : []),
  ]);
}
function setDigits(digits: string): void {
  const wrong = nacaFault(digits.trim());
  fault.value = wrong ?? '';
  if (!wrong) change(`Take NACA ${digits.trim()}`, [{ path: 'section.digits', value: digits.trim() }]);
}
async function read({ raw: chosen }: UploadFile): Promise<void> {
  if (!chosen) return;
  const section = readSection(await chosen.text());
  if (!section.ok) {
    fault.value = `${chosen.name}: ${section.message}`;
    return;
  }
  fault.value = '';
  const form = props.desk.stored.value!;
  props.desk.replace(`Read section ${section.name}`, {
    ...form,
    parameters: {
      ...form.parameters,
      tail: form.parameters.tail === 'square' ? 'square' : 'sanded',
      section: {
        kind: 'points',
        points: section.points.slice(0, 2 * MOST_SECTION_POINTS),
        name: section.name,
        creases: form.parameters.section.creases,
      },
    },
  });
}
</script>

<template>
  <ChoiceRow
    label="Section"
    :model-value="wantsFile ? 'points' : wing.section.kind"
    :choices="kinds"
    is-list
    @update:model-value="setKind"
  />
  <TextRow
    v-if="wing.section.kind === 'naca'"
    label="Digits"
    :most="5"
    :model-value="wing.section.digits ?? ''"
    @update:model-value="setDigits"
  />
  <div v-if="wing.section.kind === 'points' || wantsFile" class="read">
    <span class="figures">{{
      wing.section.kind === 'points' ? wing.section.name : 'x and y a line, from the upper tail round'
    }}</span>
    <el-upload :auto-upload="false" :show-file-list="false" accept=".dat,.txt,.cor" @change="read">
      <span class="el-button el-button--small"
        ><span>{{ wing.section.kind === 'points' ? 'Read another' : 'Read a section file' }}</span></span
      >
    </el-upload>
  </div>
  <p v-if="fault" class="bad" role="alert">{{ fault }}</p>
  <template v-if="!isCored">
    <FieldRows
      v-if="isDrawn && wing.skin === 'creased'"
      :parameters="wing"
      prefix="section."
      :fields="SECTION_FIELDS"
      :unit="work.unit"
      @change="change"
    />
    <SchoolRow
      label="Skin"
      :model-value="wing.skin"
      :choices="SKINS"
      @update:model-value="change('Change skin', [{ path: 'skin', value: $event }])"
    />
    <FoldAway title="Creased beside bent"><SkinCompare :desk="desk" /></FoldAway>
    <SchoolRow
      label="Nose"
      :model-value="isDrawn && wing.nose !== 'parted' ? 'bevels' : wing.nose"
      :choices="isDrawn ? DRAWN_NOSES : NOSES"
      @update:model-value="change('Change nose', [{ path: 'nose', value: $event }])"
    />
    <FieldRows
      v-if="!isDrawn && wing.nose === 'bent'"
      :parameters="wing"
      :fields="{ noseRadiusMm: WING_FIELDS.noseRadiusMm }"
      :follows="nose"
      :unit="work.unit"
      @change="change"
    />
    <SchoolRow
      label="Tail"
      :model-value="isDrawn && wing.tail !== 'square' ? 'sanded' : wing.tail"
      :choices="tails"
      @update:model-value="change('Change tail', [{ path: 'tail', value: $event }])"
    />
    <FieldRows
      v-if="!isDrawn && wing.tail === 'lap'"
      :parameters="wing"
      :fields="{ lapMm: WING_FIELDS.lapMm }"
      :follows="lap"
      :unit="work.unit"
      @change="change"
    />
    <FieldRows
      v-if="!isDrawn && wing.tail === 'strip'"
      :parameters="wing"
      :fields="{ stripBoards: WING_FIELDS.stripBoards }"
      :unit="work.unit"
      @change="change"
    />
  </template>
</template>

<style scoped>
.bad {
  color: var(--brick);
  padding: 4px 0;
}
.read {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 6px 0;
}
</style>
