<script setup lang="ts">
import { computed } from 'vue';
import type { CoursePoint } from './use-nesting.ts';

/** The course of a search: fewer boards is higher. */
const props = defineProps<{ course: readonly CoursePoint[]; seconds: number }>();
const WIDTH = 284,
  HEIGHT = 74,
  TOP = 8,
  LOWEST = HEIGHT - 16,
  BOTTOM = HEIGHT - 8;
/** Whether a nest placed as much for the same price as the last one: only then do boards tell which is better. */
function isLevel({ score }: CoursePoint): boolean {
  const { score: last } = props.course.at(-1)!;
  return score.unplacedMm2 === last.unplacedMm2 && Math.abs(score.cost - last.cost) < 1e-9;
}
const line = computed(() => {
  const values = props.course.filter(isLevel).map(({ score }) => score.effectiveBoards);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const last = Math.max(props.seconds, 0.1);
  const x = (seconds: number): number => (seconds / last) * WIDTH;
  // What left pieces over or cost more stands below all others.
  const y = (point: CoursePoint): number => {
    if (!isLevel(point)) return BOTTOM;
    return most > least ? TOP + ((point.score.effectiveBoards - least) / (most - least)) * (LOWEST - TOP) : TOP;
  };
  const steps = props.course.map((point, index) =>
    index === 0 ? `M0 ${y(point)}H${x(point.seconds)}` : `H${x(point.seconds)}V${y(point)}`,
  );
  return `${steps.join('')}H${WIDTH}`;
});
const words = computed(() =>
  props.course.map((point) => {
    const { unplacedMm2, effectiveBoards } = point.score;
    const how = isLevel(point) ? '' : unplacedMm2 > 0 ? ', with pieces left over,' : ', for a higher price,';
    return `${effectiveBoards.toFixed(2)} boards${how} after ${point.seconds.toFixed(1)} s`;
  }),
);
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`Best so far: ${words.join('; ')}`">
      <path :d="`M0 ${HEIGHT - 1}H${WIDTH}`" stroke="#c9bd9f" />
      <path :d="line" fill="none" stroke="var(--marigold)" stroke-width="2.5" />
    </svg>
    <figcaption class="figures">
      <span>0 s</span><span>{{ seconds.toFixed(1) }} s</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin-top: 6px;
}
svg {
  width: 100%;
  display: block;
}
figcaption {
  display: flex;
  justify-content: space-between;
  color: var(--ink-soft);
  font-weight: 500;
}
</style>
