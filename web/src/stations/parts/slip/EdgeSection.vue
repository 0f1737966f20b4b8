<script setup lang="ts">
import { computed, ref } from 'vue';
import { arcGeometry, curveLength, directionDegrees, distance } from '@grain-fold/core/geometry';
import { operationDraft } from '@grain-fold/core/operations';
import type { Contour, DrawnLine, Part } from '@grain-fold/core/part';
import { curveOf, type Segment } from '@grain-fold/core/paths';
import { degrees, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Chosen } from '../selection.ts';
import ExistsInRow from './ExistsInRow.vue';
import SlotSection from './SlotSection.vue';
import SizingRow from './SizingRow.vue';

const props = defineProps<{ part: Part; path: Contour | DrawnLine; segment: Segment; index: number; t: number }>();
const emit = defineEmits<{ choose: [chosen: Chosen | undefined] }>();
const work = useAirframe();
const curve = computed(() => curveOf(props.path, props.index));
const arc = computed(() => (curve.value.kind === 'arc' ? arcGeometry(curve.value) : undefined));
const isOuter = computed(() => 'role' in props.path && props.path.role === 'outer');
const ends = computed(
  () => [props.path.nodes[props.index]!, props.path.nodes[(props.index + 1) % props.path.nodes.length]!] as const,
);

function setKind(kind: string): void {
  const to =
    kind === 'line'
      ? { kind: 'line' as const }
      : kind === 'arc'
        ? { kind: 'arc' as const, bulge: 0.3 }
        : { kind: 'cubic' as const };
  work.run(props.part.id, { name: 'changeSegment', args: { segmentId: props.segment.id, to } });
}
/** Radius to bulge for the smaller arc on the same side: half the chord over the radius is the sine of half the sweep. */
function setRadius(radius: number): void {
  const half = distance(...ends.value) / 2;
  if (radius < half || props.segment.kind !== 'arc') {
    work.message = `A radius must be at least ${formatLengthWithUnit(half, work.unit)}, half the run.`;
    return;
  }
  const bulge = Math.tan(Math.asin(half / radius) / 2) * Math.sign(props.segment.bulge);
  work.run(props.part.id, { name: 'changeSegment', args: { segmentId: props.segment.id, to: { kind: 'arc', bulge } } });
}
function addBevel(): void {
  const operationId = work.run(props.part.id, {
    name: 'addOperation',
    args: { on: { pathId: props.path.id, segmentIds: [props.segment.id] }, operation: operationDraft('bevel') },
  })?.operations[0];
  if (operationId) emit('choose', { kind: 'operation', operationId });
}
/** Other straight edges of the outline that this one could be a seam with; outlines with more are joined in the folded view. */
const MOST_SEAM_EDGES = 40;
const others = computed(() => {
  const lines = props.path.segments.flatMap((one, at) =>
    one.kind === 'line' && one.id !== props.segment.id ? [[one.id, `edge ${at + 1}`] as const] : [],
  );
  return lines.length <= MOST_SEAM_EDGES ? [['', 'no edge'] as const, ...lines] : [];
});
const seam = computed(() =>
  props.part.seams?.find(
    ({ fromSegmentId, toSegmentId }) => fromSegmentId === props.segment.id || toSegmentId === props.segment.id,
  ),
);
const met = computed(() =>
  seam.value ? (seam.value.fromSegmentId === props.segment.id ? seam.value.toSegmentId : seam.value.fromSegmentId) : '',
);
function meet(other: string): void {
  const remove = seam.value ? [{ name: 'removeSeam' as const, args: { seamId: seam.value.id } }] : [];
  const add =
    other === '' ? [] : [{ name: 'addSeam' as const, args: { fromSegmentId: props.segment.id, toSegmentId: other } }];
  work.runAll(props.part.id, [...remove, ...add], other === '' ? 'Remove seam' : 'Declare seam');
}
const insert = (): void => {
  work.run(props.part.id, {
    name: 'insertNode',
    args: { segmentId: props.segment.id, t: props.t > 0.02 && props.t < 0.98 ? props.t : 0.5 },
  });
};
const parts = ref(2);
const divide = (): void => {
  work.run(props.part.id, { name: 'divideSegment', args: { segmentId: props.segment.id, count: parts.value } });
};
function removePath(): void {
  if (work.run(props.part.id, { name: 'removePath', args: { pathId: props.path.id } })) emit('choose', undefined);
}
</script>

<template>
  <section aria-label="Chosen edge">
    <h2 class="eyebrow">Edge {{ index + 1 }} of the {{ isOuter ? 'outline' : 'role' in path ? 'hole' : 'line' }}</h2>
    <div class="rows">
      <ChoiceRow
        label="Runs"
        :model-value="segment.kind"
        :choices="[
          ['line', 'straight'],
          ['arc', 'as an arc'],
          ['cubic', 'as a curve'],
        ]"
        @update:model-value="setKind"
      />
      <MeasureField
        v-if="segment.kind === 'line'"
        label="Length"
        :unit="work.unit"
        :model-value="distance(...ends)"
        :least="0.01"
        @update:model-value="work.run(part.id, { name: 'shapeRun', args: { segmentId: segment.id, lengthMm: $event } })"
      />
      <div v-else class="row">
        <span class="label">Length along it</span
        ><span class="value">{{ formatLengthWithUnit(curveLength(curve), work.unit) }}</span>
      </div>
      <MeasureField
        label="Direction"
        kind="angle"
        :model-value="directionDegrees(...ends)"
        :least="-360"
        :most="360"
        @update:model-value="
          work.run(part.id, { name: 'shapeRun', args: { segmentId: segment.id, angleDegrees: $event } })
        "
      />
      <MeasureField
        v-if="arc"
        label="Radius"
        :unit="work.unit"
        :model-value="arc.radius"
        :least="0.1"
        @update:model-value="setRadius"
      />
      <div v-if="arc" class="row">
        <span class="label">Sweep</span><span class="value">{{ Math.abs(degrees(arc.sweep)).toFixed(1) }}°</span>
      </div>
      <ChoiceRow
        v-if="segment.kind === 'line' && isOuter && others.length > 0"
        label="Folded, it meets"
        :model-value="met"
        :choices="others"
        @update:model-value="meet"
      />
      <MeasureField
        label="Divide in"
        kind="number"
        :model-value="parts"
        :least="2"
        :most="200"
        @update:model-value="parts = Math.round($event)"
      />
      <SizingRow v-if="!isOuter" :part="part" :path="path" />
      <ExistsInRow v-if="'role' in path" :part="part" :target-id="path.id" :variants="path.variants" />
      <SlotSection v-if="'role' in path && path.role === 'hole'" :part="part" :hole="path" />
    </div>
    <div class="doings">
      <el-button size="small" @click="insert">Insert a point</el-button>
      <el-button size="small" @click="divide">Divide in {{ parts }}</el-button>
      <el-button size="small" v-if="'role' in path" @click="addBevel">Bevel this edge</el-button>
      <el-button size="small" @click="removePath">
        Remove the {{ isOuter ? 'outline' : 'role' in path ? 'hole' : 'line' }}
      </el-button>
    </div>
  </section>
</template>

<style scoped>
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 10px;
}
</style>
