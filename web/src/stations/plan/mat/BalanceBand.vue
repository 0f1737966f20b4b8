<script setup lang="ts">
import { computed } from 'vue';
import { viewBounds, type Plan, type PlanBalance, type PlanView } from '@grain-fold/core/plan';

/** The range in which the model is to balance, across the side and the top view, with its neutral point. */
const props = defineProps<{ balance?: PlanBalance; plan: Plan; view: PlanView }>();
const BEYOND_MM = 14;
const band = computed(() => {
  if (!props.balance || props.view === 'front') return undefined;
  const { minY, maxY } = viewBounds(props.plan, props.view),
    { foreMm, aftMm } = props.balance.band;
  return {
    x: foreMm,
    width: aftMm - foreMm,
    y: minY - BEYOND_MM,
    height: maxY - minY + 2 * BEYOND_MM,
    neutral: props.balance.neutral.atMm,
  };
});
</script>

<template>
  <g v-if="band" pointer-events="none">
    <rect
      :x="band.x"
      :y="band.y"
      :width="band.width"
      :height="band.height"
      class="band"
      vector-effect="non-scaling-stroke"
    />
    <path :d="`M${band.neutral} ${band.y}v${band.height}`" class="neutral" vector-effect="non-scaling-stroke" />
  </g>
</template>

<style scoped>
.band {
  fill: #8fb46a;
  fill-opacity: 0.28;
  stroke: #b9dc92;
  stroke-width: 1.4;
}
.neutral {
  stroke: #ffc878;
  stroke-width: 1.4;
  stroke-dasharray: 2 4;
  fill: none;
}
</style>
