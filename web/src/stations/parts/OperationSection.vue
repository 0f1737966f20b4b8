<script setup lang="ts">
import { computed, reactive } from 'vue';
import { GROOVE_SCHOOLS, grooveWallDegrees, MOST_TRENCH_LAYERS, rolledEdge, slitGap } from '@grain-fold/core/allowance';
import { operationDepth, operationWidth, operationWord, traitsOf, USUAL_FOLDS, withFoldDefaults, OPERATION_KINDS, type Operation, type OperationKind } from '@grain-fold/core/operations';
import { findPath, type Part } from '@grain-fold/core/part';
import { foundLips } from '@grain-fold/core/resolve';
import { formatAngle, formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../components/ChoiceRow.vue';
import MeasureField from '../../components/MeasureField.vue';
import { useAirframe } from '../../stores/airframe.ts';
import CreaseSection from './CreaseSection.vue';
import ExistsInRow from './ExistsInRow.vue';
import SizingRow from './SizingRow.vue';

const props = defineProps<{ part: Part; operation: Operation; thicknessMm: number }>();
const work = useAirframe();
const defaults = computed(() => work.airframe?.settings.folds ?? USUAL_FOLDS);
/** The operation with what it leaves to the airframe filled in. */
const whole = computed(() => withFoldDefaults(props.operation, defaults.value));
const width = computed(() => operationWidth(whole.value, props.thicknessMm));
const widthField = computed(() =>
  props.operation.kind === 'groove' ? 'mouthMm' : props.operation.kind === 'trench' ? 'widthMm' : undefined,
);
const isAuto = computed(
  () =>
    (props.operation.kind === 'groove' && props.operation.mouthMm === 'auto') ||
    (props.operation.kind === 'trench' && props.operation.widthMm === 'auto'),
);
const line = computed(() => props.part.lines.find(({ id }) => id === props.operation.on.pathId));
const change = (changes: Record<string, unknown>): void => {
  work.run(props.part.id, { name: 'changeOperation', args: { operationId: props.operation.id, changes } });
};
const slitDepthMm = computed(() => operationDepth(props.operation, props.thicknessMm) ?? 0);
const groove = computed(() => (whole.value.kind === 'groove' ? whole.value : undefined));
const cut = computed(() => ({
  school: groove.value?.school ?? 'knife',
  toolDegrees: groove.value?.toolDegrees ?? defaults.value.toolDegrees,
}));
const SCHOOLS = { knife: 'knife', tool: 'bevel tool', sanded: 'sanding', square: 'square cut' } as const;
const schoolChoices = computed(() => [
  ['', `as usual: ${SCHOOLS[defaults.value.school]}`] as const,
  ...GROOVE_SCHOOLS.map((school) => [school, SCHOOLS[school]] as const),
]);
const HELD = { skin: 'its skin', tape: 'tape' } as const;
const heldChoices = computed(() => [
  ['', `as usual: ${HELD[defaults.value.hingeOn]}`] as const,
  ['skin', HELD.skin] as const,
  ['tape', HELD.tape] as const,
]);
const held = computed(() => ('hingeOn' in props.operation ? (props.operation.hingeOn ?? '') : ''));
/** Every kind of work that a line can carry. */
const kindChoices = computed(() =>
  OPERATION_KINDS.filter((kind) =>
    kind === 'pocket'
      ? line.value?.closed
      : kind === 'bevel'
        ? line.value && !line.value.closed && line.value.nodes.length === 2
        : true,
  ).map((kind) => [kind, kind === 'bevel' ? 'bevel, one lip of a groove' : traitsOf(kind).word] as const),
);
const changeKind = (kind: string): void => {
  work.run(props.part.id, {
    name: 'changeWork',
    args: { operationId: props.operation.id, kind: kind as OperationKind },
  });
};
/** The groove that this bevel bounds with another, when it stands on a line. */
const lips = computed(() =>
  props.operation.kind === 'bevel' && line.value
    ? foundLips(props.part, props.thicknessMm).pairs.find(
        ({ first, second }) => first.operation.id === props.operation.id || second.operation.id === props.operation.id,
      )
    : undefined,
);
const roll = reactive({ radius: 30, turn: 90, creases: 6, side: 'left' });
/** What the row would be, while its numbers can be. */
const rolled = computed(() => {
  try {
    return rolledEdge(roll.radius, roll.turn, roll.creases);
  } catch {
    return undefined; // the command says why when it is asked for
  }
});
const placeWords = computed(() => {
  const path = findPath(props.part, props.operation.on.pathId);
  const edges = props.operation.on.segmentIds?.length;
  return path && 'role' in path
    ? edges
      ? `on ${edges} edge${edges > 1 ? 's' : ''} of the ${path.role === 'outer' ? 'outline' : 'hole'}`
      : `round the ${path.role === 'outer' ? 'outline' : 'hole'}`
    : '';
});
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
        <div class="row">
          <span class="label">With its other lip it folds to</span
          ><span class="value">{{ formatAngle(lips.foldDegrees) }}</span>
        </div>
        <button
          type="button"
          class="button small remove"
          @click="work.run(part.id, { name: 'lipsToFold', args: { operationId: operation.id, thicknessMm } })"
        >
          Make them one fold
        </button>
      </template>
      <MeasureField
        v-if="operation.kind === 'groove' || operation.kind === 'crease'"
        label="Folds to"
        kind="angle"
        :model-value="operation.foldDegrees"
        :least="-179"
        :most="179"
        @update:model-value="change({ foldDegrees: $event })"
      />
      <ChoiceRow
        v-if="operation.kind === 'trench'"
        label="Folds to"
        :model-value="String(operation.foldDegrees)"
        :choices="[
          ['90', 'wall, 90°'],
          ['180', 'doubled, 180°'],
        ]"
        @update:model-value="change({ foldDegrees: Number($event) })"
      />
      <MeasureField
        v-if="operation.kind === 'trench'"
        :label="operation.foldDegrees === 180 ? 'Wraps round, boards' : 'Wall of, boards'"
        kind="number"
        :model-value="operation.layers ?? 1"
        :least="1"
        :most="MOST_TRENCH_LAYERS"
        @update:model-value="change({ layers: Math.round($event) === 1 ? undefined : Math.round($event) })"
      />
      <MeasureField
        v-if="operation.kind === 'bevel'"
        label="Bevel"
        kind="angle"
        :model-value="operation.bevelDegrees"
        :least="-89"
        :most="89"
        @update:model-value="change({ bevelDegrees: $event })"
      />
      <div v-if="operation.kind === 'bevel'" class="row">
        <span class="label">Reaches in by</span><span class="value">{{ formatLengthWithUnit(width, work.unit) }}</span>
      </div>
      <template v-if="groove">
        <ChoiceRow
          label="Cut by"
          :model-value="operation.kind === 'groove' ? (operation.school ?? '') : ''"
          :choices="schoolChoices"
          @update:model-value="change({ school: $event || undefined })"
        />
        <MeasureField
          v-if="cut.school === 'tool'"
          label="Tool tilts by"
          kind="angle"
          :model-value="cut.toolDegrees"
          :least="5"
          :most="80"
          @update:model-value="change({ toolDegrees: $event })"
        />
        <div class="row">
          <span class="label">{{ cut.school === 'square' ? 'Walls' : 'Bevel each side' }}</span><span class="value">{{
            cut.school === 'square'
              ? 'upright'
              : formatAngle(grooveWallDegrees(Math.min(170, Math.max(0, groove.foldDegrees)), cut))
          }}</span>
        </div>
        <div v-if="grooveGap(groove, thicknessMm) > 0.05" class="row">
          <span class="label">Stays open, folded</span
          ><span class="value">{{ formatLengthWithUnit(grooveGap(groove, thicknessMm), work.unit) }}</span>
        </div>
      </template>
      <template v-if="widthField">
        <MeasureField
          :label="operation.kind === 'groove' ? 'Mouth' : 'Width'"
          :unit="work.unit"
          :model-value="width"
          :least="0.1"
          :most="200"
          @update:model-value="change({ [widthField]: $event })"
        />
        <div class="row">
          <label class="check"
            ><input
              type="checkbox"
              :checked="isAuto"
              @change="
                change({
                  [widthField]: ($event.target as HTMLInputElement).checked ? 'auto' : Math.round(width * 100) / 100,
                })
              "
            />
            follows the measured board</label
          >
        </div>
      </template>
      <ChoiceRow
        v-if="operation.kind === 'trench'"
        label="Strip lies"
        :model-value="operation.side"
        :choices="[
          ['centre', 'on the line'],
          ['left', 'left of it'],
          ['right', 'right of it'],
        ]"
        @update:model-value="change({ side: $event })"
      />
      <template v-if="operation.kind === 'slit'">
        <MeasureField
          label="Opens by"
          kind="angle"
          :model-value="operation.foldDegrees"
          :least="-179"
          :most="180"
          @update:model-value="change({ foldDegrees: $event })"
        />
        <div class="row">
          <span class="label">Gapes</span
          ><span class="value">{{
            formatLengthWithUnit(slitGap(Math.max(0, operation.foldDegrees), thicknessMm), work.unit)
          }}</span>
        </div>
        <MeasureField
          label="Depth"
          :unit="work.unit"
          :model-value="slitDepthMm"
          :least="0.1"
          :most="100"
          @update:model-value="change({ depthMm: $event })"
        />
      </template>
      <template v-if="operation.kind === 'hinge'">
        <MeasureField
          label="Deflects ±"
          kind="angle"
          :model-value="operation.deflectionDegrees"
          :least="-179"
          :most="179"
          @update:model-value="change({ deflectionDegrees: $event })"
        />
        <ChoiceRow
          label="Bevelled"
          :model-value="operation.relief"
          :choices="[
            ['both', 'both edges'],
            ['left', 'the edge left of it'],
            ['right', 'the edge right of it'],
          ]"
          @update:model-value="change({ relief: $event })"
        />
        <div class="row">
          <span class="label">Relief</span><span class="value">{{ formatLengthWithUnit(width, work.unit) }} wide</span>
        </div>
      </template>
      <MeasureField
        v-if="operation.kind === 'pocket'"
        label="Depth"
        :unit="work.unit"
        :model-value="operation.depthMm"
        :least="0.1"
        :most="100"
        @update:model-value="change({ depthMm: $event })"
      />
      <details v-if="operation.kind === 'crease' && line">
        <summary class="eyebrow">Roll round a radius</summary>
        <MeasureField
          label="Outer radius"
          :unit="work.unit"
          :model-value="roll.radius"
          :least="1"
          :most="5000"
          @update:model-value="roll.radius = $event"
        />
        <MeasureField
          label="Turn in all"
          kind="angle"
          :model-value="roll.turn"
          :least="1"
          :most="360"
          @update:model-value="roll.turn = $event"
        />
        <MeasureField
          label="Creases"
          kind="number"
          :model-value="roll.creases"
          :least="1"
          :most="200"
          @update:model-value="roll.creases = Math.round($event)"
        />
        <ChoiceRow
          v-model="roll.side"
          label="They follow"
          :choices="[
            ['left', 'on its left'],
            ['right', 'on its right'],
          ]"
        />
        <div v-if="rolled" class="row">
          <span class="label"
            >{{ formatAngle(rolled.foldDegrees) }} each,
            {{ formatLengthWithUnit(rolled.pitchMm, work.unit) }} apart</span
          ><span class="value">{{ formatLengthWithUnit(rolled.deviationMm, work.unit, 2) }} <small>off</small></span>
        </div>
        <button
          type="button"
          class="button small remove"
          @click="
            work.run(part.id, {
              name: 'rollCrease',
              args: {
                operationId: operation.id,
                radiusMm: roll.radius,
                turnDegrees: roll.turn,
                creases: roll.creases,
                side: roll.side as 'left' | 'right',
              },
            })
          "
        >
          Make the row
        </button>
      </details>
      <ChoiceRow
        v-if="operation.kind === 'groove' || operation.kind === 'slit' || operation.kind === 'hinge'"
        label="Held by"
        :model-value="held"
        :choices="heldChoices"
        @update:model-value="change({ hingeOn: $event || undefined })"
      />
      <CreaseSection
        v-if="operation.kind === 'crease' && line"
        :part="part"
        :operation-id="operation.id"
        :line-id="line.id"
      />
      <ChoiceRow
        v-if="operation.kind !== 'through'"
        label="Cut from"
        :model-value="operation.face"
        :choices="[
          ['face', 'the face'],
          ['back', 'the back'],
        ]"
        @update:model-value="change({ face: $event })"
      />
      <div class="row">
        <label :for="`label-${operation.id}`">Label</label
        ><input
          :id="`label-${operation.id}`"
          class="text"
          :value="operation.label"
          maxlength="80"
          @change="change({ label: ($event.target as HTMLInputElement).value })"
          @keydown.enter="($event.target as HTMLInputElement).blur()"
        />
      </div>
      <ExistsInRow :part="part" :target-id="operation.id" :variants="operation.variants" />
      <SizingRow v-if="line" :part="part" :path="line" />
    </div>
    <button
      type="button"
      class="button small remove"
      @click="work.run(part.id, { name: 'removeOperation', args: { operationId: operation.id } })"
    >
      Remove this {{ operationWord(operation) }}
    </button>
  </section>
</template>

<style scoped>
.remove {
  margin-top: 10px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
}
.text {
  width: 150px;
  border: 0;
  border-bottom: 1px dashed #b5a67f;
  background: transparent;
  text-align: right;
  font-weight: 500;
  padding: 2px;
}
</style>
