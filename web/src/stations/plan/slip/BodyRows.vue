<script setup lang="ts">
import type { BodyStation, BodyThing } from '@grain-fold/core/plan';
import type { LengthUnit } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';

/** The stations of a body: how far aft, bottom, top and width of each. */
const props = defineProps<{ body: BodyThing; unit: LengthUnit }>();
const emit = defineEmits<{ change: [label: string, body: BodyThing] }>();

function set(index: number, change: Partial<BodyStation>): void {
  emit('change', `Change station ${index + 1} of ${props.body.name}`, {
    ...props.body,
    stations: props.body.stations.map((one, place) => (place === index ? { ...one, ...change } : one)),
  });
}
/** One more station half way before the last. */
function add(): void {
  const { stations } = props.body,
    [a, b] = [stations.at(-2)!, stations.at(-1)!];
  const half = (of: (station: BodyStation) => number): number => (of(a) + of(b)) / 2;
  const middle = {
    aftMm: half(({ aftMm }) => aftMm),
    bottomMm: half(({ bottomMm }) => bottomMm),
    topMm: half(({ topMm }) => topMm),
    widthMm: half(({ widthMm }) => widthMm),
  };
  emit('change', `Add station to ${props.body.name}`, {
    ...props.body,
    stations: [...stations.slice(0, -1), middle, b],
  });
}
const remove = (index: number): void =>
  emit('change', `Take out station ${index + 1} of ${props.body.name}`, {
    ...props.body,
    stations: props.body.stations.filter((_, place) => place !== index),
  });
const before = (index: number): number => (index === 0 ? 0 : props.body.stations[index - 1]!.aftMm + 0.1);
const behind = (index: number): number => (props.body.stations[index + 1]?.aftMm ?? 6000.1) - 0.1;
</script>

<template>
  <FoldAway
    v-for="(station, index) in body.stations"
    :key="index"
    :title="`Station ${index + 1}`"
    :is-open="index === 1 || body.stations.length < 4"
  >
    <MeasureField
      v-if="index > 0"
      :label="`Station ${index + 1}, aft`"
      :unit="unit"
      :model-value="station.aftMm"
      :least="before(index)"
      :most="behind(index)"
      @update:model-value="set(index, { aftMm: $event })"
    />
    <MeasureField
      :label="`Station ${index + 1}, top`"
      :unit="unit"
      :model-value="station.topMm"
      :least="station.bottomMm"
      :most="6000"
      @update:model-value="set(index, { topMm: $event })"
    />
    <MeasureField
      :label="`Station ${index + 1}, bottom`"
      :unit="unit"
      :model-value="station.bottomMm"
      :least="-6000"
      :most="station.topMm"
      @update:model-value="set(index, { bottomMm: $event })"
    />
    <MeasureField
      :label="`Station ${index + 1}, width`"
      :unit="unit"
      :model-value="station.widthMm"
      :least="0"
      :most="6000"
      @update:model-value="set(index, { widthMm: $event })"
    />
    <el-button v-if="body.stations.length > 2 && index > 0" link size="small" @click="remove(index)"
      >Take station {{ index + 1 }} out</el-button
    >
  </FoldAway>
  <el-button size="small" :disabled="body.stations.length >= 24" @click="add">Add a station</el-button>
</template>
