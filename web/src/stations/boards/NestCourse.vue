<script setup lang="ts">
import { computed } from 'vue';
import type { CoursePoint } from './use-nesting.ts';

/** The course of a search: fewer boards is higher. */
const props = defineProps<{ course: readonly CoursePoint[]; seconds: number }>();
const WIDTH = 284,
  HEIGHT = 74;
const line = computed(() => {
  const values = props.course.map(({ effectiveBoards }) => effectiveBoards);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const last = Math.max(props.seconds, 0.1);
  const x = (seconds: number): number => (seconds / last) * WIDTH;
  const y = (boards: number): number => (most > least ? 8 + ((boards - least) / (most - least)) * (HEIGHT - 16) : 8);
  const steps = props.course.map(({ seconds, effectiveBoards }, index) =>
    index === 0 ? `M0 ${y(effectiveBoards)}H${x(seconds)}` : `H${x(seconds)}V${y(effectiveBoards)}`,
  );
  return `${steps.join('')}H${WIDTH}`;
});
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Best so far: ${course.map(({ seconds, effectiveBoards }) => `${effectiveBoards.toFixed(2)} boards after ${seconds.toFixed(1)} s`).join(', ')}`"
    >
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
