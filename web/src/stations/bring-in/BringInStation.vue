<script setup lang="ts">
import { useDropZone, useEventListener } from '@vueuse/core';
import { ElMessage } from 'element-plus';
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { BOUNDS } from '@grain-fold/contract';
import type { Bounds, Point } from '@grain-fold/core/geometry';
import type { Part } from '@grain-fold/core/part';
import { countOf, formatLengthWithUnit } from '@grain-fold/core/units';
import TrayBar from '../../frame/TrayBar.vue';
import ToolButton from '../../kit/ToolButton.vue';
import MatCanvas from '../../mat/MatCanvas.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import BringInMarks from './BringInMarks.vue';
import BringInStart from './BringInStart.vue';
import DrawingCanvas from './DrawingCanvas.vue';
import LineWorksSection from './LineWorksSection.vue';
import MendSection from './MendSection.vue';
import PagesSection from './PagesSection.vue';
import ProjectParts from './ProjectParts.vue';
import SizeSection from './SizeSection.vue';
import TakenSection from './TakenSection.vue';
import { exampleFile } from './examples.ts';
import { partAt } from './shown-path.ts';
import { useBringIn } from './use-bring-in.ts';
import { useKnownLength } from './use-known-length.ts';
import { usePageMoves } from './use-page-moves.ts';

const work = useAirframe();
const route = useRoute();
const router = useRouter();
const bring = useBringIn();
const { fileName, drawing, project, taken, fault, isReading, isTaking, progress, wanted, scale } = bring;
const pageMoves = usePageMoves(bring);

const showsParts = ref(true);
const lit = ref<string>();
const material = ref('');
const materials = computed(() => [...new Set((work.airframe?.boards ?? []).map((board) => board.material))]);
watch(
  materials,
  (known) => {
    if (!known.includes(material.value)) material.value = known[0] ?? 'foam';
  },
  { immediate: true },
);

const mat = useTemplateRef<InstanceType<typeof MatCanvas>>('mat');
const stage = useTemplateRef<HTMLElement>('stage');
const { isOverDropZone } = useDropZone(stage, {
  multiple: false,
  onDrop: (files) => {
    if (files?.[0]) void bring.open(files[0]);
  },
});
onMounted(async () => {
  const { example } = route.query;
  const file = typeof example === 'string' ? await exampleFile(example) : undefined;
  if (file) await bring.open(file);
});

const bounds = computed<Bounds>(() => {
  const box = drawing.value?.bounds ?? { minX: 0, minY: 0, maxX: 300, maxY: 200 },
    k = scale.value;
  return { minX: box.minX * k, minY: box.minY * k, maxX: box.maxX * k, maxY: box.maxY * k };
});
const sheet = computed<Bounds>(() => {
  const { minX, minY, maxX, maxY } = bounds.value,
    room = 0.02 * Math.max(maxX - minX, maxY - minY);
  return { minX: minX - room, minY: minY - room, maxX: maxX + room, maxY: maxY + room };
});
watch([fileName, () => drawing.value?.unit, scale], () => requestAnimationFrame(() => mat.value?.fit()), {
  flush: 'post',
});

const known = useKnownLength(bring, () => 10 / (mat.value?.view.k ?? 1));
const { picked, isPicking, hover } = known;
function press(at: Point): void {
  if (isPicking.value) known.press(at);
  else if (pageMoves.isOn.value) pageMoves.press(at);
  else toggleAt(at);
}
/** A part is chosen, or let go, on the mat itself. */
function toggleAt(at: Point): void {
  const index = showsParts.value && taken.value && !isTaking.value ? partAt(taken.value.shown, at) : undefined;
  if (index === undefined) return;
  wanted.value = wanted.value.map((one, place) => (place === index ? { ...one, isWanted: !one.isWanted } : one));
}
function move(at: Point): void {
  known.move(at);
  pageMoves.move(at);
}
function startPicking(): void {
  known.start();
  showsParts.value = false;
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key !== 'Escape') return;
  known.drop();
  pageMoves.drop();
});

const unwanted = computed(() => new Set(wanted.value.flatMap(({ isWanted }, index) => (isWanted ? [] : [index]))));
const wantedCount = computed(() => wanted.value.filter(({ isWanted }) => isWanted).length);
const isAccepting = ref(false);
async function accept(): Promise<void> {
  isAccepting.value = true;
  try {
    const which = wanted.value.flatMap(({ name, quantity, isWanted }, index) =>
      isWanted ? [{ index, name, quantity }] : [],
    );
    const made = await bring.worker.make(which, material.value).catch(bring.lost);
    if (made) add(made.parts, made.refused);
  } finally {
    isAccepting.value = false;
  }
}
function add(parts: readonly Part[], refused: readonly { name: string; message: string }[] = []): void {
  const airframe = work.airframe;
  if (!airframe) return;
  if (airframe.parts.length + parts.length > BOUNDS.parts) {
    fault.value = `${countOf(parts.length, 'part')} would make ${airframe.parts.length + parts.length}; an airframe holds ${BOUNDS.parts}. Leave some out.`;
    return;
  }
  if (refused.length > 0) {
    const [first] = refused;
    fault.value = `${countOf(refused.length, 'part')} cannot be kept: ${first!.name}: ${first!.message}. Leave it out, or choose a coarser drawing.`;
    return;
  }
  if (parts.length === 0) return;
  work.setParts(`Bring in ${countOf(parts.length, 'part')} of ${fileName.value}`, [...airframe.parts, ...parts]);
  ElMessage({ message: `${countOf(parts.length, 'part')} came in.` });
  void router.push({ name: 'parts', params: { id: airframe.id, partId: parts[0]?.id } });
}
</script>

