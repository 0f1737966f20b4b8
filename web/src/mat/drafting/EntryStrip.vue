<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, type Ref } from 'vue';
import { add, directionDegrees, distance, polar, type Point } from '@grain-fold/core/geometry';
import { formatLength, parseLength, parseNumber, type LengthUnit } from '@grain-fold/core/units';
import type { ArcWay } from './draft-runs.ts';
import type { Drafting } from './use-path-drafting.ts';
import EntryField from './EntryField.vue';

/** Typed entry of the next point: how far and which way from the last one, or where it is. */
const props = defineProps<{
  drafting: Pick<Drafting, Exclude<keyof Drafting, 'start' | 'goOn' | 'soFar' | 'tool'>>;
  unit: LengthUnit;
  pointer?: Point;
  /** Only one half of the part is drawn: its outline ends on the centre line. */ isHalf?: boolean;
}>();
const length = ref('');
const angle = ref('');
const x = ref('');
const y = ref('');
const width = ref('');
const height = ref('');
const message = ref('');
const first = useTemplateRef<InstanceType<typeof EntryField>>('first');

/** Longest length that is read, in mm. */
const FURTHEST_MM = 10_000;

const last = computed(() => props.drafting.points.value.at(-1));
const isShape = computed(() => props.drafting.shape.value !== 'points');
const SHAPES = [
  ['points', 'corner by corner'],
  ['rectangle', 'rectangle'],
  ['circle', 'circle'],
  ['slot', 'slot with round ends'],
] as const;
const ARC_WAYS: readonly (readonly [ArcWay, string])[] = [
  ['through', 'through a place'],
  ['touching', 'on from the run before'],
  ['radius', 'by its radius'],
];
const { traits } = props.drafting;
const heading = computed(() => (last.value && props.pointer ? directionDegrees(last.value, props.pointer) : 0));

/** Goes to the first field; what was typed to get there becomes its first letter. */
async function focus(typed = ''): Promise<void> {
  await nextTick();
  await first.value?.focus(typed);
}
defineExpose({ focus });

type Read = { readonly ok: true; readonly at: Point } | { readonly ok: false; readonly message: string };

