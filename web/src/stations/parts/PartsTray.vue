<script setup lang="ts">
import { computed } from 'vue';
import type { Point } from '@grain-fold/core/geometry';
import type { Part } from '@grain-fold/core/part';
import type { Snap } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import { formatLength } from '@grain-fold/core/units';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import { toolHint } from './drafting/part-tools.ts';
import type { Drafting } from './drafting/use-drafting.ts';
import { hoverWords } from './mat/hover-words.ts';

/** The tray under the mat: where the pointer is, what caught it, and what a click would do. */
const props = defineProps<{
  part?: Part;
  drafting: Drafting;
  pointer?: Point;
  snapReason?: Snap['reason'];
  hovered?: Picked;
  hasChoice: boolean;
  isFolded: boolean;
}>();
const work = useAirframe();
const hint = computed(
  () =>
    (props.isFolded && 'Drag to turn it; click a fold or an edge to choose it') ||
    (props.part && hoverWords(props.part, props.drafting.tool.value, props.hovered)) ||
    (toolHint(props.drafting.tool.value) ??
      (props.hasChoice
        ? 'Drag to move, or type its numbers on the slip'
        : 'Click a point, an edge or a line; double-click a number to type it')),
);
const REASON_WORDS: Readonly<Record<Snap['reason'], string>> = {
  end: 'a point',
  crossing: 'a crossing',
  middle: 'a middle',
  centre: 'a centre',
  tangent: 'a touch',
  square: 'a square meeting',
  guide: 'a guide',
  'other part': 'the part beneath',
  edge: 'an edge',
  grid: 'the grid',
  free: '',
};
</script>

<template>
  <TrayBar>
    <span v-if="pointer && !isFolded"
      >across <b>{{ formatLength(pointer.x, work.unit) }}</b> up <b>{{ formatLength(pointer.y, work.unit) }}</b>
      {{ work.unit }}</span
    >
    <span v-if="!isFolded && snapReason && REASON_WORDS[snapReason]"
      >on <b>{{ REASON_WORDS[snapReason] }}</b></span
    >
    <span>{{ hint }}</span>
    <span v-if="drafting.isDrawing.value"><kbd>Enter</kbd> or a figure types it</span>
  </TrayBar>
</template>
