<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import type { Bounds } from '@grain-fold/core/geometry';
import type { LineClass, ShownIntake, ShownLines } from '@grain-fold/core/intake';
import type { MatView } from '../../mat/mat-view.ts';
import { pathOf } from './shown-path.ts';

/** Lines of a drawing, or the parts that they become, drawn on a canvas: there may be tens of thousands. */
const props = defineProps<{
  view: MatView;
  /** The drawing's lines by their class, in mm at the size of its file. */
  lines?: Readonly<Record<string, ShownLines>>;
  classes: readonly LineClass[];
  /** From there to mm on the mat. */
  scale: number;
  /** The sheet that it is drawn on, in mm on the mat. */
  sheet?: Bounds;
  intake?: ShownIntake;
  /** Parts that are not wanted, by their place. */
  unwanted: ReadonlySet<number>;
  /** Class that is looked at. */
  lit?: string;
}>();

const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
const COLOUR = {
  sheet: '#fffdf6',
  foam: '#fbf8ef',
  edge: '#1d2a2f',
  work: '#1d2a2f',
  loose: '#ff8f70',
  faint: '#7d979d',
  lit: '#d9902f',
};
/** Dashes of work on parts in pixels: cuts are whole, folds long, marks short. */
const DASHES: Readonly<Record<string, readonly number[]>> = {
  through: [],
  groove: [14, 5],
  trench: [14, 3, 2, 3],
  slit: [20, 3],
  crease: [1, 5],
  hinge: [8, 5],
  bevel: [10, 4],
  pocket: [3, 3],
  mark: [5, 4],
  engrave: [2, 3],
};

/** A drawing with more points than this is moved as a picture while the mat moves, and drawn again when it rests, in ms. */
const MOST_POINTS = 6000,
  REST_MS = 90;
/** The mat as it was last drawn, where there is much on it. */
let last: { readonly picture: HTMLCanvasElement; readonly view: MatView } | undefined;
let waiting: ReturnType<typeof setTimeout> | undefined;

const pointCount = (): number =>
  [
    ...Object.values(props.lines ?? {}),
    ...(props.intake?.parts ?? []).flatMap(({ edges, works }) => [edges, ...Object.values(works)]),
  ].reduce((sum, { length }) => sum + length / 2, 0);

function draw(): void {
  const context = canvas.value?.getContext('2d');
  if (!context || !canvas.value) return;
  clearTimeout(waiting);
  drawExactly(context);
  last = undefined;
  if (pointCount() <= MOST_POINTS) return;
  const picture = document.createElement('canvas');
  picture.width = canvas.value.width;
  picture.height = canvas.value.height;
  picture.getContext('2d')?.drawImage(canvas.value, 0, 0);
  last = { picture, view: props.view };
}

/** Shows the last picture where it now lies, until the mat rests. */
function follow(): void {
  const context = canvas.value?.getContext('2d');
  const { width, height } = props.view;
  if (!last || !context || last.view.width !== width || last.view.height !== height) return draw();
  const ratio = window.devicePixelRatio,
    k = props.view.k / last.view.k;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, context.canvas.width, context.canvas.height);
  context.setTransform(k, 0, 0, k, ratio * (props.view.x - k * last.view.x), ratio * (props.view.y - k * last.view.y));
  context.drawImage(last.picture, 0, 0);
  clearTimeout(waiting);
  waiting = setTimeout(draw, REST_MS);
}

function drawExactly(context: CanvasRenderingContext2D): void {
  const { k, x, y, width, height } = props.view,
    ratio = window.devicePixelRatio;
  context.canvas.width = Math.round(width * ratio);
  context.canvas.height = Math.round(height * ratio);
  const place = (scale: number): void =>
    context.setTransform(ratio * k * scale, 0, 0, -ratio * k * scale, ratio * x, ratio * y);
  place(1);
  if (props.lines) drawLines(context, props.lines, place);
  if (props.intake) drawParts(context, props.intake);
}

function drawLines(
  context: CanvasRenderingContext2D,
  lines: Readonly<Record<string, ShownLines>>,
  place: (scale: number) => void,
): void {
  const { sheet, view, scale } = props;
  if (sheet) {
    context.fillStyle = COLOUR.sheet;
    context.fillRect(sheet.minX, sheet.minY, sheet.maxX - sheet.minX, sheet.maxY - sheet.minY);
  }
  place(scale);
  const pixel = 1 / (view.k * scale);
  for (const { key, colour, isDashed } of props.classes) {
    const path = lines[key] && pathOf(lines[key]);
    if (!path) continue;
    context.setLineDash(isDashed ? [5 * pixel, 3 * pixel] : []);
    context.strokeStyle = props.lit === key ? COLOUR.lit : colour;
    context.lineWidth = (props.lit === key ? 3 : 1.2) * pixel;
    context.stroke(path);
  }
  context.setLineDash([]);
}

function drawParts(context: CanvasRenderingContext2D, { parts, loose }: ShownIntake): void {
  const pixel = 1 / props.view.k;
  parts.forEach(({ edges, works }, index) => {
    const isUnwanted = props.unwanted.has(index),
      outline = pathOf(edges);
    context.setLineDash([]);
    if (!isUnwanted) {
      context.fillStyle = COLOUR.foam;
      context.fill(outline, 'evenodd');
    }
    context.strokeStyle = isUnwanted ? COLOUR.faint : COLOUR.edge;
    context.lineWidth = 1.6 * pixel;
    context.stroke(outline);
    if (isUnwanted) return;
    for (const [kind, lines] of Object.entries(works)) {
      context.setLineDash((DASHES[kind] ?? []).map((length) => length * pixel));
      context.strokeStyle = COLOUR.work;
      context.lineWidth = (kind === 'mark' ? 0.9 : 1.4) * pixel;
      context.stroke(pathOf(lines));
    }
  });
  context.setLineDash([]);
  context.strokeStyle = COLOUR.loose;
  context.lineWidth = 1.6 * pixel;
  context.stroke(pathOf(loose));
}

const shown = computed(() => [
  props.lines,
  props.classes,
  props.scale,
  props.sheet,
  props.intake,
  props.unwanted,
  props.lit,
]);
onMounted(draw);
watch(shown, draw, { flush: 'post' });
watch(() => props.view, follow, { flush: 'post' });
onBeforeUnmount(() => clearTimeout(waiting));
</script>

<template>
  <canvas
    ref="canvas"
    class="drawing"
    :style="{ width: `${view.width}px`, height: `${view.height}px` }"
    aria-hidden="true"
  />
</template>

<style scoped>
.drawing {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
</style>
