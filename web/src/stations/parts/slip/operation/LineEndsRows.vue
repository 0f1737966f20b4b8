<script setup lang="ts">
import { computed } from 'vue';
import { pathLength } from '@grain-fold/core/geometry';
import type { DrawnLine, Part } from '@grain-fold/core/part';
import { curvesOf, type PathNode } from '@grain-fold/core/paths';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import FigureRow from '../../../../kit/FigureRow.vue';
import MeasureField from '../../../../kit/MeasureField.vue';
import { useAirframe } from '../../../../stores/airframe/airframe.ts';

/** How long a line is and where its ends lie; a straight one by numbers that can be typed. */
const props = defineProps<{ part: Part; line: DrawnLine }>();
const work = useAirframe();
const isStraight = computed(() => props.line.segments.length === 1 && props.line.segments[0]!.kind === 'line');
const lengthMm = computed(() => pathLength(curvesOf(props.line)));
const ends = computed(() =>
  props.line.closed
    ? []
    : ([
        ['Starts', props.line.nodes[0]!],
        ['Ends', props.line.nodes.at(-1)!],
      ] as const),
);
const place = ({ id, x, y }: PathNode, to: { x?: number; y?: number }): void => {
  work.run(props.part.id, { name: 'placeNode', args: { nodeId: id, at: { x, y, ...to } } });
};
const setLength = (mm: number): void => {
  work.run(props.part.id, { name: 'shapeRun', args: { segmentId: props.line.segments[0]!.id, lengthMm: mm } });
};
</script>

<template>
  <MeasureField
    v-if="isStraight"
    label="Length"
    :unit="work.unit"
    :decimals="2"
    :least="0.01"
    :model-value="lengthMm"
    @update:model-value="setLength"
  />
  <FigureRow v-else label="Length" :value="formatLengthWithUnit(lengthMm, work.unit, 2)" />
  <template v-for="[word, node] in ends" :key="node.id">
    <MeasureField
      :label="`${word} across`"
      :unit="work.unit"
      :decimals="2"
      :model-value="node.x"
      @update:model-value="place(node, { x: $event })"
    />
    <MeasureField
      :label="`${word} up`"
      :unit="work.unit"
      :decimals="2"
      :model-value="node.y"
      @update:model-value="place(node, { y: $event })"
    />
  </template>
</template>
