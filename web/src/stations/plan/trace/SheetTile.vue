<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import { sheets } from '../../../workers/sheets.ts';

/** A tile of a sheet: its picture comes from the worker and is handed to the canvas as it is. */
const props = defineProps<{
  sheet: string;
  level: number;
  column: number;
  row: number;
  transform: string;
  clip: string;
}>();
const canvas = useTemplateRef<HTMLCanvasElement>('canvas');
onMounted(async () => {
  // A worker that ended is told where its sheet is opened; a tile of it stays empty.
  const picture = await sheets.tile(props.sheet, props.level, props.column, props.row).catch(() => undefined);
  if (!picture) return;
  if (!canvas.value) {
    picture.close();
    return;
  }
  canvas.value.width = picture.width;
  canvas.value.height = picture.height;
  canvas.value.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
});
</script>

<template>
  <canvas ref="canvas" width="1" height="1" :style="{ transform, clipPath: clip }" />
</template>

<style scoped>
canvas {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
}
</style>
