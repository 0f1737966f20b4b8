<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  featureTraits,
  featureWord,
  isOnEdge,
  regularStations,
  tabReach,
  type Feature,
  type FeatureField,
} from '@grain-fold/core/features';
import { curveLength } from '@grain-fold/core/geometry';
import { findPath, type Part } from '@grain-fold/core/part';
import { curveOf } from '@grain-fold/core/paths';
import type { ResolveContext } from '@grain-fold/core/resolve';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLength, parseLength } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import ExistsInRow from './ExistsInRow.vue';
import CheckRow from '../../../kit/CheckRow.vue';
import TextRow from '../../../kit/TextRow.vue';

/** The numbers, words and choices of a feature. */
const props = defineProps<{ part: Part; feature: Feature; context: ResolveContext }>();
const work = useAirframe();
const traits = computed(() => featureTraits(props.feature.kind));
const values = computed(() => props.feature as unknown as Readonly<Record<string, unknown>>);
const change = (changes: Readonly<Record<string, unknown>>): void => {
  work.run(props.part.id, { name: 'changeFeature', args: { featureId: props.feature.id, changes } });
};

const materials = computed(() =>
  [...new Set([...materialsOf(work.airframe?.boards ?? []), props.part.material])].map((name) => [name, name] as const),
);
/** Every tab row of the other parts. */
const mates = computed(() => [
  ['', 'choose a tab row'] as const,
  ...(work.airframe?.parts ?? [])
    .filter(({ id }) => id !== props.part.id)
    .flatMap((part) =>
      (part.features ?? []).flatMap((feature) =>
        feature.kind === 'tabs'
          ? [
              [
                `${part.id}/${feature.id}`,
                `${part.name}, ${feature.count} × ${formatLength(feature.lengthMm, work.unit)}`,
              ] as const,
            ]
          : [],
      ),
    ),
]);

const isAuto = (field: FeatureField): boolean => values.value[field.key] === 'auto';
/** The number that a field stands for, the one it follows while it is automatic. */
function numberOf(field: FeatureField): number {
  const value = values.value[field.key];
  if (typeof value === 'number') return value;
  const { feature, context } = props;
  if (feature.kind === 'tabs') return tabReach(feature, context);
  return field.key === 'depthMm'
    ? Math.max(0.1, context.thicknessMm - 0.5)
    : 'material' in feature
      ? (context.plateThicknesses[feature.material] ?? context.thicknessMm)
      : 0;
}
const edgeMm = computed(() => {
  if (!isOnEdge(props.feature)) return 0;
  const path = findPath(props.part, props.feature.on.pathId),
    { segmentId } = props.feature.on;
  const index = path?.segments.findIndex(({ id }) => id === segmentId) ?? -1;
  return path && index >= 0 ? curveLength(curveOf(path, index)) : 0;
});
const pitch = ref(50);
const spread = (): void => change({ places: regularStations(edgeMm.value, pitch.value, 'S') });
function setPlaces(text: string): void {
  const lines = text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  const places: { atMm: number; name: string }[] = [];
  for (const line of lines) {
    const [at, ...name] = line.split(/\s+(?=[^\d/.'"+*=-])/);
    const read = parseLength(at!, work.unit);
    if (!read.ok) {
      work.message = `${line}: ${read.message}`;
      return;
    }
    places.push({ atMm: read.mm, name: name.join(' ') });
  }
  change({ places });
}
const placesText = computed(() =>
  props.feature.kind === 'stations'
    ? props.feature.places.map(({ atMm, name }) => `${formatLength(atMm, work.unit, 2)} ${name}`).join('\n')
    : '',
);
</script>

<template>
  <section aria-label="Chosen feature">
    <h2 class="eyebrow">This {{ featureWord(feature) }}</h2>
    <div class="rows">
      <template v-for="field in traits.fields" :key="field.key">
        <template v-if="field.kind === 'length'">
          <MeasureField
            :label="field.word"
            :unit="work.unit"
            :decimals="2"
            :model-value="numberOf(field)"
            :least="field.least"
            :most="field.most"
            @update:model-value="change({ [field.key]: $event })"
          />
          <CheckRow
            v-if="field.auto"
            label="follows the measured board"
            :model-value="isAuto(field)"
            @update:model-value="change({ [field.key]: $event ? 'auto' : numberOf(field) })"
          />
        </template>
        <MeasureField
          v-else-if="field.kind === 'angle'"
          :label="field.word"
          kind="angle"
          :model-value="numberOf(field)"
          :least="field.least ?? -360"
          :most="field.most ?? 360"
          @update:model-value="change({ [field.key]: $event })"
        />
        <MeasureField
          v-else-if="field.kind === 'count'"
          :label="field.word"
          kind="number"
          :model-value="numberOf(field)"
          :least="field.least"
          :most="field.most"
          @update:model-value="change({ [field.key]: Math.round($event) })"
        />
        <ChoiceRow
          v-else-if="field.kind === 'choice'"
          :label="field.word"
          :model-value="String(values[field.key])"
          :choices="field.choices!"
          @update:model-value="change({ [field.key]: $event })"
        />
        <ChoiceRow
          v-else-if="field.kind === 'material'"
          :label="field.word"
          :model-value="String(values[field.key])"
          :choices="materials"
          @update:model-value="change({ [field.key]: $event })"
        />
        <ChoiceRow
          v-else-if="field.kind === 'mate'"
          :label="field.word"
          :model-value="String(values[field.key])"
          :choices="mates"
          @update:model-value="change({ [field.key]: $event })"
        />
        <TextRow
          v-else-if="field.kind === 'text'"
          :label="field.word"
          :model-value="String(values[field.key])"
          @update:model-value="change({ [field.key]: $event })"
        />
        <template v-else>
          <MeasureField
            label="Every"
            :unit="work.unit"
            :model-value="pitch"
            :least="1"
            :most="2000"
            @update:model-value="pitch = $event"
          />
          <div class="doings">
            <el-button size="small" @click="spread">Spread along the edge</el-button>
          </div>
          <TextRow
            :label="`${field.word}, one a line: how far along, and its name`"
            :lines="5"
            :most="10000"
            :model-value="placesText"
            @update:model-value="setPlaces"
          />
        </template>
      </template>
      <template v-if="!isOnEdge(feature)">
        <MeasureField
          label="Middle across"
          :unit="work.unit"
          :decimals="2"
          :model-value="feature.at.x"
          @update:model-value="change({ at: { x: $event, y: feature.at.y } })"
        />
        <MeasureField
          label="Middle up"
          :unit="work.unit"
          :decimals="2"
          :model-value="feature.at.y"
          @update:model-value="change({ at: { x: feature.at.x, y: $event } })"
        />
      </template>
      <TextRow
        v-if="feature.kind === 'balance' || feature.kind === 'lap'"
        label="Label"
        :model-value="feature.label"
        @update:model-value="change({ label: $event })"
      />
      <ExistsInRow :part="part" :target-id="feature.id" :variants="feature.variants" />
    </div>
    <el-button
      size="small"
      class="remove"
      @click="work.run(part.id, { name: 'removeFeature', args: { featureId: feature.id } })"
    >
      Remove this {{ featureWord(feature) }}
    </el-button>
  </section>
</template>

<style scoped>
.remove {
  margin-top: 10px;
}
.doings {
  margin: 6px 0;
}
</style>
