<script setup lang="ts">
import { computed } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import { lineTexts } from '@grain-fold/core/linecode';
import type { ResolvedPart } from '@grain-fold/core/resolve';
import type { LengthUnit } from '@grain-fold/core/units';

/** Captions of a part's lines, upright and of one size whatever the zoom. */
const props = defineProps<{
  part: ResolvedPart;
  unit: LengthUnit;
  toScreen: (p: Point) => Point;
  faulty?: ReadonlySet<string>;
  size?: number;
}>();
const captions = computed(() =>
  lineTexts(props.part, props.unit).map((mark) => {
    const at = props.toScreen(mark.at);
    return {
      ...mark,
      at,
      isFaulty: mark.operationId !== undefined && props.faulty?.has(mark.operationId),
      width: mark.text.length * (props.size ?? 14) * 0.44 + 10,
    };
  }),
);
</script>

<template>
  <g class="figures" font-weight="600" :font-size="size ?? 14" text-anchor="middle" pointer-events="none">
    <g
      v-for="(caption, index) in captions"
      :key="index"
      :transform="`translate(${caption.at.x} ${caption.at.y}) rotate(${-caption.angleDegrees})`"
    >
      <rect
        :x="-caption.width / 2"
        y="-9"
        :width="caption.width"
        height="18"
        :fill="caption.isFaulty ? 'var(--brick)' : 'var(--foam)'"
        :opacity="caption.isFaulty ? 1 : 0.94"
      />
      <text y="5" :fill="caption.isFaulty ? '#fff' : caption.tone === 'back' ? '#5c666b' : 'var(--ink)'">{{
        caption.text
      }}</text>
    </g>
  </g>
</template>
