<script setup lang="ts">
import { computed } from 'vue';
import { centroid, directionDegrees, distance } from '@grain-fold/core/geometry';
import { placedDimensions, type DimensionAlong, type Part } from '@grain-fold/core/part';
import { measureOnDrawing } from '@grain-fold/core/pointing';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import { formatAngle, formatLength, formatLengthWithUnit } from '@grain-fold/core/units';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Selection } from '../selection.ts';

/** What was measured on the mat, the part's own measures, and its pinned dimensions, whose numbers can be set. */
const props = defineProps<{ part: Part; resolved: ResolvedPart; selection: Selection; isMeasuring: boolean }>();
const work = useAirframe();
const measured = computed(() => {
  const now = props.selection.measured.value;
  return now?.to ? { ...now, to: now.to } : undefined;
});
const more = computed(() =>
  measured.value ? measureOnDrawing(props.part, measured.value.from, measured.value.to) : {},
);
const mayPin = computed(() => measured.value?.fromNodeId !== undefined && measured.value.toNodeId !== undefined);
const WAYS: readonly (readonly [DimensionAlong, string])[] = [
  ['straight', 'Pin it'],
  ['across', 'Pin across'],
  ['up', 'Pin up'],
];
const NAMES: Readonly<Record<DimensionAlong, string>> = { straight: 'Straight', across: 'Across', up: 'Up' };
function pin(along: DimensionAlong): void {
  const now = measured.value;
  if (!now?.fromNodeId || !now.toNodeId) return;
  if (
    work.run(props.part.id, {
      name: 'pinDimension',
      args: { fromNodeId: now.fromNodeId, toNodeId: now.toNodeId, along },
    })
  )
    props.selection.measured.value = undefined;
}
const middle = computed(() => (props.resolved.outer.length > 0 ? centroid(props.resolved.outer) : undefined));
const dimensions = computed(() => placedDimensions(props.part));
</script>

<template>
  <section v-if="measured || isMeasuring" aria-label="Measured">
    <h2 class="eyebrow">Measured</h2>
    <div v-if="measured" class="rows">
      <div class="row">
        <span class="label">Distance</span
        ><span class="value">{{ formatLengthWithUnit(distance(measured.from, measured.to), work.unit, 2) }}</span>
      </div>
      <div class="row">
        <span class="label">Across, up</span
        ><span class="value"
          >{{ formatLength(measured.to.x - measured.from.x, work.unit, 2) }},
          {{ formatLengthWithUnit(measured.to.y - measured.from.y, work.unit, 2) }}</span
        >
      </div>
      <div class="row">
        <span class="label">Direction</span
        ><span class="value">{{ formatAngle(directionDegrees(measured.from, measured.to)) }}</span>
      </div>
      <div v-if="more.alongMm" class="row">
        <span class="label">Along the line</span
        ><span class="value"
          >{{ formatLengthWithUnit(more.alongMm[0], work.unit, 2)
          }}<template v-if="more.alongMm[1] !== undefined"
            ><br /><small>{{ formatLengthWithUnit(more.alongMm[1], work.unit, 2) }} the other way</small></template
          ></span
        >
      </div>
      <div v-if="more.betweenDegrees !== undefined" class="row">
        <span class="label">Between the edges</span><span class="value">{{ formatAngle(more.betweenDegrees) }}</span>
      </div>
      <div v-if="more.radiusMm !== undefined" class="row">
        <span class="label">Radius of the arc</span
        ><span class="value">{{ formatLengthWithUnit(more.radiusMm, work.unit, 2) }}</span>
      </div>
      <div v-if="mayPin" class="doings">
        <el-button size="small" v-for="[along, word] in WAYS" :key="along" @click="pin(along)">
          {{ word }}
        </el-button>
      </div>
      <p v-else class="hint">Measure from point to point to pin the distance.</p>
    </div>
    <p v-else class="hint">Click two places on the mat.</p>
    <div class="rows">
      <div v-if="middle" class="row">
        <span class="label">Middle of the area</span
        ><span class="value"
          >{{ formatLength(middle.x, work.unit) }}, {{ formatLengthWithUnit(middle.y, work.unit) }}</span
        >
      </div>
    </div>
  </section>
  <section v-if="dimensions.length > 0" aria-label="Pinned dimensions">
    <h2 class="eyebrow">Pinned dimensions</h2>
    <div v-for="dimension in dimensions" :key="dimension.id" class="pinned">
      <MeasureField
        :label="NAMES[dimension.along]"
        :unit="work.unit"
        :decimals="2"
        :model-value="dimension.valueMm"
        :least="0.01"
        :most="20000"
        @update:model-value="
          work.run(part.id, { name: 'setDimension', args: { dimensionId: dimension.id, valueMm: $event } })
        "
      />
      <el-button
        text
        size="small"
        :aria-label="`Remove the dimension ${formatLength(dimension.valueMm, work.unit)}`"
        @click="work.run(part.id, { name: 'removeDimension', args: { dimensionId: dimension.id } })"
      >
        Remove
      </el-button>
    </div>
  </section>
</template>

<style scoped>
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 8px 0;
}
.hint {
  color: var(--ink-soft);
  margin-top: 4px;
}
.pinned {
  display: flex;
  align-items: center;
  gap: 4px;
}
.pinned > :first-child {
  flex: 1;
}
</style>
