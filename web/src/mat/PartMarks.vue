<script setup lang="ts">
import { computed } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import { lineMarks } from '@grain-fold/core/linecode';
import type { LineMark } from '@grain-fold/core/marks';
import type { ResolvedPart } from '@grain-fold/core/resolve';

/** A resolved part in the line code, in world coordinates; captions are drawn on the screen by PartCaptions. */
const props = defineProps<{
  part: ResolvedPart;
  faulty?: ReadonlySet<string>;
  chosen?: string;
  fill?: string;
  plain?: boolean;
}>();

const body = computed(() =>
  props.part.outline ? [props.part.outline, ...props.part.holes].map((path) => svgPath(path, true)).join('') : '',
);
const WIDTHS = { heavy: 3, middle: 2.1, thin: 1 } as const;
const DASHES = { solid: undefined, long: '13 6', short: '6 4', dots: '0.1 6' } as const;
type PathMark = Extract<LineMark, { kind: 'path' }>;
/** White between the two lines of work that only some variants have. */
const BETWEEN_DOUBLE_PX = 2;
const widthOf = (mark: PathMark): number =>
  ((mark.dash === 'dots' ? 3 : WIDTHS[mark.pen]) + (mark.isDouble ? 2 * BETWEEN_DOUBLE_PX : 0)) *
  (props.plain ? 0.6 : 1);

function colourOf(mark: LineMark): string {
  if (mark.operationId && props.faulty?.has(mark.operationId)) return 'var(--brick)';
  if (mark.operationId && mark.operationId === props.chosen) return 'var(--marigold-deep)';
  return mark.tone === 'back' ? 'var(--back-grey)' : 'var(--ink)';
}
const disc = ({ x, y }: { readonly x: number; readonly y: number }, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** Marks of one look as one element: hatch and dots come by the thousand. */
const strokes = computed(() => {
  const looks = new Map<
    string,
    { readonly mark: PathMark | undefined; readonly colour: string; readonly pieces: string[] }
  >();
  for (const mark of lineMarks(props.part)) {
    const colour = colourOf(mark);
    const key = mark.kind === 'path' ? `${mark.pen}/${mark.dash}/${colour}/${mark.isDouble}` : colour;
    const look = looks.get(key) ?? { mark: mark.kind === 'path' ? mark : undefined, colour, pieces: [] };
    look.pieces.push(mark.kind === 'path' ? svgPath(mark.path, mark.closed) : disc(mark.at, mark.radiusMm));
    looks.set(key, look);
  }
  return [...looks.values()].map(({ mark, colour, pieces }) => ({ mark, colour, d: pieces.join('') }));
});
</script>

<template>
  <g>
    <path
      v-if="body && !plain"
      :d="body"
      fill="#12262c"
      fill-rule="evenodd"
      opacity="0.55"
      transform="translate(1.1 -1.1)"
    />
    <path v-if="body" :d="body" :fill="fill ?? 'var(--foam)'" fill-rule="evenodd" />
    <template v-for="({ mark, colour, d }, index) in strokes" :key="index">
      <path
        v-if="mark"
        :d="d"
        fill="none"
        :stroke="colour"
        :stroke-width="widthOf(mark)"
        :stroke-dasharray="DASHES[mark.dash]"
        :stroke-linecap="mark.dash === 'dots' ? 'round' : 'butt'"
        stroke-linejoin="round"
        vector-effect="non-scaling-stroke"
      />
      <path
        v-if="mark?.isDouble"
        :d="d"
        fill="none"
        :stroke="fill ?? 'var(--foam)'"
        :stroke-width="BETWEEN_DOUBLE_PX"
        vector-effect="non-scaling-stroke"
      />
      <path v-if="!mark" :d="d" :fill="colour" />
    </template>
  </g>
</template>
