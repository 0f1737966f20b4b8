<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { resolveIn } from '@grain-fold/core/airframe';
import { piecesOf } from '@grain-fold/core/part';
import { formatLengthWithUnit } from '@grain-fold/core/units';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import RackPicture from '../parts/list/RackPicture.vue';

/** The parts that the form makes, small; what the last change made anew stands out. */
const props = defineProps<{ formId: string }>();
const work = useAirframe();
const parts = computed(() => work.airframe?.parts.filter(({ source }) => source?.formId === props.formId) ?? []);
const changed = ref<ReadonlySet<string>>(new Set());
watch([parts, () => props.formId] as const, ([now, formId], [before, formerId]) => {
  if (formId !== formerId) {
    changed.value = new Set();
    return;
  }
  const known = new Map(before.map((part) => [part.id, part] as const));
  const own = now.filter((part) => known.size > 0 && known.get(part.id) !== part).map(({ id }) => id);
  if (own.length > 0) changed.value = new Set(own);
});
const cards = computed(() =>
  work.airframe
    ? parts.value.map((part) => {
        const resolved = resolveIn(work.airframe!, part),
          { minX, maxX, minY, maxY } = resolved.bounds;
        return {
          part,
          resolved,
          size: `${formatLengthWithUnit(maxX - minX, work.unit, 0)} × ${formatLengthWithUnit(maxY - minY, work.unit, 0)}`,
          count: piecesOf(part),
        };
      })
    : [],
);
</script>

<template>
  <nav class="made" aria-label="Made parts">
    <RouterLink
      v-for="{ part, resolved, size, count } in cards"
      :key="part.id"
      class="card"
      :class="{ changed: changed.has(part.id) }"
      :to="{ name: 'parts', params: { partId: part.id } }"
      :title="`Open ${part.name} flat`"
    >
      <RackPicture :part="resolved" />
      <span class="words"
        ><b>{{ part.name }}</b
        ><small class="figures"
          >{{ count }} × · {{ size }}<template v-if="changed.has(part.id)"> · new</template></small
        ></span
      >
    </RouterLink>
  </nav>
</template>

<style scoped>
.made {
  flex: none;
  display: flex;
  gap: 8px;
  overflow-x: auto;
  padding: 8px 12px;
  background: var(--tray);
}
.card {
  display: flex;
  align-items: center;
  gap: 8px;
  flex: none;
  padding: 4px 10px 4px 6px;
  border-radius: var(--radius);
  background: var(--mat);
  color: #eef2ee;
  text-decoration: none;
  border-left: 3px solid transparent;
}
.card:hover {
  background: var(--mat-raised);
}
.changed {
  border-left-color: var(--marigold);
}
.words {
  display: grid;
  line-height: 1.2;
  font-size: 13px;
}
small {
  color: #cfdcdb;
  font-size: 13px;
}
</style>