/** The point that the fields describe; a length without an angle goes towards the pointer, x or y left empty keep the last point's. */
function read(): Read {
  const lengths = [length, x, y].map((field) =>
    field.value.trim() === '' ? undefined : parseLength(field.value.trim().replace(/^\+/, ''), props.unit),
  );
  const isStep = (field: Ref<string>): boolean => field.value.trim().startsWith('+');
  const bad = lengths.find((one) => one && !one.ok);
  if (bad && !bad.ok) return bad;
  const [along, right, up] = lengths.map((one) => (one?.ok ? one.mm : undefined));
  if (along !== undefined && last.value) {
    if (along <= 0) return { ok: false, message: `A length must be more than 0, got ${length.value}.` };
    const typed = angle.value.trim() === '' ? undefined : parseNumber(angle.value);
    if (typed && !typed.ok) return typed;
    return { ok: true, at: polar(last.value, along, typed?.ok ? typed.value : heading.value) };
  }
  if (right === undefined && up === undefined)
    return {
      ok: false,
      message: last.value ? 'Type a length, or a place across and up.' : 'Type a place across and up.',
    };
  const from = last.value ?? { x: 0, y: 0 };
  return {
    ok: true,
    at: {
      x: right === undefined ? from.x : right + (isStep(x) ? from.x : 0),
      y: up === undefined ? from.y : up + (isStep(y) ? from.y : 0),
    },
  };
}
/** The second place of a shape: a rectangle's far corner by width and height, a circle's rim by its radius. */
function readShape(from: Point): Read {
  const isCircle = props.drafting.shape.value === 'circle';
  if (props.drafting.shape.value === 'slot') {
    const reach = parseLength(length.value, props.unit),
      turn = angle.value.trim() === '' ? undefined : parseNumber(angle.value);
    if (!reach.ok) return reach;
    if (turn && !turn.ok) return turn;
    return reach.mm > 0
      ? { ok: true, at: polar(from, reach.mm, turn?.ok ? turn.value : 0) }
      : { ok: false, message: 'A slot must be more than 0 long.' };
  }
  const sizes = (isCircle ? [width] : [width, height]).map((field) => parseLength(field.value, props.unit));
  const bad = sizes.find((one) => !one.ok);
  if (bad && !bad.ok) return bad;
  const [across, up] = sizes.map((one) => (one.ok ? one.mm : 0)) as [number, number | undefined];
  if (across === 0 || up === 0)
    return { ok: false, message: isCircle ? 'A radius must be more than 0.' : 'Width and height must not be 0.' };
  return { ok: true, at: { x: from.x + across, y: from.y + (up ?? 0) } };
}
function enter(): void {
  const result = isShape.value && last.value ? readShape(last.value) : read();
  message.value = result.ok ? '' : result.message;
  if (!result.ok) return;
  props.drafting.addPoint(add(result.at, { x: 0, y: 0 }), 0.001);
  [length, angle, x, y, width, height].forEach((field) => {
    field.value = '';
  });
  void focus();
}
/** A length of its own: a slot's width, an arc's radius. */
const slotWidth = ref(formatLength(props.drafting.slotWidthMm.value, props.unit));
const arcRadius = ref(formatLength(props.drafting.arcRadiusMm.value, props.unit));
function setLength(text: Ref<string>, to: Ref<number>, mayBeNegative = false): void {
  const read = parseLength(text.value, props.unit);
  const isFine = read.ok && (mayBeNegative ? read.mm !== 0 : read.mm > 0) && Math.abs(read.mm) <= FURTHEST_MM;
  if (isFine) {
    message.value = '';
    to.value = read.mm;
    return;
  }
  const bound = mayBeNegative ? 'not be 0' : 'be more than 0';
  message.value = read.ok ? `That must ${bound}, got ${text.value}.` : read.message;
  text.value = formatLength(to.value, props.unit);
}
const setSlotWidth = (): void => setLength(slotWidth, props.drafting.slotWidthMm);
const setArcRadius = (): void => setLength(arcRadius, props.drafting.arcRadiusMm, true);
const hint = computed(() => {
  const { runKind, arcWay, arcVia, shape } = props.drafting;
  if (!last.value) return '';
  if (shape.value === 'slot') return 'now the middle of its other end';
  if (runKind.value === 'cubic') return 'one smooth curve through every point you give';
  if (runKind.value !== 'arc') return shape.value === 'points' ? '+ before a number counts from the last point' : '';
  if (arcWay.value === 'through')
    return arcVia.value ? 'now the end of the arc' : 'first a point the arc passes through';
  return arcWay.value === 'touching'
    ? 'the end of the arc; it goes on in the direction of the run before'
    : 'the end of the arc; a radius below 0 bends to the right';
});
const sinceLast = computed(() =>
  last.value && props.pointer ? formatLength(distance(last.value, props.pointer), props.unit) : '',
);
const placeOf = (value: number | undefined): string => (value === undefined ? '' : formatLength(value, props.unit));
</script>

