<script setup lang="ts">
import { computed } from 'vue';
import { curvePoint, distance, svgPath, type Curve, type Path, type Point } from '@grain-fold/core/geometry';
import { featureIdOf, findPath, isMirrorId, pathsOf, type Part } from '@grain-fold/core/part';
import { curveOf, curvesOf, type DrawnPath } from '@grain-fold/core/paths';
import type { Picked } from '@grain-fold/core/pointing';
import type { Selection } from '../selection.ts';
import type { Drafting } from '../drafting/use-drafting.ts';

/** Points of the part, what is chosen and what is under the pointer, and the handles of a chosen curve; on the screen, so that they keep their size. */
const props = defineProps<{
  /** The part made whole, as a drag leaves it. */ edited: Part;
  toScreen: (p: Point) => Point;
  isBack: boolean;
  selection: Selection;
  drafting: Drafting;
  hovered?: Picked;
}>();

/** Points closer together than this, in pixels on average, are a smear: they show when the mat is zoomed in. */
const CLOSEST_PX = 5;
/** Points that are chosen, and the others as one path of dots: a part can have thousands. */
const nodes = computed(() => {
  const { chosen, operation } = props.selection;
  const ids = new Set(chosen.value?.kind === 'nodes' ? chosen.value.ids : []);
  const whole = new Set(
    chosen.value?.kind === 'paths' ? chosen.value.ids : operation.value ? [operation.value.on.pathId] : [],
  );
  let plain = '';
  const marked: { readonly id: string; readonly at: Point }[] = [];
  for (const path of pathsOf(props.edited)) {
    const isWhole = whole.has(path.id),
      isShown = ('role' in path && !isDense(path)) || isWhole;
    for (const node of path.nodes) {
      if (isWhole || ids.has(node.id)) marked.push({ id: node.id, at: props.toScreen(node) });
      else if (isShown && !featureIdOf(node.id) && !isMirrorId(node.id)) {
        const at = props.toScreen(node);
        plain += `M${Math.round(at.x * 10) / 10} ${Math.round(at.y * 10) / 10}h0`;
      }
    }
  }
  return { plain, marked };
});
/** Told by a sample of a path's runs. */
function isDense({ nodes: all }: DrawnPath): boolean {
  if (all.length < 100) return false;
  const step = Math.floor(all.length / 24),
    ends = Array.from(
      { length: 24 },
      (_, index) => [props.toScreen(all[index * step]!), props.toScreen(all[index * step + 1]!)] as const,
    );
  return ends.reduce((sum, [a, b]) => sum + distance(a, b), 0) / ends.length < CLOSEST_PX;
}

/** A curve in screen coordinates: y runs down there, so arcs bend the other way, unless the drawing is turned over too. */
function onScreen(curve: Curve): Curve {
  const ends = { from: props.toScreen(curve.from), to: props.toScreen(curve.to) };
  if (curve.kind === 'cubic')
    return {
      kind: 'cubic',
      ...ends,
      control1: props.toScreen(curve.control1),
      control2: props.toScreen(curve.control2),
    };
  return curve.kind === 'arc'
    ? { kind: 'arc', ...ends, bulge: props.isBack ? curve.bulge : -curve.bulge }
    : { kind: 'line', ...ends };
}
const pathOnScreen = (path: Path, closed: boolean): string => svgPath(path.map(onScreen), closed);

const segment = computed(() => {
  const now = props.selection.segment.value;
  const path = now && findPath(props.edited, now.path.id);
  const index = path?.segments.findIndex(({ id }) => id === now!.segment.id) ?? -1;
  if (!path || index < 0) return undefined;
  const curve = curveOf(path, index);
  return {
    curve,
    handles:
      curve.kind === 'cubic'
        ? ([
            [curve.from, curve.control1],
            [curve.to, curve.control2],
          ] as const)
        : [],
    middle: curve.kind === 'arc' ? curvePoint(curve, 0.5) : undefined,
  };
});
/** Everything that a feature draws, as lines on the screen. */
const featureOutline = (featureId: string): string =>
  pathsOf(props.edited)
    .map((path) =>
      featureIdOf(path.id) === featureId
        ? pathOnScreen(curvesOf(path), path.closed)
        : path.segments
            .map((one, index) => (featureIdOf(one.id) === featureId ? pathOnScreen([curveOf(path, index)], false) : ''))
            .join(''),
    )
    .join('');
