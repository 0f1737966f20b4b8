<script setup lang="ts">
import { Close } from '@element-plus/icons-vue';
import { computed, reactive, ref, shallowRef, useTemplateRef } from 'vue';
import { boundsOf, distance, growBounds, polygonArea, type Point, type Polygon } from '@grain-fold/core/geometry';
import { offcutShape } from '@grain-fold/core/stock';
import { countOf, formatBoardArea, formatLength, parseLength, sizeText, worded } from '@grain-fold/core/units';
import TrayBar from '../../frame/TrayBar.vue';
import { useKeys } from '../../keys/use-keys.ts';
import MeasureField from '../../kit/MeasureField.vue';
import { gridSteps } from '../../mat/mat-view.ts';
import MatCanvas from '../../mat/MatCanvas.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';

/** The shape of an offcut, drawn on the mat or typed corner by corner. */
const props = defineProps<{ name: string; start: Polygon }>();
const emit = defineEmits<{
  keep: [shape: { readonly widthMm: number; readonly heightMm: number; readonly outline?: Polygon }];
  cancel: [];
}>();
const work = useAirframe();

/** How near the pointer takes hold of a corner, in pixels. */
const NEAR_PX = 10;
const corners = shallowRef<Polygon>(props.start);
const dragged = ref<number>();
const mat = useTemplateRef<InstanceType<typeof MatCanvas>>('mat');
const typed = reactive({ across: '', up: '' });
const message = ref('');

const EMPTY = { minX: 0, minY: 0, maxX: 400, maxY: 300 };
const fitTo = computed(() => (corners.value.length > 1 ? growBounds(boundsOf(corners.value), 30) : EMPTY));
const shape = computed(() => offcutShape(corners.value));
const fault = computed(() =>
  corners.value.length >= 3 && !shape.value.ok ? worded(shape.value.message, work.unit) : '',
);
const figures = computed(() =>
  shape.value.ok
    ? {
        size: worded(sizeText(shape.value.widthMm, shape.value.heightMm), work.unit),
        area: formatBoardArea(polygonArea(corners.value), work.unit),
      }
    : undefined,
);

