<script setup lang="ts">
import { computed } from 'vue';
import { contextOf } from '@grain-fold/core/airframe';
import { STEEPEST_SLANT_DEGREES } from '@grain-fold/core/allowance';
import type { Contour, Part, PlateSlot } from '@grain-fold/core/part';
import { canHoldPlate, fittedWidth } from '@grain-fold/core/resolve';
import { materialsOf } from '@grain-fold/core/stock';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import CheckRow from '../../../kit/CheckRow.vue';

/** A hole as the slot of a plate: its width follows the plate's measured thickness. */
const props = defineProps<{ part: Part; hole: Contour }>();
const work = useAirframe();
const NONE = '';
const USUAL_FIT_MM = 0.2;
const choices = computed(() => [
  [NONE, 'nothing, a plain hole'] as const,
  ...[
    ...new Set([...materialsOf(work.airframe?.boards ?? []), ...(props.hole.plate ? [props.hole.plate.material] : [])]),
  ].map((name) => [name, name] as const),
]);
const width = computed(() => fittedWidth(props.hole, contextOf(work.airframe!, props.part)));
const set = (plate: PlateSlot | null): void => {
  work.run(props.part.id, { name: 'changeSlot', args: { pathId: props.hole.id, plate } });
};
function follow(does: boolean): void {
  const { keptWidthMm: _kept, ...following } = props.hole.plate!;
  set(
    does || width.value === undefined ? following : { ...following, keptWidthMm: Math.round(width.value * 100) / 100 },
  );
}
const choose = (material: string): void =>
  set(material === NONE ? null : { slantDegrees: 0, fitMm: USUAL_FIT_MM, ...props.hole.plate, material });
</script>

<template>
  <template v-if="canHoldPlate(hole)">
    <ChoiceRow
      label="Slot for a plate of"
      :model-value="hole.plate?.material ?? NONE"
      :choices="choices"
      @update:model-value="choose"
    />
    <template v-if="hole.plate">
      <MeasureField
        label="It leans by"
        kind="angle"
        :model-value="hole.plate.slantDegrees"
        :least="-STEEPEST_SLANT_DEGREES"
        :most="STEEPEST_SLANT_DEGREES"
        @update:model-value="set({ ...hole.plate!, slantDegrees: $event })"
      />
      <MeasureField
        label="Fit"
        :unit="work.unit"
        :decimals="2"
        :model-value="hole.plate.fitMm"
        :least="-2"
        :most="5"
        @update:model-value="set({ ...hole.plate!, fitMm: $event })"
      />
      <div v-if="width !== undefined && hole.plate.keptWidthMm === undefined" class="row">
        <span class="label">Slot is cut</span
        ><span class="value">{{ formatLengthWithUnit(width, work.unit, 2) }} wide</span>
      </div>
      <MeasureField
        v-if="hole.plate.keptWidthMm !== undefined"
        label="Slot is cut"
        :unit="work.unit"
        :decimals="2"
        :model-value="hole.plate.keptWidthMm"
        :least="0.1"
        :most="200"
        @update:model-value="set({ ...hole.plate!, keptWidthMm: $event })"
      />
      <CheckRow
        v-if="width !== undefined"
        label="follows the measured plate"
        :model-value="hole.plate.keptWidthMm === undefined"
        @update:model-value="follow"
      />
    </template>
  </template>
</template>
