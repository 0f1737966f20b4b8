<script setup lang="ts">
import { ref, watch } from 'vue';
import { curveLength } from '@grain-fold/core/geometry';
import { pathsOf, type Contour, type DrawnLine, type Part } from '@grain-fold/core/part';
import { curveOf } from '@grain-fold/core/paths';
import { formatLength } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe.ts';
import type { Chosen } from './selection.ts';

/** Every point and edge of the part as text: the drawing for the keyboard and for screen readers. */
const props = defineProps<{ part: Part }>();
defineEmits<{ choose: [chosen: Chosen] }>();
const work = useAirframe();
/** Rows shown at first; an outline can have thousands of points. */
const FIRST_ROWS = 200;
const isOpen = ref(false);
const rows = ref(FIRST_ROWS);
watch(
  () => props.part.id,
  () => {
    rows.value = FIRST_ROWS;
  },
);
const word = (path: Contour | DrawnLine): string =>
  'role' in path ? (path.role === 'outer' ? 'Outline' : 'Hole') : 'Line';
</script>

<template>
  <details class="paths" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary class="eyebrow">Points and edges</summary>
    <div v-for="path in isOpen ? pathsOf(part) : []" :key="path.id">
      <h3>{{ word(path) }}</h3>
      <ol>
        <li v-for="(node, index) in path.nodes.slice(0, rows)" :key="node.id" class="figures">
          <button type="button" @click="$emit('choose', { kind: 'nodes', ids: [node.id] })">
            {{ formatLength(node.x, work.unit) }}, {{ formatLength(node.y, work.unit) }}
          </button>
          <button
            v-if="path.segments[index]"
            type="button"
            class="edge"
            @click="$emit('choose', { kind: 'segment', pathId: path.id, segmentId: path.segments[index]!.id, t: 0.5 })"
          >
            {{ { line: 'run', arc: 'arc', cubic: 'curve' }[path.segments[index]!.kind] }}
            {{ formatLength(curveLength(curveOf(path, index)), work.unit) }}
          </button>
        </li>
      </ol>
      <button v-if="path.nodes.length > rows" type="button" class="more" @click="rows += 10 * FIRST_ROWS">
        Show more of {{ path.nodes.length }} points
      </button>
    </div>
  </details>
</template>

<style scoped>
.paths {
  margin-top: 20px;
}
summary {
  cursor: pointer;
}
h3 {
  font-size: 13px;
  margin-top: 8px;
}
ol {
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--foam-edge);
}
button {
  border: 0;
  background: none;
  padding: 3px 4px;
  font-weight: 500;
  font-size: 15px;
}
button:hover {
  background: var(--ticket);
}
.edge {
  color: var(--ink-soft);
}
</style>
