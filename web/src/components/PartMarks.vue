<script setup lang="ts">
import { computed } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import { lineCode, type LineMark, type ResolvedPart } from '@grain-fold/core/drawing';

/** A resolved part in the line code, in world coordinates; captions are drawn on the screen by PartCaptions. */
const props = defineProps<{ part: ResolvedPart; faulty?: ReadonlySet<string>; chosen?: string; fill?: string; plain?: boolean }>();

const body = computed(() => (props.part.outline ? [props.part.outline, ...props.part.holes].map((path) => svgPath(path, true)).join('') : ''));
type PathMark = Extract<LineMark, { kind: 'path' }>;
const marks = computed(() => lineCode(props.part).filter((mark) => mark.kind !== 'text').map((mark) => ({
  mark, d: mark.kind === 'path' ? svgPath(mark.path, mark.closed) : '', colour: colourOf(mark),
})));
function colourOf(mark: LineMark): string {
  if (mark.operationId && props.faulty?.has(mark.operationId)) return 'var(--brick)';
  if (mark.operationId && mark.operationId === props.chosen) return 'var(--marigold-deep)';
  return mark.tone === 'back' ? 'var(--back-grey)' : 'var(--ink)';
}
const WIDTHS = { heavy: 3, middle: 2.1, thin: 1 } as const;
const DASHES = { solid: undefined, long: '13 6', short: '6 4', dots: '0.1 6' } as const;
const widthOf = (mark: PathMark): number => (mark.dash === 'dots' ? 3 : WIDTHS[mark.pen]) * (props.plain ? 0.6 : 1);
</script>

<template>
  <g>
    <path v-if="body && !plain" :d="body" fill="#12262c" fill-rule="evenodd" opacity="0.55" transform="translate(1.1 -1.1)" />
    <path v-if="body" :d="body" :fill="fill ?? 'var(--foam)'" fill-rule="evenodd" />
    <template v-for="({ mark, d, colour }, index) in marks" :key="index">
      <path
        v-if="mark.kind === 'path'" :d="d" fill="none" :stroke="colour" :stroke-width="widthOf(mark)" :stroke-dasharray="DASHES[mark.dash]"
        :stroke-linecap="mark.dash === 'dots' ? 'round' : 'butt'" stroke-linejoin="round" vector-effect="non-scaling-stroke"
      />
      <circle v-else-if="mark.kind === 'dot'" :cx="mark.at.x" :cy="mark.at.y" :r="mark.radiusMm" :fill="colour" />
    </template>
  </g>
</template>
