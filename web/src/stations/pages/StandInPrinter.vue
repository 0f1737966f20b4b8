<script setup lang="ts">
import { wrap, type Remote } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import { HOME_PRINTER, testCrosses, type Printer, type PrinterMeasures } from '@grain-fold/core/printers';
import { decimalLength } from '@grain-fold/core/units';
import { fetchDocument } from '../../api/documents.ts';
import FigureRow from '../../kit/FigureRow.vue';
import MeasureField from '../../kit/MeasureField.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { StandInDesk } from '../../workers/stand-in.worker.ts';

/** A printer that is made believe: the test page comes out of it as of one at home, to be measured with a rule. */
const isOpen = defineModel<boolean>({ required: true });
const props = defineProps<{ printer: Printer }>();
const emit = defineEmits<{ read: [measures: Required<PrinterMeasures>] }>();
const work = useAirframe();
const standIn = ref({ ...HOME_PRINTER });
const FIELDS = [
  ['size', 'Its dialog prints at, %', 'percent', 50, 120],
  ['feed', 'Its feed drags to, %', 'percent', 90, 110],
  ['leanDegrees', 'It leans to the right by', 'angle', -2, 2],
  ['marginMm', 'It leaves an edge of', 'length', 0, 15],
  ['spreadMm', 'Ink spreads by', 'length', 0, 0.5],
  ['slipMm', 'Half way up it slips by', 'length', -2, 2],
] as const;
const valueOf = (key: (typeof FIELDS)[number][0], kind: string): number =>
  kind === 'percent' ? Math.round(standIn.value[key] * 1e5) / 1e3 : standIn.value[key];
const set = (key: (typeof FIELDS)[number][0], kind: string, value: number): void => {
  standIn.value = { ...standIn.value, [key]: kind === 'percent' ? value / 100 : value };
};

const READINGS = [
  ['acrossMm', 'A to B', 0, 1],
  ['upMm', 'A to D', 0, 3],
  ['risingMm', 'A to C', 0, 2],
  ['fallingMm', 'D to B', 3, 1],
] as const;
type Reading = (typeof READINGS)[number][0];

let worker: Worker | undefined;
let desk: Remote<StandInDesk> | undefined;
const deskOf = (): Remote<StandInDesk> => {
  worker ??= new Worker(new URL('../../workers/stand-in.worker.ts', import.meta.url), { type: 'module' });
  return (desk ??= wrap<StandInDesk>(worker));
};
onBeforeUnmount(() => worker?.terminate());

const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const sheet = shallowRef<{ readonly widthMm: number; readonly heightMm: number }>();
const isPrinting = ref(false);
const fault = ref('');
const read = ref<Partial<Record<Reading, number>>>({});
/** The ends of the rule, in mm from the sheet's lower left corner. */
const ends = shallowRef<readonly Point[]>([]);
const lying = ref<Reading>();

async function print(): Promise<void> {
  const id = work.airframe?.id;
  if (!id) return;
  isPrinting.value = true;
  fault.value = '';
  read.value = {};
  ends.value = [];
  try {
    await work.flush();
    const { blob } = await fetchDocument(id, 'printer-test.pdf', { printer: props.printer.id });
    const { bitmap, widthMm, heightMm } = await deskOf().print(new Uint8Array(await blob.arrayBuffer()), {
      ...standIn.value,
    });
    sheet.value = { widthMm, heightMm };
    if (canvas.value) {
      canvas.value.width = bitmap.width;
      canvas.value.height = bitmap.height;
      canvas.value.getContext('bitmaprenderer')!.transferFromImageBitmap(bitmap);
    }
  } catch (error) {
    fault.value = `It could not be printed. ${error instanceof Error ? error.message : String(error)}`;
  }
  isPrinting.value = false;
}
watch(
  isOpen,
  (open) => {
    if (open && !sheet.value) void print();
  },
  { immediate: true },
);

