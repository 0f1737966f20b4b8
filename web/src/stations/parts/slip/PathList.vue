<script setup lang="ts">
import { ref, watch } from 'vue';
import { curveLength } from '@grain-fold/core/geometry';
import { pathsOf, type Contour, type DrawnLine, type Part } from '@grain-fold/core/part';
import { curveOf } from '@grain-fold/core/paths';
import { formatLength } from '@grain-fold/core/units';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { Chosen } from '../selection.ts';
import FoldAway from '../../../kit/FoldAway.vue';

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
  <FoldAway title="Points and edges" class="paths" @toggle="isOpen = $event">
    <div v-for="path in isOpen ? pathsOf(part) : []" :key="path.id">
      <h3>{{ word(path) }}</h3>
      <ol>
        <li v-for="(node, index) in path.nodes.slice(0, rows)" :key="node.id" class="figures">
          <el-button link @click="$emit('choose', { kind: 'nodes', ids: [node.id] })" class="bare">
            {{ formatLength(node.x, work.unit) }}, {{ formatLength(node.y, work.unit) }}
          </el-button>
          <el-button
            link
            v-if="path.segments[index]"
            class="bare edge"
            @click="$emit('choose', { kind: 'segment', pathId: path.id, segmentId: path.segments[index]!.id, t: 0.5 })"
          >
            {{ { line: 'run', arc: 'arc', cubic: 'curve' }[path.segments[index]!.kind] }}
            {{ formatLength(curveLength(curveOf(path, index)), work.unit) }}
          </el-button>
        </li>
      </ol>
      <el-button link v-if="path.nodes.length > rows" class="bare more" @click="rows += 10 * FIRST_ROWS">
        Show more of {{ path.nodes.length }} points
      </el-button>
    </div>
  </FoldAway>
</template>

<style scoped>
.paths {
  margin-top: 20px;
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
