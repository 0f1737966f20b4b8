<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { countOf } from '@grain-fold/core/units';
import type { DocumentName } from '../../api/airframes.ts';
import { documentFault, fetchDocument, keepFile } from '../../api/documents.ts';
import CheckRow from '../../kit/CheckRow.vue';
import ChoiceRow from '../../kit/ChoiceRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { useFigures } from '../../stores/figures.ts';
import { pictureOf } from './picture-of.ts';

/** Takes parts or a board out for other programs, or all of the airframe for a club. */
const isOpen = defineModel<boolean>({ required: true });
const props = defineProps<{
  /** The part that is looked at, and those that are picked. */
  partId?: string;
  picked?: readonly string[];
  /** The board that is looked at, from 1. */ board?: number;
}>();
const work = useAirframe();

type What = 'part' | 'picked' | 'all' | 'board' | 'page';
const what = ref<What>('all');
const format = ref('dxf');
const lines = ref('centre');
const hasWords = ref(true);
const dots = ref(300);
const isBusy = ref(false);
const fault = ref('');

const partName = computed(() => work.airframe?.parts.find(({ id }) => id === props.partId)?.name || 'this part');
const boardCount = computed(() => work.airframe?.nest?.boards.length ?? 0);
const boardNumber = ref(1);
const figures = useFigures();
const pageCount = computed(() => figures.slow?.pages ?? 0);
const pageNumber = ref(1);
const whats = computed((): readonly (readonly [What, string])[] => [
  ...(props.partId ? [['part', partName.value] as const] : []),
  ...((props.picked ?? []).length > 1 ? [['picked', `${props.picked!.length} picked parts`] as const] : []),
  ['all', `all ${countOf(work.airframe?.parts.length ?? 0, 'part')}`],
  ...(boardCount.value > 0 ? [['board', 'a board of the nest'] as const] : []),
  ...(pageCount.value > 0 ? [['page', 'a printed page'] as const] : []),
]);
watch(isOpen, (open) => {
  if (!open) return;
  fault.value = '';
  what.value = props.board ? 'board' : (props.picked ?? []).length > 1 ? 'picked' : props.partId ? 'part' : 'all';
  boardNumber.value = props.board ?? 1;
});

const FORMATS = [
  ['dxf', 'DXF, for laser and knife'],
  ['svg', 'SVG, for drawing programs'],
  ['pdf', 'PDF on one sheet'],
  ['png', 'PNG, a picture'],
  ['json', 'file of parts, to share'],
  ['parts.csv', 'table of parts'],
  ['stock.csv', 'table of stock'],
  ['zip', 'all of it, packed'],
] as const;
const isDrawing = computed(() => ['dxf', 'svg', 'pdf', 'png'].includes(format.value));
const needsParts = computed(() => isDrawing.value || format.value === 'json');
const DOCUMENTS: Readonly<Record<string, DocumentName>> = {
  dxf: 'drawing.dxf',
  svg: 'drawing.svg',
  pdf: 'drawing.pdf',
  png: 'drawing.svg',
  json: 'project-file',
  'parts.csv': 'parts.csv',
  'stock.csv': 'stock.csv',
  zip: 'everything.zip',
};
const partIds = computed(() =>
  what.value === 'part' ? [props.partId!] : what.value === 'picked' ? props.picked! : undefined,
);
const query = computed((): Readonly<Record<string, string>> => ({
  ...(needsParts.value && partIds.value ? { parts: partIds.value.join(',') } : {}),
  ...(isDrawing.value && what.value === 'board' ? { board: String(boardNumber.value) } : {}),
  ...(isDrawing.value && what.value === 'page' ? { page: String(pageNumber.value) } : {}),
  ...(isDrawing.value || format.value === 'zip' ? { lines: lines.value, words: hasWords.value ? 'yes' : 'no' } : {}),
}));

async function download(): Promise<void> {
  const id = work.airframe?.id;
  if (!id) return;
  isBusy.value = true;
  fault.value = '';
  try {
    await work.flush();
    const file = await fetchDocument(id, DOCUMENTS[format.value]!, query.value);
    keepFile(
      format.value === 'png'
        ? { blob: await pictureOf(file.blob, dots.value), fileName: file.fileName.replace(/\.svg$/, '.png') }
        : file,
    );
    isOpen.value = false;
  } catch (error) {
    fault.value = format.value === 'png' && error instanceof Error ? error.message : documentFault(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <el-dialog v-model="isOpen" title="Take out" width="430">
    <ChoiceRow v-model="format" label="As" is-list :choices="FORMATS" />
    <ChoiceRow
      v-if="needsParts"
      label="What"
      is-list
      :model-value="what"
      :choices="whats"
      @update:model-value="what = $event as What"
    />
    <MeasureField
      v-if="isDrawing && what === 'board'"
      v-model="boardNumber"
      label="Board"
      kind="number"
      :least="1"
      :most="boardCount"
    />
    <MeasureField
      v-if="isDrawing && what === 'page'"
      v-model="pageNumber"
      label="Page"
      kind="number"
      :least="1"
      :most="pageCount"
    />
    <template v-if="(isDrawing && what !== 'page') || format === 'zip'">
      <ChoiceRow
        v-model="lines"
        label="Grooves and trenches"
        is-list
        :choices="[
          ['centre', 'centre line'],
          ['edges', 'both edges'],
          ['both', 'edges and centre'],
        ]"
      />
      <CheckRow v-model="hasWords" label="Names, in letters of one stroke" />
    </template>
    <MeasureField v-if="format === 'png'" v-model="dots" label="Dots an inch" kind="number" :least="30" :most="1200" />
    <p class="note">
      At true size. Each kind of work is a layer under its own name; arcs stay arcs. What the cutter takes away (kerf)
      is left to the cutter.
    </p>
    <el-alert v-if="fault" type="error" :title="fault" :closable="false" />
    <template #footer>
      <el-button @click="isOpen = false">Cancel</el-button>
      <el-button type="primary" :loading="isBusy" @click="download">Download</el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
.note {
  color: var(--ink-soft);
  font-size: 13px;
  padding-top: 10px;
}
.el-alert {
  margin-top: 10px;
}
</style>
