<script setup lang="ts">
import { computed } from 'vue';
import type { Fault } from '@grain-fold/core/checks';
import { featureFigure, featureWord } from '@grain-fold/core/features';
import { boundsHeight, boundsWidth } from '@grain-fold/core/geometry';
import {
  operationAngle,
  operationCaption,
  operationWidth,
  traitsOf,
  operationWord,
  type Operation,
} from '@grain-fold/core/operations';
import { pathsOf, piecesOf, type Part } from '@grain-fold/core/part';
import { existsIn, type ResolveContext, type ResolvedPart } from '@grain-fold/core/resolve';
import { formatAngle, formatArea, formatLength, formatLengthWithUnit, formatMass } from '@grain-fold/core/units';
import FaultCard from '../../../kit/FaultCard.vue';
import InTurn from '../../../kit/InTurn.vue';
import StrokeSample from '../../../pictures/StrokeSample.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import { useFigures } from '../../../stores/figures.ts';
import EdgeSection from './EdgeSection.vue';
import FeatureSection from './FeatureSection.vue';
import GuidesSection from './GuidesSection.vue';
import OperationSection from './operation/OperationSection.vue';
import SeveralLinesSection from './operation/SeveralLinesSection.vue';
import MeasureSection from './MeasureSection.vue';
import PartDetailsSection from './PartDetailsSection.vue';
import PlannedSection from './PlannedSection.vue';
import PathList from './PathList.vue';
import PointSection from './PointSection.vue';
import ShapeSection from './ShapeSection.vue';
import type { Selection } from '../selection.ts';
import TextRow from '../../../kit/TextRow.vue';

const props = defineProps<{
  part: Part;
  resolved: ResolvedPart;
  context: ResolveContext;
  faults: readonly Fault[];
  selection: Selection;
  isMeasuring: boolean;
  isGuiding: boolean;
  beneathId?: string;
}>();
const emit = defineEmits<{
  mend: [fault: Fault];
  duplicate: [];
  remove: [];
  copy: [];
  paste: [];
  beneath: [partId: string | undefined];
}>();
const work = useAirframe();
const figures = useFigures();

const scale = computed(() => (props.part.sizing === 'fixed' ? 1 : (work.airframe?.settings.scale ?? 1)));
const subtitle = computed(() => {
  const { part, resolved } = props;
  return [
    `${piecesOf(part)} off`,
    part.handed === 'pair' ? 'port drawn' : '',
    `${formatLengthWithUnit(resolved.thicknessMm, work.unit)} ${part.material}`,
  ]
    .filter(Boolean)
    .join(' · ');
});
/** Work on several lines that are chosen together. */
const together = computed(() =>
  props.selection.chosen.value?.kind === 'paths'
    ? props.part.operations.filter(
        ({ on }) => !on.segmentIds && props.selection.paths.value.some(({ id }) => id === on.pathId),
      )
    : [],
);
const faulty = computed(() => new Set(props.faults.map(({ targetId }) => targetId)));
/** The number written on the line, or what its caption says. */
function figureOf(operation: Operation): string {
  const field = traitsOf(operation.kind).fields.find(({ isOnLine }) => isOnLine);
  const value = field && (operation as unknown as Record<string, unknown>)[field.key];
  if (field && typeof value === 'number')
    return field.kind === 'length' ? `${formatLength(value, work.unit)} deep` : formatAngle(value);
  const angle = operationAngle(operation);
  if (angle !== undefined) return formatAngle(angle);
  return operationWidth(operation, props.resolved.thicknessMm) > 0 ? operationCaption(operation) : '';
}
const capital = (word: string): string => word.replace(/^./, (letter) => letter.toUpperCase());
const words = (operation: Operation): string =>
  capital(operationWord(operation)) + (operation.label ? `, ${operation.label}` : '');
function showFault({ targetId }: Fault): void {
  const { chosen } = props.selection;
  if (props.part.operations.some(({ id }) => id === targetId))
    chosen.value = { kind: 'operation', operationId: targetId! };
  else if (props.part.features?.some(({ id }) => id === targetId))
    chosen.value = { kind: 'feature', featureId: targetId! };
  else if (pathsOf(props.part).some(({ id }) => id === targetId)) chosen.value = { kind: 'paths', ids: [targetId!] };
}
const rename = (name: string): void => {
  work.run(props.part.id, { name: 'changeDetails', args: { changes: { name } } });
};
const t = computed(() => {
  const chosen = props.selection.chosen.value;
  return chosen?.kind === 'segment' ? chosen.t : 0.5;
});
</script>

