<script setup lang="ts">
import type { Part, PathNode } from '@grain-fold/core/drawing';
import MeasureField from '../../components/MeasureField.vue';
import { useAirframe } from '../../stores/airframe.ts';

const props = defineProps<{ part: Part; nodes: readonly PathNode[] }>();
const work = useAirframe();
const place = (node: PathNode, at: { x?: number; y?: number }): void => { work.run(props.part.id, { name: 'placeNode', args: { nodeId: node.id, at: { x: at.x ?? node.x, y: at.y ?? node.y } } }); };
const remove = (node: PathNode): void => { work.run(props.part.id, { name: 'removeNode', args: { nodeId: node.id } }); };
</script>

<template>
  <section aria-label="Chosen points">
    <h2 class="eyebrow">{{ nodes.length === 1 ? 'This point' : `${nodes.length} points` }}</h2>
    <div v-for="node in nodes.slice(0, 12)" :key="node.id" class="rows">
      <MeasureField label="Across" :unit="work.unit" :decimals="2" :model-value="node.x" @update:model-value="place(node, { x: $event })" />
      <MeasureField label="Up" :unit="work.unit" :decimals="2" :model-value="node.y" @update:model-value="place(node, { y: $event })" />
      <button type="button" class="button small remove" @click="remove(node)">Remove this point</button>
    </div>
  </section>
</template>

<style scoped>
.remove { margin-top: 8px; }
</style>
