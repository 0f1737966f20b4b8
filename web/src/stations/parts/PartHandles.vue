<script setup lang="ts">
import { computed } from 'vue';
import { curvePoint, svgPath, type Point } from '@grain-fold/core/geometry';
import { curveOf, pathsOf, type Part } from '@grain-fold/core/drawing';
import type { Selection } from './selection.ts';
import type { Drafting } from './use-drafting.ts';

/** Points of the part, the chosen ones marked, and the handles of a chosen curve; on the screen, so that they keep their size. */
const props = defineProps<{ part: Part; toScreen: (p: Point) => Point; selection: Selection; drafting: Drafting }>();

const nodes = computed(() => {
  const { chosen, operation } = props.selection;
  const ids = new Set(chosen.value?.kind === 'nodes' ? chosen.value.ids : []);
  const shownLine = operation.value?.on.pathId;
  const whole = new Set(chosen.value?.kind === 'paths' ? chosen.value.ids : []);
  return pathsOf(props.part)
    .filter((path) => 'role' in path || path.id === shownLine || whole.has(path.id) || path.nodes.some(({ id }) => ids.has(id)))
    .flatMap((path) => path.nodes.map((node) => ({ id: node.id, at: props.toScreen(node), isChosen: ids.has(node.id) || path.id === shownLine || whole.has(path.id) })));
});
const chosenNodes = computed(() => nodes.value.filter(({ isChosen }) => isChosen));
/** Points that are not chosen, as one path of dots: a part can have thousands. */
const plainNodes = computed(() => nodes.value.filter(({ isChosen }) => !isChosen).map(({ at }) => `M${at.x.toFixed(1)} ${at.y.toFixed(1)}h0`).join(''));
const segment = computed(() => {
  const now = props.selection.segment.value;
  const path = now && props.part.contours.concat(props.part.lines as never[]).find(({ id }) => id === now.path.id);
  if (!now || !path) return undefined;
  const curve = curveOf(path, now.index);
  return { curve, handles: curve.kind === 'cubic' ? [[curve.from, curve.control1], [curve.to, curve.control2]] as const : [], middle: curve.kind === 'arc' ? curvePoint(curve, 0.5) : undefined };
});
/** A curve in screen coordinates: y runs down there, so arcs bend the other way. */
const screenCurve = computed(() => {
  const curve = segment.value?.curve;
  if (!curve) return '';
  const ends = { from: props.toScreen(curve.from), to: props.toScreen(curve.to) };
  if (curve.kind === 'cubic') return svgPath([{ kind: 'cubic', ...ends, control1: props.toScreen(curve.control1), control2: props.toScreen(curve.control2) }], false);
  return svgPath([curve.kind === 'arc' ? { kind: 'arc', ...ends, bulge: -curve.bulge } : { kind: 'line', ...ends }], false);
});
const draftPoints = computed(() => props.drafting.points.value.map(props.toScreen));
</script>

<template>
  <g pointer-events="none">
    <path v-if="screenCurve" :d="screenCurve" fill="none" stroke="var(--marigold)" stroke-width="4" />
    <g v-if="segment">
      <template v-for="([base, tip], index) in segment.handles" :key="index">
        <line :x1="toScreen(base).x" :y1="toScreen(base).y" :x2="toScreen(tip).x" :y2="toScreen(tip).y" stroke="var(--marigold)" />
        <rect :x="toScreen(tip).x - 5" :y="toScreen(tip).y - 5" width="10" height="10" transform-origin="center" fill="var(--foam)" stroke="var(--marigold)" stroke-width="2" />
      </template>
      <rect v-if="segment.middle" :x="toScreen(segment.middle).x - 5" :y="toScreen(segment.middle).y - 5" width="10" height="10" fill="var(--foam)" stroke="var(--marigold)" stroke-width="2" />
    </g>
    <path :d="plainNodes" fill="none" stroke="var(--foam)" stroke-width="8" stroke-linecap="round" />
    <path :d="plainNodes" fill="none" stroke="var(--ink)" stroke-width="6" stroke-linecap="round" />
    <circle v-for="node in chosenNodes" :key="node.id" :cx="node.at.x" :cy="node.at.y" r="6" fill="var(--foam)" stroke="var(--marigold)" stroke-width="3" />
    <circle v-for="(at, index) in draftPoints" :key="`d${index}`" :cx="at.x" :cy="at.y" :r="index === 0 ? 6 : 4" fill="var(--mat)" stroke="var(--marigold)" stroke-width="2.5" />
  </g>
</template>
