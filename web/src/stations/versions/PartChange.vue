<script setup lang="ts">
import { computed } from 'vue';
import { joinBounds, svgPath } from '@grain-fold/core/geometry';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import { countOf } from '@grain-fold/core/units';

/** One part as it was and as it is, laid on each other: lines that are gone, lines that came, and those that stayed. */
const props = defineProps<{ name: string; then?: ResolvedPart; now?: ResolvedPart }>();

const linesOf = (part: ResolvedPart | undefined): readonly string[] =>
  part
    ? [
        ...(part.outline ? [svgPath(part.outline, true)] : []),
        ...part.holes.map((hole) => svgPath(hole, true)),
        ...part.openPaths.map((path) => svgPath(path, false)),
        ...part.strokes
          .filter(({ kind }) => kind !== 'bevel')
          .flatMap(({ paths, closed }) => paths.map((path) => svgPath(path, closed))),
      ]
    : [];
const lines = computed(() => {
  const [before, after] = [linesOf(props.then), linesOf(props.now)];
  return {
    gone: before.filter((d) => !after.includes(d)),
    came: after.filter((d) => !before.includes(d)),
    stayed: after.filter((d) => before.includes(d)),
  };
});
const viewBox = computed(() => {
  const { minX, minY, maxX, maxY } = joinBounds(
    [props.then?.bounds, props.now?.bounds].filter((box) => box !== undefined),
  );
  const room = Math.max(maxX - minX, maxY - minY) * 0.04 + 1;
  return `${minX - room} ${-maxY - room} ${maxX - minX + 2 * room} ${maxY - minY + 2 * room}`;
});
</script>

<template>
  <figure>
    <svg
      :viewBox="viewBox"
      role="img"
      :aria-label="`${name}: ${countOf(lines.gone.length, 'line')} gone, ${countOf(lines.came.length, 'line')} new`"
    >
      <g transform="scale(1 -1)" fill="none" stroke-width="1.6">
        <path
          v-for="(d, index) in lines.stayed"
          :key="`s${index}`"
          :d="d"
          stroke="#8b9499"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(d, index) in lines.gone"
          :key="`g${index}`"
          :d="d"
          stroke="var(--brick)"
          stroke-dasharray="6 4"
          stroke-width="2.2"
          vector-effect="non-scaling-stroke"
        />
        <path
          v-for="(d, index) in lines.came"
          :key="`c${index}`"
          :d="d"
          stroke="var(--moss)"
          stroke-width="2.6"
          vector-effect="non-scaling-stroke"
        />
      </g>
    </svg>
    <figcaption>{{ name }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin-top: 10px;
  background: #fffdf7;
  border: 1px solid var(--ticket-line);
  border-radius: var(--radius);
  padding: 8px;
}
svg {
  width: 100%;
  height: 110px;
  display: block;
}
figcaption {
  font-weight: 500;
  margin-top: 4px;
}
</style>
