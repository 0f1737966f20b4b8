<script setup lang="ts">
import { computed, useId } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import type { Ink } from '@grain-fold/core/ink';

/** Printed ink as SVG, in mm with y up: the same marks that the PDF has. */
const props = withDefaults(
  defineProps<{
    inks: readonly Ink[];
    /** Texts smaller than this are left out, in mm. */ leastTextMm?: number;
    widthFactor?: number;
  }>(),
  { leastTextMm: 0, widthFactor: 1 },
);
const id = useId();
const COLOURS = { ink: 'var(--ink)', grey: '#70787d', paper: '#fff', join: 'var(--ink)' } as const;
const FILLS = { ink: 'var(--ink)', pale: '#e8e4d8' } as const;
const WEIGHTS = { text: 400, figure: 500, bold: 600 } as const;
const width = (mm: number): number => mm * props.widthFactor;

type PathInk = Extract<Ink, { kind: 'path' }>;
type DiscInk = Extract<Ink, { kind: 'disc' }>;
type Drawn =
  | Exclude<Ink, PathInk | DiscInk>
  | (PathInk & { readonly d: string })
  | { readonly kind: 'discs'; readonly tone: DiscInk['tone']; readonly d: string };
const lookOf = ({ widthMm, dashMm, tone, fill }: PathInk): string => [widthMm, dashMm?.join(), tone, fill].join('/');
const discPath = ({ at, radiusMm: r }: DiscInk): string =>
  `M${at.x - r} ${at.y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
/** Neighbours of one look become one element; the order of the rest stays. */
const drawn = computed(() =>
  props.inks.reduce<Drawn[]>((list, ink) => {
    const last = list.at(-1);
    if (ink.kind === 'path') {
      const d = svgPath(ink.path, ink.closed);
      if (last?.kind === 'path' && !ink.fill && lookOf(last) === lookOf(ink))
        list[list.length - 1] = { ...last, d: last.d + d };
      else list.push({ ...ink, d });
    } else if (ink.kind === 'disc') {
      if (last?.kind === 'discs' && last.tone === ink.tone)
        list[list.length - 1] = { ...last, d: last.d + discPath(ink) };
      else list.push({ kind: 'discs', tone: ink.tone, d: discPath(ink) });
    } else list.push(ink);
    return list;
  }, []),
);
</script>

<template>
  <template v-for="(ink, index) in drawn" :key="index">
    <path
      v-if="ink.kind === 'path'"
      :d="ink.d"
      :fill="ink.fill ? FILLS[ink.fill] : 'none'"
      :stroke="COLOURS[ink.tone]"
      :stroke-width="width(ink.widthMm)"
      :stroke-dasharray="ink.dashMm?.join(' ')"
      :stroke-linecap="ink.dashMm && ink.dashMm[0]! < 0.1 ? 'round' : 'butt'"
    />
    <path v-else-if="ink.kind === 'discs'" :d="ink.d" :fill="COLOURS[ink.tone]" />
    <g v-else-if="ink.kind === 'clip'" :clip-path="`url(#${id}-${index})`">
      <clipPath :id="`${id}-${index}`"
        ><rect
          :x="ink.box.minX"
          :y="ink.box.minY"
          :width="ink.box.maxX - ink.box.minX"
          :height="ink.box.maxY - ink.box.minY"
      /></clipPath>
      <InkDrawing :inks="ink.inks" :least-text-mm="leastTextMm" :width-factor="widthFactor" />
    </g>
    <g
      v-else-if="ink.sizeMm >= leastTextMm"
      :transform="`translate(${ink.at.x} ${ink.at.y}) rotate(${ink.angleDegrees}) scale(1 -1)`"
    >
      <rect
        v-if="ink.knockedOut"
        :x="-ink.text.length * ink.sizeMm * 0.22 - 0.6"
        :y="-ink.sizeMm * 0.5"
        :width="ink.text.length * ink.sizeMm * 0.44 + 1.2"
        :height="ink.sizeMm"
        fill="#fff"
      />
      <text
        :y="ink.knockedOut ? ink.sizeMm * 0.33 : 0"
        :font-size="ink.sizeMm"
        :font-weight="WEIGHTS[ink.weight]"
        :font-family="ink.weight === 'text' ? 'var(--font)' : 'var(--figures)'"
        :fill="COLOURS[ink.tone]"
        :text-anchor="ink.align === 'left' ? 'start' : ink.align === 'centre' ? 'middle' : 'end'"
        >{{ ink.text }}</text
      >
    </g>
  </template>
</template>