<template>
  <div class="station">
    <div ref="stage" class="station-body" :class="{ over: isOverDropZone }">
      <BringInStart
        v-if="!drawing && !project"
        :fault="fault"
        :is-reading="isReading"
        :file-name="fileName"
        :progress="progress"
        @open="bring.open"
        @stop="bring.stop"
      />
      <template v-else-if="project">
        <ProjectParts :airframe="project" :file-name="fileName" :fault="fault" @take="add" @other="bring.clear" />
      </template>
      <template v-else-if="drawing">
        <MatCanvas
          ref="mat"
          :fit-to="sheet"
          :unit="work.unit"
          arrows-pan
          :cursor="isPicking ? 'crosshair' : pageMoves.cursor.value"
          :label="`${fileName} on the mat`"
          @press="press"
          @move="move"
          @release="pageMoves.release"
        >
          <template #default="{ view }">
            <DrawingCanvas
              :view="view"
              :lines="showsParts ? undefined : drawing.shown"
              :classes="drawing.classes"
              :scale="scale"
              :sheet="sheet"
              :intake="showsParts ? taken?.shown : undefined"
              :unwanted="unwanted"
              :lit="lit"
            />
            <svg class="over-drawing" :width="view.width" :height="view.height" aria-hidden="true">
              <BringInMarks
                :picked="picked"
                :hover="hover"
                :gaps="showsParts ? (taken?.gaps ?? []) : []"
                :pages="showsParts ? undefined : drawing.pages"
                :drag="pageMoves.drag.value"
                :unit="work.unit"
                :to-screen="(p: Point) => ({ x: view.x + p.x * view.k, y: view.y - p.y * view.k })"
              />
            </svg>
            <div class="mat-tools" role="toolbar" aria-label="What is shown">
              <ToolButton word="The drawing" :is-on="!showsParts" @press="showsParts = false" />
              <ToolButton word="Its parts" :is-on="showsParts" @press="showsParts = true" />
              <span class="size figures"
                >{{ formatLengthWithUnit(bounds.maxX - bounds.minX, work.unit) }} ×
                {{ formatLengthWithUnit(bounds.maxY - bounds.minY, work.unit) }}</span
              >
            </div>
          </template>
        </MatCanvas>
        <aside class="slip" aria-label="Bring in">
          <div class="slip-head">
            <h1>Bring in</h1>
            <p class="file">
              {{ fileName }} <el-button link size="small" @click="bring.clear">another file</el-button>
            </p>
          </div>
          <el-alert v-if="fault" class="fault" type="error" :title="fault" @close="fault = ''" />
          <SizeSection
            v-model:options="bring.options"
            :likely-board-mm="taken?.likelyBoardMm"
            :drawing="drawing"
            :unit="work.unit"
            :bounds="bounds"
            :picked="picked"
            :is-picking="isPicking"
            @pick="startPicking"
            @known="known.set"
          />
          <PagesSection
            v-if="drawing.pages && drawing.pages.count > 1"
            :pages="drawing.pages"
            :unit="work.unit"
            :is-moving="pageMoves.isOn.value"
            :moved="bring.moved.value"
            @arrange="bring.arrange"
            @move="((pageMoves.isOn.value = !pageMoves.isOn.value), (showsParts = false))"
            @move-page="pageMoves.moveBy"
          />
          <LineWorksSection
            v-model:options="bring.options"
            :classes="drawing.classes"
            :unit="work.unit"
            @light="lit = $event"
          />
          <MendSection
            v-model:options="bring.options"
            :unit="work.unit"
            :gaps="taken?.gaps ?? []"
            :is-frame-left-out="taken?.isFrameLeftOut"
          />
          <TakenSection
            v-model:wanted="wanted"
            v-model:material="material"
            :materials="materials"
            :taken="taken"
            :left-out="drawing.leftOut"
            :unit="work.unit"
            :is-taking="isTaking"
          />
          <div class="accept">
            <el-button type="primary" :disabled="wantedCount === 0 || isTaking" :loading="isAccepting" @click="accept"
              >Take {{ countOf(wantedCount, 'part') }} in</el-button
            >
            <p v-if="taken && wantedCount === 0" class="none">
              {{
                taken.parts.length === 0
                  ? 'No line closes an outline yet: say above which lines are cut, or close gaps.'
                  : 'Tick the parts that you want.'
              }}
            </p>
          </div>
        </aside>
      </template>
    </div>
    <TrayBar
      ><span v-if="isPicking">click both ends of a length that you know; points of lines catch</span
      ><span v-else-if="pageMoves.isOn.value">drag a page; it catches where its lines meet those of others</span
      ><span v-else-if="isTaking"
        >chaining lines … <el-button class="stop" size="small" text @click="bring.stop">Stop</el-button></span
      ><span v-else><b>F</b> fit · click a part to leave it out · nothing is kept until you take it in</span></TrayBar
    >
  </div>
</template>

<style scoped>
.over {
  outline: 3px dashed var(--marigold);
  outline-offset: -6px;
}
.file {
  overflow-wrap: anywhere;
}
.fault {
  margin-top: 12px;
}
.size {
  padding: 0 8px;
  font-size: 15px;
  font-weight: 600;
}
.over-drawing {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.stop {
  color: inherit;
}
.accept {
  z-index: 3;
  position: sticky;
  bottom: -32px;
  margin: 18px -18px -32px;
  padding: 12px 18px 16px;
  background: var(--foam);
  border-top: 2px solid var(--ink);
}
.accept .el-button {
  width: 100%;
}
.none {
  padding-top: 6px;
  color: var(--ink-soft);
}
</style>
