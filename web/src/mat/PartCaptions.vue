<script setup lang="ts">
import { computed } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import type { LengthUnit } from '@grain-fold/core/units';
import { screenCaptions, USUAL_SIZE_PX } from './screen-captions.ts';

/** Captions of a part's lines, upright and of one size whatever the zoom. */
const props = defineProps<{
  part: ResolvedPart;
  unit: LengthUnit;
  toScreen: (p: Point) => Point;
  faulty?: ReadonlySet<string>;
  size?: number;
}>();
const captions = computed(() =>
  screenCaptions(props.part, props.unit, props.toScreen, props.size ?? USUAL_SIZE_PX).map((caption) => ({
    ...caption,
    isFaulty: caption.mark.operationId !== undefined && props.faulty?.has(caption.mark.operationId),
  })),
);
</script>

<template>
  <g class="figures" font-weight="600" :font-size="size ?? USUAL_SIZE_PX" text-anchor="middle" pointer-events="none">
    <g
      v-for="(caption, index) in captions"
      :key="index"
      :transform="`translate(${caption.at.x} ${caption.at.y}) rotate(${-caption.mark.angleDegrees})`"
    >
      <rect
        :x="-caption.width / 2"
        y="-9"
        :width="caption.width"
        height="18"
        :fill="caption.isFaulty ? 'var(--brick)' : 'var(--foam)'"
        :opacity="caption.isFaulty ? 1 : 0.94"
      />
      <text y="5" :fill="caption.isFaulty ? '#fff' : caption.mark.tone === 'back' ? '#5c666b' : 'var(--ink)'">{{
        caption.mark.text
      }}</text>
    </g>
  </g>
</template>