<template>
  <el-form
    class="strip figures on-mat"
    data-next-point
    aria-label="Type the next point"
    @submit.prevent="enter"
    @keydown.esc.prevent.stop="drafting.backOut()"
  >
    <span class="word">{{ traits.word }}</span>
    <el-select
      v-if="traits.mustClose && !last"
      v-model="drafting.shape.value"
      aria-label="Shape"
      :persistent="false"
      :validate-event="false"
    >
      <el-option v-for="[value, word] in SHAPES" :key="value" :value="value" :label="word" />
    </el-select>
    <template v-if="last && drafting.shape.value === 'slot'">
      <EntryField ref="first" v-model="length" label="length" name="length" :placeholder="sinceLast" :unit="unit" />
      <EntryField v-model="angle" label="angle" name="angle" :placeholder="heading.toFixed(1)" unit="°" />
      <EntryField v-model="slotWidth" label="width" name="slot-width" :unit="unit" @taken="setSlotWidth" />
    </template>
    <template v-else-if="last && isShape">
      <EntryField
        ref="first"
        v-model="width"
        :label="drafting.shape.value === 'circle' ? 'radius' : 'width'"
        name="width"
        :unit="unit"
      />
      <EntryField
        v-if="drafting.shape.value === 'rectangle'"
        v-model="height"
        label="height"
        name="height"
        :unit="unit"
      />
    </template>
    <template v-else-if="last">
      <EntryField ref="first" v-model="length" label="length" name="length" :placeholder="sinceLast" :unit="unit" />
      <EntryField v-model="angle" label="angle" name="angle" :placeholder="heading.toFixed(1)" unit="°" />
      <span class="or">or</span>
      <EntryField v-model="x" label="across" name="across" :placeholder="placeOf(pointer?.x)" />
      <EntryField v-model="y" label="up" name="up" :placeholder="placeOf(pointer?.y)" :unit="unit" />
    </template>
    <template v-else>
      <EntryField ref="first" v-model="x" label="across" name="across" :placeholder="placeOf(pointer?.x)" />
      <EntryField v-model="y" label="up" name="up" :placeholder="placeOf(pointer?.y)" :unit="unit" />
    </template>
    <el-button link native-type="submit" class="bare go">Add point</el-button>
    <el-button
      link
      v-if="last && !isShape"
      :aria-pressed="drafting.runKind.value === 'arc'"
      @click="drafting.runKind.value = drafting.runKind.value === 'arc' ? 'line' : 'arc'"
      class="bare"
    >
      arc
    </el-button>
    <el-select
      v-if="last && drafting.runKind.value === 'arc'"
      v-model="drafting.arcWay.value"
      aria-label="Arc drawn"
      :persistent="false"
      :validate-event="false"
    >
      <el-option v-for="[value, word] in ARC_WAYS" :key="value" :value="value" :label="word" />
    </el-select>
    <EntryField
      v-if="last && drafting.runKind.value === 'arc' && drafting.arcWay.value === 'radius'"
      v-model="arcRadius"
      label="radius"
      name="radius"
      hint="Below 0 it bends to the right"
      :unit="unit"
      @taken="setArcRadius"
    />
    <el-button
      link
      v-if="last && !isShape"
      :aria-pressed="drafting.runKind.value === 'cubic'"
      @click="drafting.runKind.value = drafting.runKind.value === 'cubic' ? 'line' : 'cubic'"
      class="bare"
    >
      smooth curve
    </el-button>
    <el-button link v-if="drafting.canClose.value" class="bare go" @click="drafting.close()">Close it</el-button>
    <el-button link v-if="drafting.canEnd.value" @click="drafting.end()" class="bare">
      {{ traits.mustClose && !isHalf ? 'Leave open' : 'End here' }}
    </el-button>
    <el-button link @click="drafting.cancel()" class="bare">Cancel</el-button>
    <p v-if="message" role="alert">{{ message }}</p>
    <p v-else-if="hint" class="hint">{{ hint }}</p>
  </el-form>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  position: absolute;
  left: 14px;
  right: 14px;
  bottom: 30px;
  z-index: 3;
  border-radius: var(--radius);
  padding: 8px 14px;
  background: #1b333b;
  color: #e9eee9;
  font-size: 15px;
  font-weight: 500;
}
@media (max-height: 620px) {
  .strip {
    left: 0;
    right: 0;
    bottom: 0;
    padding: 4px 10px;
    flex-wrap: nowrap;
    overflow-x: auto;
  }
}
.word {
  color: #ffc878;
  font-weight: 600;
}
.el-select {
  width: 176px;
}
.or {
  color: #b9cbcc;
}
button {
  border: 1px solid #5d7f86;
  background: transparent;
  border-radius: var(--radius);
  padding: 3px 10px;
}
button:hover {
  background: #29474f;
}
button[aria-pressed='true'],
.go {
  background: var(--foam);
  color: var(--ink);
  border-color: var(--foam);
  font-weight: 600;
}
.go:hover {
  background: #fff;
}
p {
  flex-basis: 100%;
  color: #ffc9a3;
}
.hint {
  flex-basis: auto;
  color: #ffd9a1;
}
</style>