const lengthOf = ([a, b]: readonly Point[]): number => (a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0);
/** A rule tells no fractions as fine as that. */
const length = (mm: number): string => `${decimalLength(mm, work.unit, work.unit === 'mm' ? 2 : 3)} ${work.unit}`;
/** Lays the rule from one cross to another: where they should be it looks for them. */
async function layRule([key, word, from, to]: (typeof READINGS)[number]): Promise<void> {
  if (!sheet.value) return;
  const crosses = testCrosses(sheet.value.widthMm, sheet.value.heightMm);
  const found = await Promise.all([crosses[from], crosses[to]].map((near) => deskOf().cross({ ...near })));
  if (found.some((end) => end === undefined)) {
    fault.value = `No cross is found at ${word}: it lies beyond what was printed, or far off. Click it on the sheet.`;
    return;
  }
  fault.value = '';
  lying.value = key;
  ends.value = found as readonly Point[];
  read.value = { ...read.value, [key]: lengthOf(ends.value) };
}
/** A click puts the end of the rule that lies nearer on the cross that is nearest. */
async function press(event: PointerEvent): Promise<void> {
  if (!sheet.value || !canvas.value) return;
  const box = canvas.value.getBoundingClientRect(),
    k = sheet.value.widthMm / box.width;
  const at = { x: (event.clientX - box.left) * k, y: sheet.value.heightMm - (event.clientY - box.top) * k };
  const cross = await deskOf().cross(at);
  if (!cross) return;
  const [a, b] = ends.value;
  ends.value = !a || b ? [cross] : [a, cross];
  if (ends.value.length === 2 && lying.value) read.value = { ...read.value, [lying.value]: lengthOf(ends.value) };
}
const isRead = computed(() => READINGS.every(([key]) => read.value[key] !== undefined));
function enter(): void {
  const { acrossMm, upMm, risingMm, fallingMm } = read.value;
  if (acrossMm === undefined || upMm === undefined || risingMm === undefined || fallingMm === undefined) return;
  emit('read', { acrossMm, upMm, risingMm, fallingMm });
  sheet.value = undefined;
  isOpen.value = false;
}
const rule = computed(() => {
  const [a, b] = ends.value,
    on = sheet.value;
  return a && b && on ? { x1: a.x, y1: on.heightMm - a.y, x2: b.x, y2: on.heightMm - b.y } : undefined;
});
</script>

<template>
  <el-dialog v-model="isOpen" title="Stand-in printer" width="920" append-to-body top="4vh">
    <div class="desk">
      <div class="sheet" :class="{ waiting: isPrinting }">
        <canvas ref="canvas" aria-label="The printed test page" role="img" @pointerdown="press" />
        <svg v-if="sheet" :viewBox="`0 0 ${sheet.widthMm} ${sheet.heightMm}`" aria-hidden="true">
          <line v-if="rule" v-bind="rule" stroke="var(--marigold)" stroke-width="1.2" />
          <circle
            v-for="(end, index) in ends"
            :key="index"
            :cx="end.x"
            :cy="sheet.heightMm - end.y"
            r="3"
            fill="none"
            stroke="var(--marigold-deep)"
            stroke-width="0.8"
          />
        </svg>
      </div>
      <div class="side">
        <p class="hint">
          It prints the test page as a printer at home would. Lay the rule from cross to cross, enter what it reads, and
          print again: corrected, it should read true.
        </p>
        <MeasureField
          v-for="[key, word, kind, least, most] in FIELDS"
          :key="key"
          :label="word"
          :kind="kind === 'percent' ? 'number' : kind"
          :step-by="kind === 'percent' ? 0.1 : undefined"
          :unit="work.unit"
          :decimals="2"
          :least="least"
          :most="most"
          :model-value="valueOf(key, kind)"
          @update:model-value="set(key, kind, $event)"
        />
        <el-button :disabled="isPrinting" @click="print">{{ isPrinting ? 'Printing …' : 'Print it again' }}</el-button>
        <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
        <h3 class="eyebrow">The rule reads</h3>
        <div v-for="reading in READINGS" :key="reading[0]" class="rule-row">
          <FigureRow
            :label="reading[1]"
            :value="read[reading[0]] === undefined ? '–' : length(read[reading[0]]!)"
            :class="{ lying: lying === reading[0] }"
          />
          <el-button size="small" :disabled="!sheet || isPrinting" @click="layRule(reading)"
            >Lay the rule {{ reading[1] }}</el-button
          >
        </div>
      </div>
    </div>
    <template #footer>
      <el-button @click="isOpen = false">Close</el-button>
      <el-button type="primary" :disabled="!isRead" @click="enter">Enter what it reads</el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
.desk {
  display: flex;
  gap: 22px;
}
.sheet {
  position: relative;
  flex: none;
  width: 430px;
  align-self: flex-start;
  border: 1px solid var(--ticket-line);
  box-shadow: 0 2px 10px rgb(0 0 0 / 18%);
  background: #fff;
  min-height: 500px;
}
.sheet.waiting {
  opacity: 0.5;
}
.sheet canvas {
  display: block;
  width: 100%;
  cursor: crosshair;
}
.sheet svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.side {
  flex: 1;
  min-width: 0;
}
.rule-row {
  display: flex;
  align-items: center;
  gap: 10px;
}
.rule-row > :first-child {
  flex: 1;
}
.lying {
  font-weight: 600;
}
.hint {
  color: var(--ink-soft);
  margin-bottom: 6px;
}
.eyebrow {
  margin-top: 14px;
}
.warn {
  margin-top: 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
@media (width < 900px) {
  .desk {
    flex-direction: column;
  }
}
</style>