const chosenFeature = computed(() =>
  props.selection.feature.value ? featureOutline(props.selection.feature.value.id) : '',
);
const chosenPaths = computed(() =>
  props.selection.chosen.value?.kind === 'paths'
    ? props.selection.chosen.value.ids
        .map((id) => {
          const path = findPath(props.edited, id);
          return path ? pathOnScreen(curvesOf(path), path.closed) : '';
        })
        .join('')
    : '',
);
const hover = computed(() => {
  const { hovered } = props;
  if (hovered?.kind === 'feature') return featureOutline(hovered.featureId);
  if (hovered?.kind !== 'segment' && hovered?.kind !== 'operation') return '';
  const path = findPath(props.edited, hovered.pathId);
  if (!path) return '';
  if (hovered.kind === 'operation') return 'role' in path ? '' : pathOnScreen(curvesOf(path), path.closed);
  const index = path.segments.findIndex(({ id }) => id === hovered.segmentId);
  return index < 0 ? '' : pathOnScreen([curveOf(path, index)], false);
});
const hoveredNode = computed(() => {
  const { hovered } = props;
  const node =
    hovered?.kind === 'node'
      ? findPath(props.edited, hovered.pathId)?.nodes.find(({ id }) => id === hovered.nodeId)
      : undefined;
  return node && props.toScreen(node);
});
const draftPoints = computed(() => props.drafting.points.value.map(props.toScreen));
</script>

<template>
  <g pointer-events="none">
    <path v-if="hover" :d="hover" fill="none" stroke="var(--marigold)" stroke-width="5" stroke-opacity="0.45" />
    <path
      v-if="chosenFeature || chosenPaths"
      :d="chosenFeature + chosenPaths"
      fill="none"
      stroke="var(--marigold)"
      stroke-width="3.5"
    />
    <path
      v-if="segment"
      :d="pathOnScreen([segment.curve], false)"
      fill="none"
      stroke="var(--marigold)"
      stroke-width="4"
    />
    <g v-if="segment">
      <template v-for="([base, tip], index) in segment.handles" :key="index">
        <line
          :x1="toScreen(base).x"
          :y1="toScreen(base).y"
          :x2="toScreen(tip).x"
          :y2="toScreen(tip).y"
          stroke="var(--marigold)"
        />
        <rect
          :x="toScreen(tip).x - 5"
          :y="toScreen(tip).y - 5"
          width="10"
          height="10"
          transform-origin="center"
          fill="var(--foam)"
          stroke="var(--marigold)"
          stroke-width="2"
        />
      </template>
      <rect
        v-if="segment.middle"
        :x="toScreen(segment.middle).x - 5"
        :y="toScreen(segment.middle).y - 5"
        width="10"
        height="10"
        fill="var(--foam)"
        stroke="var(--marigold)"
        stroke-width="2"
      />
    </g>
    <path :d="nodes.plain" fill="none" stroke="var(--foam)" stroke-width="8" stroke-linecap="round" />
    <path :d="nodes.plain" fill="none" stroke="var(--ink)" stroke-width="6" stroke-linecap="round" />
    <circle
      v-if="hoveredNode"
      :cx="hoveredNode.x"
      :cy="hoveredNode.y"
      r="8"
      fill="none"
      stroke="var(--marigold)"
      stroke-width="2.5"
    />
    <circle
      v-for="node in nodes.marked"
      :key="node.id"
      :cx="node.at.x"
      :cy="node.at.y"
      r="6"
      fill="var(--foam)"
      stroke="var(--marigold)"
      stroke-width="3"
    />
    <circle
      v-for="(at, index) in draftPoints"
      :key="`d${index}`"
      :cx="at.x"
      :cy="at.y"
      :r="index === 0 ? 6 : 4"
      fill="var(--mat)"
      stroke="var(--marigold)"
      stroke-width="2.5"
    />
  </g>
</template>