/** A place of the mat on its grid. */
function onGrid(p: Point): Point {
  const { fineMm } = gridSteps(work.unit, mat.value?.view.k ?? 1);
  return { x: Math.round(p.x / fineMm) * fineMm, y: Math.round(p.y / fineMm) * fineMm };
}
function press(at: Point): void {
  message.value = '';
  const reach = NEAR_PX / (mat.value?.view.k ?? 1);
  const held = corners.value.findIndex((corner) => distance(corner, at) <= reach);
  if (held < 0) corners.value = [...corners.value, onGrid(at)];
  dragged.value = held < 0 ? corners.value.length - 1 : held;
}
function move(at: Point): void {
  if (dragged.value !== undefined) corners.value = corners.value.with(dragged.value, onGrid(at));
}
const change = (index: number, changes: Partial<Point>): void => {
  corners.value = corners.value.with(index, { ...corners.value[index]!, ...changes });
};
const remove = (index: number): void => {
  corners.value = corners.value.toSpliced(index, 1);
};
/** Adds the corner that is typed; a number after + counts from the last one, an empty field keeps its place. */
function addTyped(): void {
  const last = corners.value.at(-1) ?? { x: 0, y: 0 };
  const read = (text: string, from: number): number | string => {
    const words = text.trim();
    if (words === '') return from;
    const result = parseLength(words.replace(/^\+/, ''), work.unit);
    if (!result.ok) return result.message;
    return result.mm + (words.startsWith('+') ? from : 0);
  };
  const x = read(typed.across, last.x),
    y = read(typed.up, last.y);
  message.value = [x, y].find((one) => typeof one === 'string')?.toString() ?? '';
  if (typeof x === 'string' || typeof y === 'string') return;
  if (typed.across.trim() === '' && typed.up.trim() === '' && corners.value.length > 0) {
    message.value = 'Type how far across and up the corner lies.';
    return;
  }
  corners.value = [...corners.value, { x, y }];
  Object.assign(typed, { across: '', up: '' });
}
function keep(): void {
  if (!shape.value.ok) return;
  const { ok: _ok, ...kept } = shape.value;
  emit('keep', kept);
}
useKeys('drawing', {
  takeBack: () => {
    if (corners.value.length > 0) remove(corners.value.length - 1);
  },
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <MatCanvas
        ref="mat"
        :fit-to="fitTo"
        :unit="work.unit"
        arrows-pan
        :label="`Shape of ${name}: ${countOf(corners.length, 'corner')}`"
        cursor="crosshair"
        @press="press"
        @move="move"
        @release="dragged = undefined"
      >
        <template #world>
          <polygon
            v-if="corners.length > 1"
            :points="corners.map(({ x, y }) => `${x},${y}`).join(' ')"
            fill="#e4d8b9"
            fill-opacity="0.9"
            :stroke="fault ? 'var(--brick)' : 'var(--marigold)'"
            stroke-width="2.5"
            vector-effect="non-scaling-stroke"
          />
        </template>
        <template #screen="{ toScreen }">
          <g v-for="(corner, index) in corners" :key="index" pointer-events="none">
            <circle :cx="toScreen(corner).x" :cy="toScreen(corner).y" r="6" fill="#fff" stroke="var(--ink)" />
            <text
              class="figures"
              :x="toScreen(corner).x + 9"
              :y="toScreen(corner).y - 8"
              font-size="15"
              font-weight="600"
              fill="#fff"
              >{{ index + 1 }}</text
            >
          </g>
        </template>
      </MatCanvas>
      <aside class="slip" :aria-label="`Shape of ${name}`">
        <div class="slip-head">
          <h1>{{ name }}</h1>
          <p v-if="figures">
            <b class="figures">{{ figures.size }}</b> · {{ figures.area }}
          </p>
          <p v-else>Click its corners on the mat in their order, or type them.</p>
        </div>
        <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
        <div class="doings">
          <el-button type="primary" :disabled="!shape.ok" @click="keep">Keep this shape</el-button>
          <el-button @click="emit('cancel')">Cancel</el-button>
        </div>
        <section aria-label="Corners">
          <h2 class="eyebrow">Corners</h2>
          <div v-if="corners.length > 0" class="corner titles" aria-hidden="true">
            <span /><span>across</span><span>up</span>
          </div>
          <div v-for="(corner, index) in corners" :key="index" class="corner">
            <b class="figures">{{ index + 1 }}</b>
            <MeasureField
              :label="`Corner ${index + 1} across`"
              hide-label
              :unit="work.unit"
              :model-value="corner.x"
              @update:model-value="change(index, { x: $event })"
            />
            <MeasureField
              :label="`Corner ${index + 1} up`"
              hide-label
              :unit="work.unit"
              :model-value="corner.y"
              @update:model-value="change(index, { y: $event })"
            />
            <el-button text size="small" :aria-label="`Remove corner ${index + 1}`" @click="remove(index)"
              ><el-icon><Close /></el-icon
            ></el-button>
          </div>
          <el-form class="typed" data-next-point aria-label="Type the next corner" @submit.prevent="addTyped">
            <label
              >Across
              <el-input
                v-model="typed.across"
                name="across"
                :placeholder="formatLength(corners.at(-1)?.x ?? 0, work.unit)"
                :validate-event="false"
                autocomplete="off"
            /></label>
            <label
              >Up
              <el-input
                v-model="typed.up"
                name="up"
                :placeholder="formatLength(corners.at(-1)?.y ?? 0, work.unit)"
                :validate-event="false"
                autocomplete="off"
              />
              {{ work.unit }}</label
            >
            <el-button native-type="submit" size="small">Add corner</el-button>
          </el-form>
          <p v-if="message" class="warn" role="alert">{{ message }}</p>
        </section>
      </aside>
    </div>
    <TrayBar
      ><span>click a corner, drag one to move it</span><span><kbd>Ctrl+Z</kbd> take back the last</span
      ><span><kbd>F</kbd> fit</span></TrayBar
    >
  </div>
</template>

<style scoped>
.doings {
  display: flex;
  gap: 8px;
  margin: 14px 0;
}
.corner {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) minmax(0, 1fr) 30px;
  gap: 6px;
  align-items: center;
}
.titles {
  color: var(--ink-soft);
  text-align: right;
  padding-right: 22px;
}
.typed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  margin-top: 12px;
}
.typed label {
  display: flex;
  gap: 6px;
  align-items: center;
}
.typed .el-input {
  width: 72px;
}
.warn {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
  margin-top: 10px;
}
</style>
