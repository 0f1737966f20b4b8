<script setup lang="ts">
import { computed, ref } from 'vue';
import { resolveIn, type Airframe } from '@grain-fold/core/airframe';
import type { Part } from '@grain-fold/core/part';
import { svgPath } from '@grain-fold/core/geometry';
import { countOf } from '@grain-fold/core/units';
import PartThumbnail from '../../pictures/PartThumbnail.vue';

/** Parts of another airframe, of which some may be taken. They stand on nothing here: what they stood on stays there. */
const props = defineProps<{ airframe: Airframe; fileName: string; fault: string }>();
const emit = defineEmits<{ take: [parts: readonly Part[]]; other: [] }>();
const ids = ref<readonly string[]>(props.airframe.parts.map(({ id }) => id));
const chosen = computed(() => props.airframe.parts.filter(({ id }) => ids.value.includes(id)));
type Shapes = InstanceType<typeof PartThumbnail>['$props']['shapes'];
function shapesOf(part: Part): Shapes {
  const { outline, holes, bounds } = resolveIn(props.airframe, part);
  if (!outline) return [];
  const d = [outline, ...holes].map((path) => svgPath(path, true)).join('');
  return [{ d, box: [bounds.minX, bounds.minY, bounds.maxX, bounds.maxY] }];
}
const toggle = (id: string): void => {
  ids.value = ids.value.includes(id) ? ids.value.filter((one) => one !== id) : [...ids.value, id];
};
/** With ids of its own, and without what leads to parts that stay behind or to the form that made it: it is a drawn part here. */
function take(): void {
  const fresh = new Map(chosen.value.map(({ id }) => [id, `p${crypto.randomUUID().slice(0, 8)}`]));
  emit(
    'take',
    chosen.value.map(
      ({
        joints: _joints,
        place: _place,
        seams,
        variants: _variants,
        planned: _planned,
        source: _source,
        ...part
      }) => ({
        ...part,
        id: fresh.get(part.id)!,
        ...(seams ? { seams: seams.filter(({ toPartId }) => toPartId === undefined) } : {}),
      }),
    ),
  );
}
</script>

<template>
  <div class="reading">
    <h1>Parts of {{ airframe.name }}</h1>
    <p>{{ fileName }} <el-button link size="small" @click="emit('other')">another file</el-button></p>
    <el-alert v-if="fault" type="error" :title="fault" :closable="false" />
    <ul class="parts">
      <li v-for="part in airframe.parts" :key="part.id">
        <el-button
          class="bare card"
          link
          :aria-pressed="ids.includes(part.id)"
          :class="{ on: ids.includes(part.id) }"
          @click="toggle(part.id)"
        >
          <PartThumbnail class="picture" :shapes="shapesOf(part)" />
          <b>{{ part.name || 'Part' }}</b>
          <small>{{ part.material }} × {{ part.quantity }}</small>
        </el-button>
      </li>
    </ul>
    <el-button type="primary" :disabled="chosen.length === 0" @click="take"
      >Take {{ countOf(chosen.length, 'part') }} in</el-button
    >
  </div>
</template>

<style scoped>
.parts {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
  margin: 16px 0 20px;
}
.card {
  display: grid;
  width: 100%;
  padding: 10px;
  border: 2px solid var(--foam-edge);
  border-radius: var(--radius);
  justify-items: center;
  opacity: 0.6;
}
.picture {
  width: 100%;
  height: 80px;
}
.card.on {
  border-color: var(--moss);
  opacity: 1;
}
</style>
