<script setup lang="ts">
import { computed } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import { traitsOf, type OperationKind } from '@grain-fold/core/operations';

/** A sample of a stroke of the line code, for lists and legends: the same that the printed legend has. */
const props = defineProps<{ kind: OperationKind; isBack?: boolean }>();
/** Samples are 10 mm long and 2 mm high. */
const PX_A_MM = 5.2,
  WIDTH = 54,
  HEIGHT = 16;
const PENS = { heavy: 2.8, middle: 2, thin: 1 } as const;
const DASHES = { solid: undefined, long: '11 5', short: '6 4', dots: '0.1 5.6' } as const;
const marks = computed(() => traitsOf(props.kind).sample);
</script>

<template>
  <svg
    :width="WIDTH"
    :height="HEIGHT"
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    fill="none"
    :stroke="isBack ? 'var(--back-grey)' : 'var(--ink)'"
    aria-hidden="true"
  >
    <g :transform="`translate(1 ${HEIGHT / 2}) scale(${PX_A_MM} ${-PX_A_MM})`">
      <template v-for="(mark, index) in marks" :key="index">
        <path
          v-if="mark.kind === 'path'"
          :d="svgPath(mark.path, mark.closed)"
          :stroke-width="mark.dash === 'dots' ? 3 : PENS[mark.pen]"
          :stroke-dasharray="DASHES[mark.dash]"
          :stroke-linecap="mark.dash === 'dots' ? 'round' : 'butt'"
          vector-effect="non-scaling-stroke"
        />
        <circle
          v-else
          :cx="mark.at.x"
          :cy="mark.at.y"
          :r="mark.radiusMm"
          stroke="none"
          :fill="isBack ? 'var(--back-grey)' : 'var(--ink)'"
        />
      </template>
    </g>
  </svg>
</template>