<template>
  <aside class="slip" :aria-label="`Slip of ${part.name}`">
    <div class="slip-head">
      <TextRow class="name" label="Part's name" hide-label :model-value="part.name" @update:model-value="rename" />
      <p>{{ subtitle }}</p>
    </div>
    <div v-if="resolved.outer.length > 0" class="rows">
      <div class="row">
        <span class="label">Length</span
        ><span class="value"
          >{{ formatLength(boundsWidth(resolved.bounds), work.unit) }} <small>{{ work.unit }}</small></span
        >
      </div>
      <div class="row">
        <span class="label">Width</span
        ><span class="value"
          >{{ formatLength(boundsHeight(resolved.bounds), work.unit) }} <small>{{ work.unit }}</small></span
        >
      </div>
      <div class="row">
        <span class="label">Area</span><span class="value">{{ formatArea(resolved.areaMm2, work.unit) }}</span>
      </div>
      <div class="row">
        <span class="label">All round, holes too</span
        ><span class="value">{{ formatLengthWithUnit(resolved.outlineLengthMm, work.unit) }}</span>
      </div>
      <div class="row">
        <span class="label">Foam</span
        ><span class="value">{{ formatMass(resolved.massG, work.unit) }} <small>each</small></span>
      </div>
      <div v-if="scale !== 1" class="row">
        <span class="label">Cut at × {{ scale.toFixed(3) }}</span
        ><span class="value"
          >{{ formatLength(boundsWidth(resolved.bounds) * scale, work.unit) }} ×
          {{ formatLengthWithUnit(boundsHeight(resolved.bounds) * scale, work.unit) }}</span
        >
      </div>
    </div>
    <el-alert v-if="work.message" class="message" type="warning" :title="work.message" :closable="false" />
    <section v-if="faults.length > 0" aria-label="Faults">
      <FaultCard
        v-for="(fault, index) in faults"
        :key="index"
        :fault="fault"
        :is-old="figures.isOldFault(fault)"
        @mend="emit('mend', { ...fault, mend: $event })"
        @show="showFault(fault)"
      />
    </section>

    <slot />
    <MeasureSection :part="part" :resolved="resolved" :selection="selection" :is-measuring="isMeasuring" />
    <PointSection v-if="selection.nodes.value.length > 0" :part="part" :nodes="selection.nodes.value" />
    <EdgeSection
      v-if="selection.segment.value"
      v-bind="selection.segment.value"
      :part="part"
      :t="t"
      @choose="selection.chosen.value = $event"
    />
    <FeatureSection v-if="selection.feature.value" :part="part" :feature="selection.feature.value" :context="context" />
    <OperationSection
      v-if="selection.operation.value"
      :part="part"
      :operation="selection.operation.value"
      :context="context"
    />

    <SeveralLinesSection v-if="together.length > 1" :part="part" :operations="together" />
    <ShapeSection v-if="selection.paths.value.length > 0" :part="part" :paths="selection.paths.value" />

    <InTurn>
      <section v-if="part.operations.length > 0" aria-label="Lines on this part">
        <h2 class="eyebrow">Lines on this part</h2>
        <ul class="rows lines">
          <li v-for="operation in part.operations" :key="operation.id">
            <el-button
              link
              class="bare row"
              :class="{
                chosen: selection.operation.value?.id === operation.id,
                bad: faulty.has(operation.id),
                out: !existsIn(operation, context.variant),
              }"
              @click="selection.chosen.value = { kind: 'operation', operationId: operation.id }"
            >
              <StrokeSample :kind="operation.kind" :is-back="operation.face === 'back'" /><span class="label">{{
                words(operation)
              }}</span
              ><span class="value">{{ figureOf(operation) }}</span>
            </el-button>
          </li>
        </ul>
      </section>
    </InTurn>
    <InTurn>
      <section v-if="part.features?.length" aria-label="Features of this part">
        <h2 class="eyebrow">Features of this part</h2>
        <ul class="rows lines">
          <li v-for="feature in part.features" :key="feature.id">
            <el-button
              link
              class="bare row"
              :class="{
                chosen: selection.feature.value?.id === feature.id,
                bad: faulty.has(feature.id),
                out: !existsIn(feature, context.variant),
              }"
              @click="selection.chosen.value = { kind: 'feature', featureId: feature.id }"
            >
              <span class="label">{{ capital(featureWord(feature)) }}</span><span class="value">{{
                featureFigure(feature, work.unit)
              }}</span>
            </el-button>
          </li>
        </ul>
      </section>
      <GuidesSection :part="part" :selection="selection" :is-setting="isGuiding" />
    </InTurn>
    <InTurn>
      <PlannedSection :part="part" />
      <PartDetailsSection :part="part" :beneath-id="beneathId" @beneath="emit('beneath', $event)" />
    </InTurn>
    <InTurn>
      <PathList :part="part" @choose="selection.chosen.value = $event" />
      <div class="doings">
        <el-button size="small" @click="work.run(part.id, { name: 'mirrorPart', args: { across: 'vertical' } })">
          Mirror left–right
        </el-button>
        <el-button size="small" @click="work.run(part.id, { name: 'mirrorPart', args: { across: 'horizontal' } })">
          Mirror up–down
        </el-button>
        <el-button size="small" title="Ctrl+C" @click="emit('copy')">Copy what is chosen</el-button>
        <el-button size="small" title="Ctrl+V" @click="emit('paste')">Paste</el-button>
        <el-button size="small" @click="emit('duplicate')">Duplicate</el-button>
        <el-button size="small" @click="emit('remove')">Remove part</el-button>
      </div>
    </InTurn>
  </aside>
</template>

<style scoped>
.name {
  border: 0;
  min-height: 0;
}
.name :deep(.el-input__wrapper) {
  padding-left: 0;
}
.name :deep(.el-input__inner) {
  font-size: 19px;
  font-weight: 600;
  text-align: left;
}
.name :deep(.el-input__wrapper:not(:hover, .is-focus)) {
  border-bottom-color: transparent;
}
.message {
  margin-top: 12px;
}
.lines {
  list-style: none;
}
.lines .row {
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--foam-edge);
  background: none;
  text-align: left;
  gap: 9px;
}
.lines .row:hover {
  background: var(--ticket);
}
.lines .row.chosen {
  background: var(--marigold-pale);
  box-shadow: inset 3px 0 var(--marigold);
  padding-left: 6px;
}
.lines .out {
  opacity: 0.62;
  text-decoration: line-through;
}
.lines .bad .value,
.lines .bad .label {
  color: var(--brick);
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 20px;
}
</style>
