<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Part } from '@grain-fold/core/part';
import type { PathNode } from '@grain-fold/core/paths';
import MeasureField from '../../../kit/MeasureField.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

const props = defineProps<{ part: Part; nodes: readonly PathNode[] }>();
const work = useAirframe();
const place = (node: PathNode, at: { x?: number; y?: number }): void => {
  work.run(props.part.id, {
    name: 'placeNode',
    args: { nodeId: node.id, at: { x: at.x ?? node.x, y: at.y ?? node.y } },
  });
};
const size = ref(10);
const shape = (how: 'round' | 'chamfer'): void => {
  work.run(props.part.id, {
    name: 'shapeCorners',
    args: { nodeIds: props.nodes.map(({ id }) => id), how, sizeMm: size.value },
  });
};
const line = computed(() =>
  props.part.lines.find((one) => !one.closed && one.nodes.slice(1, -1).some(({ id }) => id === props.nodes[0]?.id)),
);
const split = (): void => {
  work.run(props.part.id, { name: 'splitLine', args: { nodeId: props.nodes[0]!.id } });
};
const guides = computed(() =>
  (props.part.guides ?? []).filter(({ id }) =>
    props.part.attachments?.some(
      ({ nodeId, guideId }) => guideId === id && props.nodes.some((node) => node.id === nodeId),
    ),
  ),
);
const remove = (node: PathNode): void => {
  work.run(props.part.id, { name: 'removeNode', args: { nodeId: node.id } });
};
</script>

<template>
  <section aria-label="Chosen points">
    <h2 class="eyebrow">{{ nodes.length === 1 ? 'This point' : `${nodes.length} points` }}</h2>
    <div v-for="node in nodes.slice(0, 6)" :key="node.id" class="rows">
      <MeasureField
        label="Across"
        :unit="work.unit"
        :decimals="2"
        :model-value="node.x"
        @update:model-value="place(node, { x: $event })"
      />
      <MeasureField
        label="Up"
        :unit="work.unit"
        :decimals="2"
        :model-value="node.y"
        @update:model-value="place(node, { y: $event })"
      />
      <el-button size="small" class="remove" @click="remove(node)">Remove this point</el-button>
    </div>
    <div v-if="guides.length > 0" class="row">
      <span class="label">Stays on {{ guides.map(({ name }) => name).join(' and ') }}</span
      ><el-button
        size="small"
        @click="work.run(part.id, { name: 'detachNodes', args: { nodeIds: nodes.map(({ id }) => id) } })"
      >
        Let go
      </el-button>
    </div>
    <div class="rows corner">
      <MeasureField
        label="Corner"
        :unit="work.unit"
        :model-value="size"
        :least="0.1"
        :most="1000"
        @update:model-value="size = $event"
      />
      <div class="doings">
        <el-button size="small" @click="shape('round')">Round</el-button
        ><el-button size="small" @click="shape('chamfer')">Chamfer</el-button
        ><el-button size="small" v-if="line && nodes.length === 1" @click="split"> Split the line here </el-button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.remove {
  margin-top: 8px;
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
</style>
