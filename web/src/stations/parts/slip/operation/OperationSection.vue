<script setup lang="ts">
import { computed } from 'vue';
import {
  isThroughCut,
  lineFault,
  OPERATION_KINDS,
  operationFigures,
  operationWord,
  traitsOf,
  USUAL_FOLDS,
  withFoldDefaults,
  type Operation,
  type OperationFigure,
  type OperationKind,
} from '@grain-fold/core/operations';
import { findPath, type Part } from '@grain-fold/core/part';
import { expandPart, foundLips, type ResolveContext } from '@grain-fold/core/resolve';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../../kit/ChoiceRow.vue';
import FigureRow from '../../../../kit/FigureRow.vue';
import TextRow from '../../../../kit/TextRow.vue';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';
import ExistsInRow from '../ExistsInRow.vue';
import SizingRow from '../SizingRow.vue';
import CreaseSection from './CreaseSection.vue';
import LineEndsRows from './LineEndsRows.vue';
import OperationFields from './OperationFields.vue';
import RollSection from './RollSection.vue';

/** The line of work that is chosen: what it is, its numbers, what follows from them. */
const props = defineProps<{ part: Part; operation: Operation; context: ResolveContext }>();
const work = useAirframe();
const defaults = computed(() => work.airframe?.settings.folds ?? USUAL_FOLDS);
/** The operation as it is really cut: as the part made whole has it. One lip of two stands in its groove there. */
const whole = computed(
  () =>
    expandPart(props.part, props.context).operations.find(
      ({ id, kind }) => id === props.operation.id && kind === props.operation.kind,
    ) ?? withFoldDefaults(props.operation, defaults.value),
);
const figures = computed(() => operationFigures(whole.value, props.context.thicknessMm));
const worded = ({ kind, value }: OperationFigure): string =>
  typeof value === 'string' ? value : kind === 'angle' ? formatAngle(value) : formatLengthWithUnit(value, work.unit);

const line = computed(() => props.part.lines.find(({ id }) => id === props.operation.on.pathId));
/** Every kind of work that the line can carry. */
const kindChoices = computed(() => {
  const shape = line.value && { closed: line.value.closed, points: line.value.nodes.length };
  return OPERATION_KINDS.filter((kind) => shape && lineFault(kind, shape) === undefined).map(
    (kind) => [kind, traitsOf(kind).choiceWord ?? traitsOf(kind).word] as const,
  );
});
/** The groove that this line bounds with another, when it is one of two lips. */
const lips = computed(() =>
  line.value && traitsOf(props.operation.kind).ground === 'edge'
    ? foundLips(props.part, props.context.thicknessMm).pairs.find(
        ({ first, second }) => first.operation.id === props.operation.id || second.operation.id === props.operation.id,
      )
    : undefined,
);
const isCrease = computed(() => props.operation.kind === 'crease' && line.value !== undefined);
const placeWords = computed(() => {
  const path = findPath(props.part, props.operation.on.pathId);
  if (!path || !('role' in path)) return '';
  const place = path.role === 'outer' ? 'outline' : 'hole',
    edges = props.operation.on.segmentIds?.length;
  return edges ? `on ${edges} edge${edges > 1 ? 's' : ''} of the ${place}` : `round the ${place}`;
});

const operationId = computed(() => props.operation.id);
const change = (changes: Readonly<Record<string, unknown>>): void => {
  work.run(props.part.id, { name: 'changeOperation', args: { operationId: operationId.value, changes } });
};
const changeKind = (kind: string): void => {
  work.run(props.part.id, {
    name: 'changeWork',
    args: { operationId: operationId.value, kind: kind as OperationKind },
  });
};
const joinLips = (): void => {
  work.run(props.part.id, {
    name: 'lipsToFold',
    args: { operationId: operationId.value, thicknessMm: props.context.thicknessMm },
  });
};
const remove = (): void => {
  work.run(props.part.id, { name: 'removeOperation', args: { operationId: operationId.value } });
};
</script>

<template>
  <section aria-label="Chosen line">
    <h2 class="eyebrow">This {{ operationWord(operation) }} {{ placeWords }}</h2>
    <div class="rows">
      <ChoiceRow
        v-if="line"
        label="Work"
        :model-value="operation.kind"
        :choices="kindChoices"
        @update:model-value="changeKind"
      />
      <template v-if="lips">
        <FigureRow label="With its other lip it folds to" :value="formatAngle(lips.foldDegrees)" />
        <el-button size="small" class="remove" @click="joinLips">Make them one fold</el-button>
      </template>
      <OperationFields
        :operation="operation"
        :whole="whole"
        :defaults="defaults"
        :thickness-mm="context.thicknessMm"
        :unit="work.unit"
        @change="change"
      />
      <FigureRow
        v-for="figure in figures"
        :key="figure.word"
        :label="figure.word"
        :value="worded(figure)"
        :unit="figure.after"
      />
      <RollSection v-if="isCrease" :part="part" :operation-id="operation.id" />
      <CreaseSection v-if="isCrease" :part="part" :operation-id="operation.id" :line-id="operation.on.pathId" />
      <ChoiceRow
        v-if="!isThroughCut(operation.kind)"
        label="Cut from"
        :model-value="operation.face"
        :choices="[
          ['face', 'the face'],
          ['back', 'the back'],
        ]"
        @update:model-value="change({ face: $event })"
      />
      <LineEndsRows v-if="line" :part="part" :line="line" />
      <TextRow label="Label" :model-value="operation.label" @update:model-value="change({ label: $event })" />
      <ExistsInRow :part="part" :target-id="operation.id" :variants="operation.variants" />
      <SizingRow v-if="line" :part="part" :path="line" />
    </div>
    <el-button size="small" class="remove" @click="remove">Remove this {{ operationWord(operation) }}</el-button>
  </section>
</template>

<style scoped>
.remove {
  margin-top: 10px;
}
</style>
