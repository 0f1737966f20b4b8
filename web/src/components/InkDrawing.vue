<script setup lang="ts">
import { useId } from 'vue';
import { svgPath } from '@grain-fold/core/geometry';
import type { Ink } from '@grain-fold/core/pages';

/** Printed ink as SVG, in mm with y up: the same marks that the PDF has. */
const props = withDefaults(defineProps<{ inks: readonly Ink[]; /** Texts smaller than this are left out, in mm. */ leastTextMm?: number; widthFactor?: number }>(), { leastTextMm: 0, widthFactor: 1 });
const id = useId();
const COLOURS = { ink: 'var(--ink)', grey: '#70787d' } as const;
const FILLS = { ink: 'var(--ink)', pale: '#e8e4d8' } as const;
const WEIGHTS = { text: 400, figure: 500, bold: 600 } as const;
const width = (mm: number): number => mm * props.widthFactor;
</script>

<template>
  <template v-for="(ink, index) in inks" :key="index">
    <path
      v-if="ink.kind === 'path'" :d="svgPath(ink.path, ink.closed)" :fill="ink.fill ? FILLS[ink.fill] : 'none'" :stroke="COLOURS[ink.tone]" :stroke-width="width(ink.widthMm)"
      :stroke-dasharray="ink.dashMm?.join(' ')" :stroke-linecap="ink.dashMm && ink.dashMm[0]! < 0.1 ? 'round' : 'butt'"
    />
    <circle v-else-if="ink.kind === 'disc'" :cx="ink.at.x" :cy="ink.at.y" :r="ink.radiusMm" :fill="COLOURS[ink.tone]" />
    <g v-else-if="ink.kind === 'clip'" :clip-path="`url(#${id}-${index})`">
      <clipPath :id="`${id}-${index}`"><rect :x="ink.box.minX" :y="ink.box.minY" :width="ink.box.maxX - ink.box.minX" :height="ink.box.maxY - ink.box.minY" /></clipPath>
      <InkDrawing :inks="ink.inks" :least-text-mm="leastTextMm" :width-factor="widthFactor" />
    </g>
    <g v-else-if="ink.sizeMm >= leastTextMm" :transform="`translate(${ink.at.x} ${ink.at.y}) rotate(${ink.angleDegrees}) scale(1 -1)`">
      <rect v-if="ink.knockedOut" :x="-ink.text.length * ink.sizeMm * 0.22 - 0.6" :y="-ink.sizeMm * 0.5" :width="ink.text.length * ink.sizeMm * 0.44 + 1.2" :height="ink.sizeMm" fill="#fff" />
      <text
        :y="ink.knockedOut ? ink.sizeMm * 0.33 : 0" :font-size="ink.sizeMm" :font-weight="WEIGHTS[ink.weight]" :font-family="ink.weight === 'text' ? 'var(--font)' : 'var(--figures)'" :fill="COLOURS[ink.tone]"
        :text-anchor="ink.align === 'left' ? 'start' : ink.align === 'centre' ? 'middle' : 'end'"
      >{{ ink.text }}</text>
    </g>
  </template>
</template>
