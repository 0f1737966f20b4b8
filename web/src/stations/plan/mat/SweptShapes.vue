<script setup lang="ts">
import { computed } from 'vue';
import { isTooLittle, sweptControls, type Clearance, type PlannedThing, type PlanView } from '@grain-fold/core/plan';

/** What moves sweeps this: controls through their throws, the ground, lines of sight over the wheels; and where it is tightest. */
const props = defineProps<{ clearances: readonly Clearance[]; things: readonly PlannedThing[]; view: PlanView }>();
const shapes = computed(() => {
  const own = props.clearances.flatMap((clearance) =>
    clearance.swept.map((shape) => ({ ...shape, isBad: isTooLittle(clearance) })),
  );
  const moving = sweptControls(props.things).map((shape) => ({ ...shape, isBad: false }));
  return [...moving, ...own]
    .filter(({ view }) => view === props.view)
    .map(({ points, isClosed, kind, isBad }) => ({
      d: `M${points.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}${isClosed ? 'Z' : ''}`,
      kind,
      isBad,
    }));
});
const tight = computed(() =>
  props.clearances.flatMap((clearance) =>
    clearance.place?.view === props.view && isTooLittle(clearance) ? [clearance.place.at] : [],
  ),
);
</script>

<template>
  <g pointer-events="none">
    <path
      v-for="(shape, index) in shapes"
      :key="index"
      :d="shape.d"
      :class="[shape.kind, { bad: shape.isBad }]"
      vector-effect="non-scaling-stroke"
    />
    <circle
      v-for="(place, index) in tight"
      :key="`t${index}`"
      :cx="place.x"
      :cy="place.y"
      r="7"
      class="tight"
      vector-effect="non-scaling-stroke"
    />
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke-width: 1.4;
}
.swept {
  fill: #9fd0d6;
  fill-opacity: 0.22;
  stroke: #9fd0d6;
}
.ground {
  stroke: #c9bd9f;
  stroke-dasharray: 14 4 2 4;
}
.sight {
  stroke: #9fd0d6;
  stroke-dasharray: 3 4;
}
.bad {
  stroke: #ff8f73;
  fill: #ff8f73;
  fill-opacity: 0.25;
}
.tight {
  fill: none;
  stroke: #ff8f73;
  stroke-width: 2.4;
}
</style>
